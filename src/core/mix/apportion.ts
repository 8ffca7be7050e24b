import { Invalid } from '../errors'
import { mustBeAmounts } from '../mustBe'
/**
 * Splits a whole number of microlitres in proportion to weights so that the parts sum to it exactly: largest
 * remainder (Hamilton's method). Ties go to the earlier part. BigInt inside, so that volume × weight cannot lose
 * a microlitre.
 * @param totalUl whole, ≥ 0
 * @param weights whole, ≥ 0, not all zero unless totalUl is 0
 * @throws RangeError on fractions, negatives, or nothing to split by
 */
export function apportion(totalUl: number, weights: readonly number[]): number[] {
  if (!Number.isSafeInteger(totalUl) || totalUl < 0) throw new RangeError('totalUl must be a whole number ≥ 0')
  if (weights.some((w) => !Number.isSafeInteger(w) || w < 0)) throw new RangeError('weights must be whole numbers ≥ 0')
  const total = BigInt(totalUl)
  const sum = weights.reduce((a, w) => a + BigInt(w), 0n)
  if (sum === 0n) {
    if (totalUl === 0) return weights.map(() => 0)
    throw new RangeError('nothing to split by: all weights are zero')
  }
  const shares = weights.map((w, index) => {
    const product = total * BigInt(w)
    return { index, whole: product / sum, rest: product % sum }
  })
  let left = Number(total - shares.reduce((a, s) => a + s.whole, 0n))
  const result = shares.map((s) => Number(s.whole))
  const byRest = [...shares].sort((a, b) => (a.rest === b.rest ? a.index - b.index : a.rest > b.rest ? -1 : 1))
  for (const share of byRest) {
    if (left === 0) break
    result[share.index]! += 1
    left -= 1
  }
  return result
}

/**
 * As `apportion`, for parts that need not be whole (1 : 2 : 0.5); precise to a billionth of a part.
 * @throws Invalid for what is no number, or no part above zero
 */
export function apportionParts(totalUl: number, parts: readonly number[]): number[] {
  mustBeAmounts('A volume or a part', [totalUl, ...parts])
  const largest = Math.max(...parts, 0)
  if (!(largest > 0)) throw new Invalid('Give at least one part above zero.')
  return apportion(
    totalUl,
    parts.map((p) => Math.round((p / largest) * 1e9)),
  )
}
