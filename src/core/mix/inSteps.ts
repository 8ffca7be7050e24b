import { mustBeAmounts } from '../mustBe'
import { apportionParts } from './apportion'

/** A paint of a formula to be scaled to a batch. */
export interface ToScale {
  readonly id: string
  readonly parts: number
  /** ΔE00 when its amount rises by one part in e, at the mix. */
  readonly pull: number
}

export interface AddStep {
  readonly id: string
  readonly ul: number
  /** How much of it is then in. */
  readonly soFarUl: number
  /** Whether to stir and look before going on. */
  readonly look: boolean
  readonly strong: boolean
}

/** ΔE00 that one hundredth of the batch changes, from which a paint is added in steps. Start value of Fika. */
const STRONG = 1
/** Smallest step worth a stir, µl. */
const LEAST_STEP = 500

/** Whether a paint is so strong in this mix that it goes in by steps. */
export const isStrong = ({ parts, pull }: ToScale, totalParts: number) =>
  parts < totalParts && (0.01 * pull) / (parts / totalParts) > STRONG

/**
 * A formula scaled to a volume, as one adds it: weak colours first and at once; strong ones last, half, stir, look,
 * then half of what is left, then the rest by drops.
 * @param totalUl volume of the paints together; the amounts sum to it exactly
 */
export function inSteps(formula: readonly ToScale[], totalUl: number): AddStep[] {
  mustBeAmounts(
    'A part of the formula',
    formula.flatMap((f) => [f.parts, f.pull]),
  )
  const parts = formula.reduce((sum, f) => sum + f.parts, 0)
  const amounts = apportionParts(
    totalUl,
    formula.map((f) => f.parts),
  )
  const rows = formula
    .map((f, i) => ({ ...f, ul: amounts[i]!, strong: isStrong(f, parts), potency: f.pull / Math.max(f.parts, 1e-9) }))
    .filter((r) => r.ul > 0)
    .sort((a, b) => Number(a.strong) - Number(b.strong) || a.potency - b.potency)
  return rows.flatMap(({ id, ul, strong }) => {
    if (!strong || ul < 2 * LEAST_STEP) return [{ id, ul, soFarUl: ul, look: strong, strong }]
    const first = Math.round(ul / 2)
    const second = Math.round((ul - first) / 2)
    let soFarUl = 0
    return [first, second, ul - first - second].map((step) => {
      soFarUl += step
      return { id, ul: step, soFarUl, look: true, strong }
    })
  })
}
