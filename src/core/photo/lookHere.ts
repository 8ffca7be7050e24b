import type { Point } from '../surface/polygon'
import { chroma } from '../colour/lab'
import { components } from './components'
import { squaredDistance } from './distance'
import { lightness } from './picture'
import type { Segmented } from './segment'

// Taken out of the global once: inner loops run where a look-up of `Math` is not free.
const { PI, abs, floor, max, min, round, sqrt } = Math

/** What there may be to see at a place. */
export const SIGHTS = ['mud', 'spot'] as const
export type Sight = (typeof SIGHTS)[number]

/** A place a maker may want to look at: it is never counted as a fault until somebody says so. */
export interface LookHere {
  readonly sight: Sight
  /** mm from the top left of the face. */
  readonly at: Point
  readonly sizeMm: number
}

/** Mixtures with so little of their parents' chroma, so large and so wide, may be mud. */
const MUD = { ofParents: 0.6, mm2: 30, widthMm: 2 } as const
/** A spot differs so much in L* from around it, and is so large, mm; at most so many of a kind are shown. Start values of Fika. */
const SPOT = { difference: 14, mm: 0.9 } as const
const MOST = 12

/** Places to look at: mixtures that lost their colour, and small spots unlike all around. */
export function lookHere(segmented: Segmented): LookHere[] {
  return [...mud(segmented), ...spots(segmented)]
}

function mud({ labels, candidates, width, height, mmPerPx }: Segmented): LookHere[] {
  const isMuddy = candidates.map((c) => {
    if (c.of.length < 2) return false
    const parents = c.of.reduce((sum, [i, share]) => sum + share * chroma(candidates[i]!.lab), 0)
    return parents > 8 && chroma(c.lab) < MUD.ofParents * parents
  })
  let n = 0
  const mask = new Int8Array(labels.length)
  for (let i = 0; i < mask.length; i++) {
    const l = labels[i]!
    if (l >= 0 && isMuddy[l]) n += 1
    else mask[i] = -1
  }
  if (n * mmPerPx ** 2 < MUD.mm2) return []
  const { of, list } = components(mask, width, height)
  const depth = squaredDistance(
    mask.map((m) => m + 1),
    width,
    height,
  )
  const widest = new Float64Array(list.length)
  const sums = list.map(() => [0, 0])
  for (let i = 0; i < of.length; i++) {
    const c = of[i]!
    if (c < 0) continue
    widest[c] = max(widest[c]!, depth[i]!)
    sums[c]![0]! += i % width
    sums[c]![1]! += (i / width) | 0
  }
  return list
    .map((c, k) => ({ area: c.area * mmPerPx ** 2, wide: 2 * sqrt(widest[k]!) * mmPerPx, k, n: c.area }))
    .filter((c) => c.area >= MUD.mm2 && c.wide >= MUD.widthMm)
    .sort((a, b) => b.area - a.area)
    .slice(0, MOST)
    .map(({ k, n, area }) => ({
      sight: 'mud' as const,
      at: [(sums[k]![0]! / n) * mmPerPx, (sums[k]![1]! / n) * mmPerPx] as const,
      sizeMm: 2 * sqrt(area / PI),
    }))
}

/** Small spots by the difference of L* to a ring around, on a grid as fine as they are. */
function spots({ even, labels, width, height, mmPerPx }: Segmented): LookHere[] {
  const step = max(1, round(SPOT.mm / mmPerPx))
  const [w, h] = [floor(width / step), floor(height / step)]
  const l = new Float32Array(w * h).fill(NaN)
  for (let y = 0; y < h; y++)
    for (let x = 0; x < w; x++) {
      const i = min(height - 1, y * step + (step >> 1)) * width + min(width - 1, x * step + (step >> 1))
      if (labels[i]! >= 0) l[y * w + x] = lightness(even[3 * i]!, even[3 * i + 1]!, even[3 * i + 2]!)
    }
  const ring: readonly (readonly [number, number])[] = [
    [-2, -2],
    [0, -2],
    [2, -2],
    [-2, 0],
    [2, 0],
    [-2, 2],
    [0, 2],
    [2, 2],
  ]
  const found: (LookHere & { readonly by: number })[] = []
  for (let y = 2; y < h - 2; y++)
    for (let x = 2; x < w - 2; x++) {
      const here = l[y * w + x]!
      let [low, high] = [Infinity, -Infinity]
      for (const [dx, dy] of ring) {
        const v = l[(y + dy) * w + x + dx]!
        // Beside the face, or not alike: said at once, most places end here.
        if (!(abs(here - v) > SPOT.difference)) {
          low = NaN
          break
        }
        if (v < low) low = v
        if (v > high) high = v
      }
      if (Number.isNaN(low)) continue
      // All around alike, and this unlike.
      const by = min(abs(here - low), abs(here - high))
      if (!(high - low < SPOT.difference / 2 && by > SPOT.difference)) continue
      found.push({
        sight: 'spot',
        at: [(x + 0.5) * step * mmPerPx, (y + 0.5) * step * mmPerPx],
        sizeMm: SPOT.mm,
        by,
      })
    }
  return found
    .sort((a, b) => b.by - a.by)
    .slice(0, MOST)
    .map(({ by: _, ...f }) => f)
}
