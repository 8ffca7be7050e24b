/** A connected area of one label. */
export interface Component {
  readonly label: number
  /** Pixels. */
  readonly area: number
  readonly x0: number
  readonly y0: number
  readonly x1: number
  readonly y1: number
}

export interface Components {
  /** Which component each pixel is of; −1 for none. */
  readonly of: Int32Array
  readonly list: readonly Component[]
}

/** Stretches of one label in the rows of a picture, with the set each is joined to (Rosenfeld & Pfaltz 1966, by runs). */
class Runs {
  count = 0
  label = new Int32Array(1024)
  from = new Int32Array(1024)
  /** Beyond its last pixel. */
  to = new Int32Array(1024)
  row = new Int32Array(1024)
  parent = new Int32Array(1024)

  add(label: number, row: number, from: number, to: number): void {
    if (this.count === this.label.length)
      for (const key of ['label', 'from', 'to', 'row', 'parent'] as const) {
        const more = new Int32Array(2 * this.count)
        more.set(this[key])
        this[key] = more
      }
    const k = this.count++
    this.label[k] = label
    this.row[k] = row
    this.from[k] = from
    this.to[k] = to
    this.parent[k] = k
  }

  root(i: number): number {
    const { parent } = this
    let r = i
    while (parent[r] !== r) r = parent[r]!
    while (parent[i] !== r) {
      const next = parent[i]!
      parent[i] = r
      i = next
    }
    return r
  }

  /** Joins two runs of neighbouring rows where they are of one label and touch; `reach` 1: over a corner too. */
  meet(i: number, j: number, reach: number): void {
    const { from, to, label } = this
    if (label[i] !== label[j] || from[i]! >= to[j]! + reach || from[j]! >= to[i]! + reach) return
    const [a, b] = [this.root(i), this.root(j)]
    if (a < b) this.parent[b] = a
    else this.parent[a] = b
  }
}

/**
 * Connected areas of equal label, by the runs of its rows and joining those that touch (4 neighbours, or 8).
 * @param labels width · height; below zero belongs to none
 */
export function components(
  labels: ArrayLike<number>,
  width: number,
  height: number,
  { isEightWay = false } = {},
): Components {
  const runs = new Runs()
  const reach = isEightWay ? 1 : 0
  let before = 0
  for (let y = 0; y < height; y++) {
    const first = runs.count
    for (let x = 0, i = y * width; x < width;) {
      const l = labels[i]!
      const from = x
      do {
        x += 1
        i += 1
      } while (x < width && labels[i] === l)
      if (l >= 0) runs.add(l, y, from, x)
    }
    // Two rows of runs side by side: the one that ends first is passed.
    for (let a = before, b = first; a < first && b < runs.count;) {
      runs.meet(a, b, reach)
      if (runs.to[a]! < runs.to[b]!) a += 1
      else if (runs.to[a]! > runs.to[b]!) b += 1
      else {
        // They end together: each may touch the other's neighbour across the corner.
        if (a + 1 < first) runs.meet(a + 1, b, reach)
        if (b + 1 < runs.count) runs.meet(a, b + 1, reach)
        a += 1
        b += 1
      }
    }
    before = first
  }
  return listed(runs, width, height)
}

function listed(runs: Runs, width: number, height: number): Components {
  const of = new Int32Array(width * height).fill(-1)
  const numbers = new Int32Array(runs.count).fill(-1)
  const list: { label: number; area: number; x0: number; y0: number; x1: number; y1: number }[] = []
  for (let k = 0; k < runs.count; k++) {
    const r = runs.root(k)
    const [y, from, to] = [runs.row[k]!, runs.from[k]!, runs.to[k]!]
    if (numbers[r]! < 0) {
      numbers[r] = list.length
      list.push({ label: runs.label[k]!, area: 0, x0: from, y0: y, x1: to - 1, y1: y })
    }
    const c = list[numbers[r]!]!
    of.fill(numbers[r]!, y * width + from, y * width + to)
    c.area += to - from
    if (from < c.x0) c.x0 = from
    if (to - 1 > c.x1) c.x1 = to - 1
    c.y1 = y
  }
  return { of, list }
}
