import { MASSTONE_SIGMA } from './calibrate'
import { opticsOf } from './packOptics'
import type { OpticsKnown, Sure, SurePaint } from './predict'
import type { Sheen, Strength } from '../paint/properties'

/** A paint as it is kept, as far as it decides how sure a mix of it is. */
export interface KeptPaint {
  readonly hex: string | null
  readonly strength: Strength | null
  readonly optics: string | null
  readonly sheen: Sheen | null
  readonly sigma: number | null
  readonly known: OpticsKnown | null
}

/** A kept paint as `sureOf` takes it; one that was never worked out is as unsure as its masstone alone. */
export const surePaint = (p: KeptPaint): SurePaint => ({
  optics: opticsOf(p),
  sheen: p.sheen ?? 'satin',
  sigma: p.sigma ?? MASSTONE_SIGMA,
  known: p.known ?? 'masstone',
})

const MEASURE = {
  tint: (name: string) => `Paint out a 10 % tint of ${name} in white and read it: that makes it surer.`,
  shade: (name: string) => `Paint out ${name} with 20 % black and read it: that makes it surer.`,
  mix: (name: string) => `Paint out this very mix and read it: ${name} is what is least sure in it.`,
} as const

/** `± 4.2` with a space that does not break, in ΔE00: one decimal below ten. */
export const plusMinusText = (off: number): string => `±\u00a0${off < 9.95 ? off.toFixed(1) : Math.round(off)}`

/** How sure a computed colour is, and what would make it surer, in sentences. @param names of the paints, in their order */
export function sureWords({ sureness, promise }: Sure, names: readonly string[]): { how: string; next: string | null } {
  const off = plusMinusText(sureness.plusMinus)
  const how = promise
    ? sureness.kind === 'estimate'
      ? `an estimate, ${off}`
      : `calibrated, ${off}`
    : `no promise: flakes or dyes take part. The body colour is an estimate, ${off}`
  return { how, next: sureness.next ? MEASURE[sureness.next.measure](names[sureness.next.paint]!) : null }
}

/** How far off the shown colours of some bottles may be, in one line; empty where none has a colour. */
export function offsText(bottles: readonly { readonly label: string; readonly off: number | null }[]): string {
  const said = bottles.flatMap(({ label, off }) => (off === null ? [] : [`${label} ${plusMinusText(off)}`]))
  return said.length ? `Colours are computed and may be off, in ΔE00: ${[...new Set(said)].join(', ')}.` : ''
}
