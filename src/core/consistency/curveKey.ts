import type { Body } from '../paint/properties'
import type { CurveKey } from './curves'

/** The curve key of a mix from its materials, µl each. */
export function keyOf(list: readonly { materialId: string; kind: string; body: Body | null; ul: number }[]): CurveKey {
  const of = (...kinds: string[]) => list.filter((l) => kinds.includes(l.kind)).sort((a, b) => b.ul - a.ul)
  const sum = (rows: readonly { ul: number }[]) => rows.reduce((s, r) => s + r.ul, 0)
  const [paints, mediums] = [of('paint'), of('medium', 'additive')]
  return {
    paintId: paints[0]?.materialId ?? null,
    mediumId: mediums[0]?.materialId ?? null,
    body: paints[0]?.body ?? 'fluid',
    ratio: sum(paints) > 0 ? sum(mediums) / sum(paints) : 0,
  }
}
