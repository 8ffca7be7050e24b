import { components, type Components } from './components'
import { opened } from './distance'
import { lineLength, thinned } from './thinning'

// Taken out of the global once: inner loops run where a look-up of `Math` is not free.
const { max } = Math

/** Thin lines of one colour. */
export interface Lacing {
  readonly lengthMm: number
  readonly widthMm: number
}

/** Widest a line of lacing is, mm; shortest that counts, mm, and against its width. Start values of Fika. */
const LINE = { widestMm: 2.2, shortestMm: 7, timesWidth: 5 } as const

/** Thin lines as they were found, component by component. */
export interface Lines {
  /** Component of thin lines at each pixel, else −1. */
  readonly of: Int32Array
  /** Length of each component, pixels; 0 for what is not long and slim. */
  readonly lengths: readonly number[]
  /** 1 on the lines thinned to a pixel. */
  readonly bone: Uint8Array
}

/**
 * Thin lines: what an opening takes off each colour (a top-hat), thinned; those that are long and slim.
 * @param labels palette index at each pixel, below zero where nothing is measured
 * @param depth squared distance to the nearest pixel of another label
 * @param notLines pixels that are known to be something else, such as the halos of cells
 */
export function findLines(
  labels: ArrayLike<number>,
  notLines: ArrayLike<number>,
  depth: Float32Array,
  width: number,
  height: number,
  mmPerPx: number,
): Lines {
  const wide = opened(depth, width, height, max(2, LINE.widestMm / mmPerPx / 2))
  const thin = new Int16Array(width * height)
  for (let i = 0; i < thin.length; i++) thin[i] = wide[i] || notLines[i] ? -1 : labels[i]!
  const found = components(thin, width, height, { isEightWay: true })
  const isLine = new Uint8Array(thin.length)
  for (let i = 0; i < isLine.length; i++) isLine[i] = thin[i]! >= 0 ? 1 : 0
  const bone = thinned(isLine, width, height)
  return { of: found.of, lengths: slim(found, bone, mmPerPx), bone }
}

/** Length and mean width of the lines whose component `isKept`. */
export function lacingOf(
  { of, bone }: Lines,
  isKept: (component: number) => boolean,
  width: number,
  height: number,
  mmPerPx: number,
): Lacing {
  const bones = new Uint8Array(bone.length)
  let area = 0
  for (let i = 0; i < bones.length; i++) {
    if (of[i]! < 0 || !isKept(of[i]!)) continue
    area += 1
    if (bone[i]) bones[i] = 1
  }
  const lengthMm = lineLength(bones, width, height) * mmPerPx
  return { lengthMm, widthMm: lengthMm > 0 ? (area * mmPerPx * mmPerPx) / lengthMm : 0 }
}

/** A step along a bone is about so many pixels whatever its direction. */
const STEP = 1.1

/** Length of each component, pixels, by the bones in it; 0 for what is not long and slim. */
function slim({ of, list }: Components, bone: Uint8Array, mmPerPx: number): number[] {
  const long = new Float64Array(list.length)
  for (let i = 0; i < bone.length; i++) if (bone[i] && of[i]! >= 0) long[of[i]!]! += STEP
  return list.map((c, k) => {
    const l = long[k]!
    return l * mmPerPx >= LINE.shortestMm && l * l >= LINE.timesWidth * c.area ? l : 0
  })
}
