import { mustBeAmounts } from '../mustBe'
import { carriedContrast, COVERS, paintFor, type CarriedPaint } from './carried'
import { opticsOf } from './packOptics'
import { formatMl } from '../quantity/format'
import { FLAKES } from '../paint/sheenOfMix'
import type { Body, MaterialKind, Opacity, Sheen, Strength } from '../paint/properties'

/** A material as far as it decides how a mix of it hides. */
export interface Hiding {
  readonly kind: MaterialKind
  readonly hex: string | null
  readonly strength: Strength | null
  readonly optics: string | null
  readonly opacity: Opacity | null
  readonly contrastRatio: number | null
  readonly body: Body | null
  readonly sheen: Sheen | null
}

/** What carries a paint: it neither colours nor hides. */
export const CARRIER: Hiding = {
  kind: 'medium',
  hex: null,
  strength: null,
  optics: null,
  opacity: null,
  contrastRatio: null,
  body: null,
  sheen: null,
}

/**
 * How a mix hides in the film a pour leaves, in one sentence, and what more paint would do; nothing where no
 * paint of it colours, or flakes take part, which do not hide by their colour.
 */
export function hidingWords(lines: readonly { readonly material: Hiding; readonly ul: number }[]): string | undefined {
  mustBeAmounts(
    'An amount of a mix',
    lines.map((l) => l.ul),
  )
  const paints = lines.flatMap(({ material: m, ul }): CarriedPaint[] =>
    m.kind === 'paint' && m.hex && ul > 0
      ? [{ optics: opticsOf(m), opacity: m.opacity!, contrastRatio: m.contrastRatio, body: m.body!, amount: ul }]
      : [],
  )
  if (paints.length === 0 || lines.some((l) => l.ul > 0 && FLAKES.includes(l.material.sheen!))) return undefined
  const carrier = lines.reduce((sum, l) => sum + (l.material.kind === 'paint' ? 0 : l.ul), 0)
  const contrast = carriedContrast(paints, carrier)
  const said = `In a usual pour it covers ${contrast.toFixed(2)}, where 1 hides all`
  if (contrast >= 0.98) return 'In a usual pour it hides all that lies beneath.'
  if (contrast >= COVERS || carrier === 0) return `${said}.`
  const times = paintFor(paints, carrier)
  const ul = paints.reduce((sum, p) => sum + p.amount, 0)
  return times === undefined
    ? `${said}: washed out by the medium, and more of so clear a paint changes little.`
    : `${said}: washed out by the medium. ${formatMl(ul * (times - 1))} more paint brings ${COVERS.toFixed(2)}.`
}
