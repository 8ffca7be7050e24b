import { TOUR_SPOTS } from '../run/events'
import { lightness } from './picture'
import type { Segmented } from './segment'

// Taken out of the global once: inner loops run where a look-up of `Math` is not free.
const { abs, ceil, floor, max, min, round } = Math

/** Steps of value, dark to light, each a fifth of L*. */
export const VALUE_STEPS = 5

export interface Composition {
  /** Share of the face in each step of value, dark to light. */
  readonly values: readonly number[]
  /** Where contrast lies: share of it in each of the nine spots of the tour, in their order. */
  readonly contrast: readonly number[]
}

/** Values are read every so many pixels. */
const STRIDE = 3
/** Contrast is a difference of L* over this much of the long side. Start value of Fika. */
const OVER = 0.02

/** Value steps and where contrast lies, of the face in even light. */
export function composition({ width, height, labels, even }: Segmented): Composition {
  const [w, h] = [ceil(width / STRIDE), ceil(height / STRIDE)]
  const l = new Float32Array(w * h).fill(NaN)
  const values = Array.from({ length: VALUE_STEPS }, () => 0)
  let n = 0
  for (let y = 0; y < h; y++)
    for (let x = 0; x < w; x++) {
      const i = y * STRIDE * width + x * STRIDE
      if (labels[i]! < 0) continue
      const value = lightness(even[3 * i]!, even[3 * i + 1]!, even[3 * i + 2]!)
      l[y * w + x] = value
      values[min(VALUE_STEPS - 1, max(0, floor((VALUE_STEPS * value) / 100)))]! += 1
      n += 1
    }
  const step = max(1, round((OVER * max(width, height)) / STRIDE))
  const contrast = TOUR_SPOTS.map(() => 0)
  let all = 0
  for (let y = 0; y + step < h; y++)
    for (let x = 0; x + step < w; x++) {
      const here = l[y * w + x]!
      const d = abs(here - l[y * w + x + step]!) + abs(here - l[(y + step) * w + x]!)
      if (Number.isNaN(d)) continue
      const spot = 3 * min(2, floor((3 * (y + step / 2)) / h)) + min(2, floor((3 * (x + step / 2)) / w))
      contrast[spot]! += d
      all += d
    }
  return { values: values.map((v) => v / max(1, n)), contrast: contrast.map((c) => c / max(1e-9, all)) }
}
