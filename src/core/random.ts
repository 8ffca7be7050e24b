// Taken out of the global once: inner loops run where a look-up of `Math` is not free.
const { imul } = Math

/** A small deterministic generator (0 ≤ x < 1), so that what it gives can be repeated (Numerical Recipes' quick one). */
export function random(seed: number): () => number {
  let s = seed >>> 0
  return () => {
    s = (imul(s, 1664525) + 1013904223) >>> 0
    return s / 2 ** 32
  }
}
