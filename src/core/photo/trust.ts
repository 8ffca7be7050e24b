import { labOf } from './picture'
import type { Segmented } from './segment'

// Taken out of the global once: inner loops run where a look-up of `Math` is not free.
const { abs, hypot, max } = Math

/** What is measured from a photo. */
export const METRICS = ['colours', 'quiet', 'cells', 'lacing', 'composition'] as const
export type Metric = (typeof METRICS)[number]

/** How far a photo can be trusted. */
export interface Trust {
  /** Pixels an edge between two colours takes. */
  readonly edgePx: number
  readonly glare: number
  /** Mean distance of a pixel to the colour it was given, L*a*b*. */
  readonly unexplained: number
  /** Why a metric is not shown; none where it can be. */
  readonly not: Readonly<Partial<Record<Metric, string>>>
}

/** Edges wider than this are blur, pixels; more glare hides too much; farther off, the colours are not this palette. Start values of Fika. */
const MOST = { edgePx: 7, glare: 0.15, unexplained: 13 } as const
/** Detail smaller than this cannot be told, pixels. */
const DETAIL_PX = 3
/** Two colours this far apart make an edge that can be judged, linear light. */
const STRONG = 0.15

const BLUR = 'The photo is blurred. Hold the camera still, touch the piece on the screen to focus, and take it again.'
const GLARE = 'Too much of it glares. Turn the lamp or the piece, and take it again.'
const STRANGE =
  'These are not the colours that were poured on it. Look whether the corners lie on the piece, and whether it is this piece.'
const SMALL = 'Its cells are too small for this photo. Go nearer, or photograph a part.'
const COARSE = 'Lines as thin as lacing cannot be told in this photo. Go nearer, or photograph a part.'

/** Lacing is at least this wide, mm; a pixel must not be wider than a part of it. Start values of Fika. */
const THINNEST_MM = 0.8

/** Which metrics can be trusted, from blur, glare, what the palette explains and the size of detail. */
export function trustOf(segmented: Segmented, cellsMm: readonly number[]): Trust {
  const edgePx = edgeWidth(segmented)
  const unexplained = meanDistance(segmented)
  const { glare, mmPerPx } = segmented
  const whole =
    unexplained > MOST.unexplained
      ? STRANGE
      : glare > MOST.glare || isWashedOut(segmented)
        ? GLARE
        : edgePx > MOST.edgePx
          ? BLUR
          : undefined
  if (whole)
    return {
      edgePx,
      glare,
      unexplained,
      not: { colours: whole, quiet: whole, cells: whole, lacing: whole, composition: whole },
    }
  const sizes = [...cellsMm].sort((a, b) => a - b)
  const median = sizes[sizes.length >> 1]
  const detailMm = max(DETAIL_PX, edgePx) * mmPerPx
  return {
    edgePx,
    glare,
    unexplained,
    not: {
      ...(median !== undefined && median < detailMm ? { cells: SMALL } : {}),
      ...(max(1.5, edgePx / 2) * mmPerPx > THINNEST_MM ? { lacing: COARSE } : {}),
    },
  }
}

/** Far more of the face is overexposed than light paint was poured: that is glare, whatever the light was taken for. */
const isWashedOut = ({ overexposed, palette }: Segmented) =>
  overexposed - palette.reduce((sum, c) => sum + (c.lab[0] > LIGHT_L ? c.share : 0), 0) > WASHED_OUT

/** Paint this light is soon overexposed, L*; and how much more than was poured of it may be. Start values of Fika. */
const [LIGHT_L, WASHED_OUT] = [85, 0.3]

/** Reaches across an edge, pixels: far first, since a blurred edge is wide; near where areas are small. */
const REACHES = [18, 6] as const

/** Median width of strong edges, pixels: contrast ÷ the steepest step across, every third row looked at. */
function edgeWidth(segmented: Segmented): number {
  for (const reach of REACHES) {
    const widths = edgeWidths(segmented, reach).sort((a, b) => a - b)
    if (widths.length >= 20) return widths[widths.length >> 1]!
  }
  return 1
}

function edgeWidths({ width, height, labels, even, candidates, palette }: Segmented, reach: number): number[] {
  const widths: number[] = []
  for (let y = reach; y < height - reach; y += 3)
    for (let x = reach; x < width - reach; x++) {
      const i = y * width + x
      const [a, b] = [labels[i]!, labels[i + 1]!]
      if (a === b || a < 0 || b < 0 || a >= palette.length || b >= palette.length) continue
      if (labels[i - reach + 1] !== a || labels[i + reach] !== b) continue
      const [p, q] = [candidates[a]!, candidates[b]!]
      const colour = [0, 1, 2].reduce((best, c) => {
        const d = (k: number) => abs(palette[p.of[0]![0]]!.linear[k]! - palette[q.of[0]![0]]!.linear[k]!)
        return d(c) > d(best) ? c : best
      }, 0)
      const value = (k: number) => even[3 * (i + k) + colour]!
      const contrast = abs(value(reach) - value(1 - reach))
      if (contrast < STRONG) continue
      let steepest = 0
      for (let k = 1 - reach; k < reach; k++) steepest = max(steepest, abs(value(k + 1) - value(k)))
      widths.push(contrast / steepest)
    }
  return widths
}

function meanDistance({ labels, even, candidates }: Segmented): number {
  let [sum, n] = [0, 0]
  for (let i = 0; i < labels.length; i += 37) {
    const c = labels[i]!
    if (c < 0) continue
    const lab = labOf(even[3 * i]!, even[3 * i + 1]!, even[3 * i + 2]!)
    const to = candidates[c]!.lab
    sum += hypot(lab[0] - to[0], lab[1] - to[1], lab[2] - to[2])
    n += 1
  }
  return n ? sum / n : Infinity
}
