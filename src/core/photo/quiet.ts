import { opened } from './distance'

// Taken out of the global once: inner loops run where a look-up of `Math` is not free.
const { max, min } = Math

/** A disc so large against the short side must fit into a quiet area. */
const DISC = 0.04

/**
 * Share of the face that is quiet: of one colour so wide that a disc of 4 % of the short side fits, colour by colour.
 * @param labels palette index at each pixel, below zero where nothing is measured
 * @param depth squared distance to the nearest pixel of another label
 */
export function quietShares(
  labels: ArrayLike<number>,
  depth: Float32Array,
  colours: number,
  width: number,
  height: number,
): number[] {
  const wide = opened(depth, width, height, (DISC * min(width, height)) / 2)
  const quiet = new Float64Array(colours)
  let face = 0
  for (let i = 0; i < wide.length; i++) {
    if (labels[i]! < 0) continue
    face += 1
    if (wide[i]) quiet[labels[i]!]! += 1
  }
  return Array.from(quiet, (q) => q / max(1, face))
}
