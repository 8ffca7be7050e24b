import { logGamma } from '@/core/probability/studentT'

const logChoose = (n: number, k: number) => logGamma(n + 1) - logGamma(k + 1) - logGamma(n - k + 1)

/** Fisher's exact test of a 2 × 2 table, two-sided: all tables of these margins that are no likelier than this one. */
export function fisherTwoSided(a: number, b: number, c: number, d: number): number {
  const [row, other, column] = [a + b, c + d, a + c]
  const p = (k: number) => Math.exp(logChoose(row, k) + logChoose(other, column - k) - logChoose(row + other, column))
  const seen = p(a)
  let sum = 0
  for (let k = Math.max(0, column - other); k <= Math.min(row, column); k++) if (p(k) <= seen * (1 + 1e-9)) sum += p(k)
  return Math.min(1, sum)
}
