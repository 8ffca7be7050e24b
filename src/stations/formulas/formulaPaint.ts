import { hexToLab } from '@/core/colour/lab'
import { opticsOf } from '@/core/colour/packOptics'
import type { FormulaPaint, Prediction } from '@/core/colour/predict'
import { SHOWY } from '@/core/paint/sheenOfMix'
import type { Material } from '@/db/catalogue'

const UNCALIBRATED = 0.8

/** A paint as the colour core takes it. */
export const formulaPaint = (m: Material): FormulaPaint => ({
  optics: opticsOf(m),
  lab: hexToLab(m.hex!),
  opacity: m.opacity!,
  contrastRatio: m.contrastRatio,
  body: m.body!,
  sheen: m.sheen!,
  sigma: m.sigma ?? UNCALIBRATED,
  known: m.known ?? 'masstone',
})

/** Minor units a ml at the list price; null where none is known. */
export const perMlOf = (m: Material) =>
  m.priceMinor !== null && m.containerUl ? (1000 * m.priceMinor) / m.containerUl : null

/** Whether a paint mixes like pigment: flakes and dyes do not. */
export const mixesLikePigment = (m: Material) => !SHOWY.includes(m.sheen!)

const MEASURE = {
  tint: (name: string) => `Paint out a 10 % tint of ${name} in white and read it: that makes it surer.`,
  shade: (name: string) => `Paint out ${name} with 20 % black and read it: that makes it surer.`,
  mix: (name: string) => `Paint out this very mix and read it: ${name} is what is least sure in it.`,
} as const

/** How sure a computed colour is, and what would make it surer, in sentences. */
export function sureWords(
  { sureness, promise }: Pick<Prediction, 'sureness' | 'promise'>, names: readonly string[]): { how: string; next: string | null } {
  const off = `± ${sureness.plusMinus < 10 ? sureness.plusMinus.toFixed(1) : Math.round(sureness.plusMinus)}`
  const how = promise
    ? sureness.kind === 'estimate'
      ? `an estimate, ${off}`
      : `calibrated, ${off}`
    : `no promise: flakes or dyes take part. The body colour is an estimate, ${off}`
  return { how, next: sureness.next ? MEASURE[sureness.next.measure](names[sureness.next.paint]!) : null }
} // prettier-ignore
