import type { GuidePlan, GuideState } from '@/core/mix/guide'
import { toleranceUl } from '@/core/mix/guide'

/** What the scale says of the line being poured. */
export interface Pouring {
  readonly targetUl: number
  /** In already: before this tare, and by what the scale shows now. */
  readonly inUl: number
  /** Still to pour; below zero: too much. */
  readonly leftUl: number
  readonly leftG: number
  readonly isThere: boolean
}

/**
 * How much of a line is in and how much is missing.
 * @param grossG what the scale shows, its own tare added back; null without a scale
 * @param resolutionG the smallest step it shows
 */
export function pouringOf(
  plan: GuidePlan,
  state: GuideState,
  grossG: number | null,
  resolutionG = 0,
): Pouring | undefined {
  const line = plan.lines[state.line]
  if (!line) return undefined
  const targetUl = state.targetsUl[state.line]!
  const before = (state.pouredUl[state.line] ?? 0) + state.heldUl
  const now = grossG === null || state.baselineG === null ? 0 : (1000 * (grossG - state.baselineG)) / line.densityGPerMl
  const inUl = before + now
  const leftUl = targetUl - inUl
  return {
    targetUl,
    inUl,
    leftUl,
    leftG: (leftUl / 1000) * line.densityGPerMl,
    isThere: Math.abs(leftUl) <= toleranceUl(targetUl, (1000 * resolutionG) / line.densityGPerMl),
  }
}

/** What a settled weight adds to the line, whole µl. */
export const pouredBy = (plan: GuidePlan, state: GuideState, settledG: number): number =>
  Math.round(state.heldUl + (1000 * (settledG - (state.baselineG ?? 0))) / plan.lines[state.line]!.densityGPerMl)

/** Water the mix may still take by the house's limit, as the plan's lines and the watering stand. */
export function amountsOf(plan: GuidePlan, state: GuideState) {
  const lines = plan.lines.map((l, i) => ({
    kind: l.kind,
    ul: state.pouredUl[i] ?? 0,
    waterShare: l.waterShare,
    solids: l.solids,
    pigmentShare: l.pigmentShare,
    grade: l.grade,
  }))
  const { water } = plan
  return water && state.wateredUl > 0
    ? [...lines, { kind: 'water' as const, ul: state.wateredUl, waterShare: water.waterShare, solids: water.solids }]
    : lines
}
