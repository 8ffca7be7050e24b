import { groupBy } from '@/core/groupBy'
import type { Bottle, LotPortion } from '@/db/bottles/read'
import type { Pourable } from './EyeScreen'

/** Bottles as one may pour from them into a mix: with what they hold by material, and how heavy that is. */
export function pourables(bottles: readonly Bottle[], portions: readonly LotPortion[]): Pourable[] {
  const of = groupBy(portions, (p) => p.vesselId)
  return bottles.flatMap((b) => {
    const list = of.get(b.id) ?? []
    const ul = list.reduce((s, p) => s + p.ul, 0)
    if (ul === 0) return []
    const byMaterial = new Map<string, number>()
    for (const p of list) byMaterial.set(p.materialId, (byMaterial.get(p.materialId) ?? 0) + p.ul)
    return [
      {
        id: b.id,
        label: b.label,
        hex: b.hex,
        densityGPerMl: list.reduce((s, p) => s + p.ul * p.densityGPerMl, 0) / ul,
        content: [...byMaterial].map(([materialId, amount]) => ({ materialId, ul: amount })),
      },
    ]
  })
}
