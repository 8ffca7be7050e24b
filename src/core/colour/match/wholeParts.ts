import { deltaE00 } from '../deltaE00'
import { labOfSet, type Palette } from './palette'
import type { Aim, Refined } from './refine'

/** A formula in whole parts. */
export interface WholeParts {
  readonly set: readonly number[]
  readonly parts: readonly number[]
  readonly deltaE: number
}

const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b))

/**
 * The best formula in whole parts of at most `most` each near a set's best amounts: for every size of the largest
 * part, each other part rounded down and up.
 */
export function wholeParts(
  palette: Palette,
  aim: Aim,
  { set, amounts }: Refined,
  most: number,
): WholeParts | undefined {
  const largest = amounts.reduce((m, v) => Math.max(m, v), 0)
  const tried = new Set<string>()
  let best: WholeParts | undefined
  for (let scale = 1; scale <= most; scale++) {
    const exact = Array.from(amounts, (a) => (a / largest) * scale)
    const free = exact.flatMap((e, j) => (Math.abs(e - Math.round(e)) > 1e-9 ? [j] : []))
    for (let up = 0; up < 1 << free.length; up++) {
      const parts = exact.map((e, j) => {
        const bit = free.indexOf(j)
        return bit < 0 ? Math.round(e) : Math.floor(e) + ((up >> bit) & 1)
      })
      // A paint whose part rounds to nothing makes another set, which is looked at by itself.
      if (parts.some((p) => p < 1)) continue
      const divisor = parts.reduce(gcd)
      const lowest = parts.map((p) => p / divisor)
      const key = lowest.join()
      if (tried.has(key)) continue
      tried.add(key)
      const deltaE = deltaE00(labOfSet(palette, set, lowest), aim.lab)
      if (!best || deltaE < best.deltaE - 0.02 * (sum(best.parts) - sum(lowest))) best = { set, parts: lowest, deltaE }
    }
  }
  return best
}

const sum = (parts: readonly number[]) => parts.reduce((a, b) => a + b, 0)
