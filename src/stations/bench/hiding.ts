import { carriedContrast, COVERS, paintFor, type CarriedPaint } from '@/core/colour/carried'
import { surePaint } from '@/core/colour/sureWords'
import { formatMl } from '@/core/quantity/format'
import { FLAKES } from '@/core/paint/sheenOfMix'
import type { Material } from '@/db/materials/mixable'

/**
 * How a mix hides in the film a pour leaves, in one sentence, and what more paint would do; nothing where no
 * paint of it colours, or flakes take part, which do not hide by their colour.
 */
export function hidingWords(lines: readonly { material: Material; ul: number }[]): string | undefined {
  const paints = lines.flatMap(({ material: m, ul }): CarriedPaint[] =>
    m.kind === 'paint' && m.hex && ul > 0
      ? [
          {
            optics: surePaint(m).optics,
            opacity: m.opacity!,
            contrastRatio: m.contrastRatio,
            body: m.body!,
            amount: ul,
          },
        ]
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
