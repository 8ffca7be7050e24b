import { needs, planAmounts } from '@/core/plan/amounts'
import { addMaterials } from '@/core/plan/materialNeeds'
import type { BottleFull } from '../bottles/read'
import type { Formula } from '../formulas/formulas'
import type { PlanWithParts } from './read'

/** A recipe that is not mixed yet: what it takes is read at the bench. */
export interface Unread {
  readonly label: string
  readonly ul: number
}

/** Medium for one part of paint where a formula says nothing of it. Start value of Fika; the bench asks. */
const FORMULA_MEDIUM = 2

/** What of each material some plans together want that no bottle holds, µl. */
export function wantedMaterials(
  f: { readonly bottles: readonly BottleFull[]; readonly formulas: readonly Formula[] },
  chosen: readonly PlanWithParts[],
): { materials: Map<string, number>; unread: Unread[] } {
  const have = new Map(f.bottles.map((b) => [b.id, b.ul]))
  const materials = new Map<string, number>()
  const unread: Unread[] = []
  const parts = chosen.flatMap((p) => planAmounts(p.design).parts)
  for (const { of, shortUl } of needs(parts, have)) {
    if (shortUl === 0) continue
    const bottle = f.bottles.find((b) => of.kind === 'bottle' && b.id === of.id)
    if (bottle) addMaterials(materials, bottle.recipe, shortUl)
    else if (of.kind === 'formula') {
      const paints = f.formulas.find((x) => x.id === of.id)?.versions[0]?.parts ?? []
      addMaterials(
        materials,
        {
          paints: paints.map((p) => ({ materialId: p.paintId, parts: p.parts })),
          paintParts: 1,
          mediums: [],
          water: { materialId: '', parts: FORMULA_MEDIUM },
        },
        shortUl,
      )
    } else
      unread.push({
        label: chosen.flatMap((p) => p.parts).find((p) => p.of.id === of.id)?.label ?? 'a bottle emptied since',
        ul: shortUl,
      })
  }
  return { materials, unread }
}
