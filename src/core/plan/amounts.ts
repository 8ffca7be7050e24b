import { mustBeAmounts } from '../mustBe'
import { apportionParts } from '../mix/apportion'

/** What a bottle is planned for: its share of the cup, or something planned apart from it. */
export const PLAN_USES = ['cup', 'base coat', 'slip coat', 'reserve'] as const
export type PlanUse = (typeof PLAN_USES)[number]

/** What is planned apart from the cup. */
export const APART_USES = ['base coat', 'slip coat', 'reserve'] as const satisfies readonly PlanUse[]
export type ApartUse = (typeof APART_USES)[number]

export interface PlanPart {
  readonly use: PlanUse
  readonly vesselId: string
  /** Share in the cup, by parts; ignored for the other uses. */
  readonly parts: number | null
  readonly ul: number
}

/**
 * Volumes of a plan: the cup split by parts so that they sum to it exactly, and what is planned apart as it is.
 * A bottle without a share is left out.
 */
export function planParts(
  cupUl: number,
  cup: readonly { vesselId: string; parts: number }[],
  apart: readonly { use: Exclude<PlanUse, 'cup'>; vesselId: string; ul: number }[],
): PlanPart[] {
  mustBeAmounts('An amount of the plan', [cupUl, ...cup.map((p) => p.parts), ...apart.map((a) => a.ul)])
  const sharing = cup.filter((c) => c.parts > 0)
  const shares =
    sharing.length && cupUl > 0
      ? apportionParts(
          cupUl,
          sharing.map((c) => c.parts),
        )
      : []
  return [
    ...sharing.map((c, i): PlanPart => ({ use: 'cup', vesselId: c.vesselId, parts: c.parts, ul: shares[i] ?? 0 })),
    ...apart.filter((a) => a.ul > 0).map((a): PlanPart => ({ ...a, parts: null })),
  ].filter((p) => p.ul > 0)
}

/** What each bottle must give over all uses, and by how much it falls short of it, µl. */
export function needs(
  parts: readonly PlanPart[],
  haveUl: ReadonlyMap<string, number>,
): { vesselId: string; needUl: number; shortUl: number }[] {
  const need = new Map<string, number>()
  for (const p of parts) need.set(p.vesselId, (need.get(p.vesselId) ?? 0) + p.ul)
  return [...need].map(([vesselId, needUl]) => ({
    vesselId,
    needUl,
    shortUl: Math.max(0, needUl - (haveUl.get(vesselId) ?? 0)),
  }))
}
