// Taken out of the global once: inner loops run where a look-up of `Math` is not free.
const { min } = Math
const FAR = 1e9
const ENDLESS = Number.MAX_VALUE

/** Lower envelope of parabolas q ↦ (q − v)² + f(v), one line at a time; its working memory is made once. */
class Envelope {
  readonly f: Float64Array
  private readonly at: Int32Array
  private readonly bound: Float64Array
  private k = -1

  constructor(most: number) {
    this.f = new Float64Array(most + 2)
    this.at = new Int32Array(most + 2)
    this.bound = new Float64Array(most + 3)
  }

  clear(): void {
    this.k = -1
  }

  /** Adds the parabola over `q`; they come from left to right. */
  add(q: number, value: number): void {
    const { at, bound, f } = this
    f[q + 1] = value
    let s = -ENDLESS
    while (this.k >= 0) {
      const v = at[this.k]!
      s = (value + q * q - (f[v + 1]! + v * v)) / (2 * (q - v))
      if (s > bound[this.k]!) break
      this.k -= 1
      s = -ENDLESS
    }
    this.k += 1
    at[this.k] = q
    bound[this.k] = s
    bound[this.k + 1] = ENDLESS
  }

  /** Writes its height for `from` ≤ q < `to`; nothing where no parabola was added. */
  write(out: Float32Array, start: number, from: number, to: number): void {
    if (this.k < 0) return
    const { at, bound, f } = this
    for (let q = from, j = 0; q < to; q++) {
      while (bound[j + 1]! < q) j += 1
      const v = at[j]!
      out[start + q] = (q - v) * (q - v) + f[v + 1]!
    }
  }
}

/**
 * Squared distance of each pixel to the nearest pixel that is 0 (exact Euclidean distance transform, Felzenszwalb &
 * Huttenlocher 2012, from memory). Beyond the picture counts as far.
 * @param mask width · height, 0 or not
 */
export function squaredDistance(mask: ArrayLike<number>, width: number, height: number): Float32Array {
  const d = new Float32Array(width * height)
  const column = new Int32Array(width).fill(-FAR)
  for (let y = 0, i = 0; y < height; y++)
    for (let x = 0; x < width; x++, i++) {
      if (!mask[i]) column[x] = y
      d[i] = min(FAR, (y - column[x]!) ** 2)
    }
  column.fill(FAR)
  const envelope = new Envelope(width)
  for (let y = height - 1; y >= 0; y--) {
    envelope.clear()
    for (let x = 0, i = y * width; x < width; x++, i++) {
      if (!mask[i]) column[x] = y
      const g = min(d[i]!, (column[x]! - y) ** 2)
      if (g < FAR) envelope.add(x, g)
      d[i] = FAR
    }
    envelope.write(d, y * width, 0, width)
  }
  return d
}

/**
 * Squared distance of each pixel to the nearest pixel of another label, for all labels at once: along columns first, then
 * along each run of a row, whose ends are nearer than anything beyond them. Beyond the picture counts as far.
 */
export function squaredDepth(labels: ArrayLike<number>, width: number, height: number): Float32Array {
  const d = new Float32Array(width * height)
  const from = new Int32Array(width).fill(-FAR)
  for (let y = 0, i = 0; y < height; y++)
    for (let x = 0; x < width; x++, i++) {
      if (y > 0 && labels[i] !== labels[i - width]) from[x] = y - 1
      d[i] = min(FAR, (y - from[x]!) ** 2)
    }
  from.fill(FAR)
  const envelope = new Envelope(width)
  for (let y = height - 1; y >= 0; y--) {
    const start = y * width
    for (let x = 0; x < width;) {
      const l = labels[start + x]
      const first = x
      envelope.clear()
      if (first > 0) envelope.add(first - 1, 0)
      for (; x < width && labels[start + x] === l; x++) {
        const i = start + x
        if (y < height - 1 && labels[i + width] !== l) from[x] = y + 1
        const g = min(d[i]!, (from[x]! - y) ** 2)
        if (g < FAR) envelope.add(x, g)
        d[i] = FAR
      }
      if (x < width) envelope.add(x, 0)
      envelope.write(d, start, first, x)
    }
  }
  return d
}

/**
 * Where a disc of a radius in pixels fits into areas of one label (morphological opening of all labels at once): a disc
 * about a pixel so deep lies all in its own label.
 * @param depth as `squaredDepth` gives it
 */
export function opened(depth: Float32Array, width: number, height: number, radius: number): Uint8Array {
  const core = new Uint8Array(depth.length)
  for (let i = 0; i < core.length; i++) core[i] = depth[i]! >= radius * radius ? 0 : 1
  const back = squaredDistance(core, width, height)
  for (let i = 0; i < core.length; i++) core[i] = back[i]! < radius * radius ? 1 : 0
  return core
}
