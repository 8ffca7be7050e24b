export { random } from '@/core/random'

/** A normal deviate by the sum of twelve. */
export function gaussian(next: () => number): number {
  let sum = -6
  for (let i = 0; i < 12; i++) sum += next()
  return sum
}
