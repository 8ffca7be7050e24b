/** A small deterministic generator (0 ≤ x < 1), so that a failure can be repeated. */
export function random(seed: number): () => number {
  let s = seed >>> 0
  return () => {
    s = (Math.imul(s, 1664525) + 1013904223) >>> 0
    return s / 2 ** 32
  }
}

/** A normal deviate by the sum of twelve. */
export function gaussian(next: () => number): number {
  let sum = -6
  for (let i = 0; i < 12; i++) sum += next()
  return sum
}
