/** A normal deviate from uniform random numbers (0 ≤ x < 1), by the sum of twelve. */
export function normal(random: () => number): number {
  let sum = -6
  for (let i = 0; i < 12; i++) sum += random()
  return sum
}
