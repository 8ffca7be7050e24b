import { sourceKey, type Design, type Of } from './design'
import { coatUl } from './coats'
import { fillCups, type Filled } from './cups'
import type { PlanUse } from './uses'

/** What a plan takes of one source for one use, µl. */
export interface PlanPart {
  readonly use: PlanUse
  readonly of: Of
  readonly ul: number
}

/** Amounts of a whole plan. */
export interface PlanAmounts extends Filled {
  /** Of each source by use, in the order of the cups and their layers, then coats. */
  readonly parts: readonly PlanPart[]
  /** Of each coat, µl. */
  readonly coats: ReadonlyMap<string, number>
  /** Layers that are in a cup and name nothing yet, µl. */
  readonly unnamedUl: number
}

/**
 * Works out a whole plan: cups, layers, coats, and what each bottle, formula or recipe gives.
 * @param sizes brims of the studio's cups, µl
 * @throws Invalid for impossible sizes
 */
export function planAmounts(design: Design, sizes: readonly number[] = []): PlanAmounts {
  const filled = fillCups(design, sizes)
  const parts = new Map<string, PlanPart>()
  const add = (use: PlanUse, of: Of, ul: number) => {
    const key = `${use} ${sourceKey(of)}`
    if (ul > 0) parts.set(key, { use, of, ul: (parts.get(key)?.ul ?? 0) + ul })
  }
  let unnamedUl = 0
  for (const cup of design.cups) {
    const { layers, ul } = filled.cups.find((c) => c.id === cup.id)!
    let named = 0
    for (const layer of cup.layers) {
      const takes = layers.find((l) => l.layer === layer.id)!.ul
      if (layer.of) {
        add('cup', layer.of, takes)
        named += takes
      }
    }
    unnamedUl += ul - named
  }
  const coats = new Map(design.coats.map((c) => [c.id, coatUl(c, design.surfaces)] as const))
  for (const c of design.coats) if (c.of) add(c.role, c.of, coats.get(c.id)!)
  return { ...filled, parts: [...parts.values()], coats, unnamedUl }
}

/** What each source must give over all uses, and by how much it falls short of what it holds, µl. */
export function needs(
  parts: readonly PlanPart[],
  haveUl: ReadonlyMap<string, number>,
): { of: Of; needUl: number; shortUl: number }[] {
  const sums = new Map<string, { of: Of; needUl: number }>()
  for (const { of, ul } of parts) sums.set(sourceKey(of), { of, needUl: (sums.get(sourceKey(of))?.needUl ?? 0) + ul })
  return [...sums.values()].map(({ of, needUl }) => ({
    of,
    needUl,
    shortUl: Math.max(0, needUl - (of.kind === 'bottle' ? (haveUl.get(of.id) ?? 0) : 0)),
  }))
}
