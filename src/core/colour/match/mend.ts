import { Invalid } from '../../errors'
import { deltaE00 } from '../deltaE00'
import { ratioOf, type Optics } from '../kubelkaMunk'
import type { Reflectance } from '../reflectance'
import { aimOf, within } from './match'
import { labOfSet, paletteOf, type Palette } from './palette'
import { polish, refine, type Aim, type Refined } from './refine'
import { pullsAt, screen, type Pulls, type SetSize } from './screen'

export interface MendWish {
  /** Most paints to add; 1–3. */
  readonly most: 1 | 2 | 3
  /** ΔE00 that counts as there. */
  readonly tolerance: number
  /** What is in the cup, µl. */
  readonly cupUl: number
  /** How much more the cup can take, µl. */
  readonly roomUl: number
  /** One drop, µl. */
  readonly dropUl: number
}

export interface Mend {
  /** Paints to add, by index, with whole drops. */
  readonly additions: readonly { readonly paint: number; readonly drops: number; readonly ul: number }[]
  readonly addedUl: number
  readonly deltaE: number
}

export interface Mended {
  /** ΔE00 of the cup as it is. */
  readonly now: number
  /** Whether it is within tolerance, or an addition within the room brings it there. */
  readonly reached: boolean
  /** Smallest addition first where it is reached, nearest first where it is not; none where the cup is there already. */
  readonly ways: readonly Mend[]
}

const KEEP = 120
const WORKED_OUT = 60
const SHOWN = 12
/** Sets of one or two additions that are counted out drop by drop, and up to how many drops. */
const COUNTED_OUT = 40
const COUNTED = 100
/** Exact amounts rounded down and up; and how far round the best is looked. */
const ROUNDED = [0, 1] as const
const LOOKED_ROUND = [-3, 3] as const

/**
 * What to add to a cup so that it comes to a target: additions only, the least volume that is within tolerance. Where
 * that cannot be reached, the nearest that can.
 * @param cup optics of what is in the cup, per unit of its volume
 * @param paints optics of the paints that may be added
 * @throws Invalid where nothing is in the cup, or there is nothing to add
 */
export function* mendSteps(
  target: Reflectance,
  cup: Optics,
  paints: readonly Optics[],
  wish: MendWish,
): Generator<number, Mended> {
  if (!(wish.cupUl > 0)) throw new Invalid('The cup is empty. Say what went in, and how much.')
  if (paints.length === 0) throw new Invalid('There is no paint to add. Allow some paints.')
  const aim = aimOf(target)
  const palette = paletteOf([cup, ...paints])
  const now = deltaE00(labOfSet(palette, [0], [1]), aim.lab)
  if (now <= wish.tolerance) return { now, reached: true, ways: [] }
  const cups: Cup = { pulls: pullsAt(target, palette), palette, aim, now, wish, drops: new Drops(palette, aim, wish) }
  const ways: Mend[] = []
  for (let size = 1; size <= wish.most; size++)
    ways.push(...(yield* within(waysOf(cups, size), (size - 1) / wish.most, 1 / wish.most)))
  const reached = shortest(cups, ways)
  return { now, reached: reached.length > 0, ways: (reached.length ? reached : nearest(cups, ways)).slice(0, SHOWN) }
}

/** A cup that is mended. */
interface Cup {
  /** Where each pulls from the target: the same whatever is added. */
  readonly pulls: Pulls
  /** The cup first, then the paints. */
  readonly palette: Palette
  readonly aim: Aim
  /** ΔE00 of it as it is. */
  readonly now: number
  readonly wish: MendWish
  readonly drops: Drops
}

const shortest = ({ wish }: Cup, ways: readonly Mend[]) =>
  unlike(ways.filter((w) => w.deltaE <= wish.tolerance).sort((a, b) => a.addedUl - b.addedUl))
const nearest = ({ now }: Cup, ways: readonly Mend[]) =>
  unlike(ways.filter((w) => w.deltaE < now).sort((a, b) => a.deltaE - b.deltaE))

/**
 * Ways to mend a cup with so many paints, by themselves: whatever more is allowed, these are looked for alike.
 * @param size how many paints are added, 1–3
 */
function* waysOf(cup: Cup, size: number): Generator<number, Mend[]> {
  const { palette, aim, wish, drops } = cup
  const room = wish.roomUl / wish.cupUl
  const screened = screen(cup.pulls, palette.count, {
    size: (size + 1) as SetSize,
    musts: [0],
    keep: KEEP,
  })
  const starts = yield* within(screened, 0, 0.4)
  const found: Refined[] = []
  for (const [i, start] of starts.entries()) {
    // The cup comes first in every set, and its amount is the unit: it stays, whatever room there is for the rest.
    const most = Math.max(room, 1e-3)
    const relative = start.amounts.map((v, j) => (j === 0 ? 1 : Math.min(v / start.amounts[0]!, most)))
    const exact = refine(palette, aim, start.set, relative, 14, 1)
    found.push(exact.deltaE > wish.tolerance || added(exact.amounts) > room ? fitted(palette, aim, exact, room) : exact)
    if (i % 24 === 23) yield 0.4 + (0.2 * i) / starts.length
  }
  found.sort((a, b) => a.deltaE - b.deltaE)
  const ways: Mend[] = []
  for (const [i, start] of found.slice(0, WORKED_OUT).entries()) {
    const near = fitted(
      palette,
      aim,
      start.deltaE > 0.5 * wish.tolerance ? polish(palette, aim, start, 1) : start,
      room,
    )
    const least = near.deltaE <= wish.tolerance ? leastVolume(palette, aim, near, wish.tolerance) : near
    ways.push(...drops.about(least, ROUNDED))
    if (i % 8 === 7) yield 0.6 + (0.1 * i) / WORKED_OUT
  }
  if (size < 3)
    for (const [i, { set }] of found.slice(0, COUNTED_OUT).entries()) {
      ways.push(...drops.countedOut(set))
      if (i % 8 === 7) yield 0.7 + (0.2 * i) / COUNTED_OUT
    }
  for (const way of [...shortest(cup, ways), ...nearest(cup, ways)].slice(0, SHOWN)) {
    ways.push(...drops.about(drops.exactly(way), LOOKED_ROUND))
    ways.push(...drops.about(settled(palette, aim, drops.exactly(way), room), ROUNDED))
  }
  yield 1
  return ways
}

const added = (amounts: ArrayLike<number>) => {
  let sum = 0
  for (let j = 1; j < amounts.length; j++) sum += amounts[j]!
  return sum
}
const deltaEOf = (palette: Palette, aim: Aim, set: readonly number[], amounts: ArrayLike<number>) =>
  deltaE00(labOfSet(palette, set, amounts), aim.lab)

/** The same additions no larger than the room: where they are, the nearest along the way that fits. */
function fitted(palette: Palette, aim: Aim, r: Refined, room: number): Refined {
  const volume = added(r.amounts)
  if (volume <= room) return r
  const cut = r.amounts.map((v, j) => (j === 0 ? v : (v * room) / volume))
  const amounts = shift(palette, aim, r.set, cut)
  return { set: r.set, amounts, deltaE: deltaEOf(palette, aim, r.set, amounts) }
}

/** Moves volume between the additions, their sum held, while that brings the colour nearer. */
function shift(palette: Palette, aim: Aim, set: readonly number[], start: readonly number[]): readonly number[] {
  let best = start
  let bestE = deltaEOf(palette, aim, set, best)
  const total = added(start)
  for (let step = 0.5; step > 0.003; step /= 2)
    for (let j = 1; j < set.length; j++)
      for (const way of [step, -step]) {
        const next = best.map((v, i) => (i === j ? v * Math.exp(way) : v))
        const scale = total / added(next)
        for (let i = 1; i < next.length; i++) next[i]! *= scale
        const e = deltaEOf(palette, aim, set, next)
        if (e < bestE) [best, bestE] = [next, e]
      }
  return best
}

/** The nearest within the room near some additions: pattern search on the amounts, the sum held to the room. */
function settled(palette: Palette, aim: Aim, start: Refined, room: number): Refined {
  let best = start
  for (let step = 0.4; step > 0.005;) {
    let moved = false
    for (const next of neighbours(best.amounts, step)) {
      if (added(next) > room) continue
      const deltaE = deltaEOf(palette, aim, start.set, next)
      if (deltaE < best.deltaE - 1e-6) {
        best = { set: start.set, amounts: next, deltaE }
        moved = true
      }
    }
    if (!moved) step /= 2
  }
  return best
}

/** The least volume within tolerance near a correction that has it: pattern search on the amounts, whatever is longer refused. */
function leastVolume(palette: Palette, aim: Aim, start: Refined, tolerance: number): Refined {
  const fits = (amounts: readonly number[]) => deltaEOf(palette, aim, start.set, amounts) <= tolerance
  let best = start.amounts
  // First straight back towards the cup as it is.
  let [low, high] = [0, 1]
  for (let i = 0; i < 16; i++) {
    const middle = (low + high) / 2
    if (fits(best.map((v, j) => (j === 0 ? v : v * middle)))) high = middle
    else low = middle
  }
  best = best.map((v, j) => (j === 0 ? v : v * high))
  for (let step = 0.4; step > 0.005;) {
    let moved = false
    for (const next of neighbours(best, step))
      if (added(next) < added(best) - 1e-9 && fits(next)) {
        best = next
        moved = true
      }
    if (!moved) step /= 2
  }
  return { set: start.set, amounts: best, deltaE: deltaEOf(palette, aim, start.set, best) }
}

/** One addition larger or smaller, or one larger while another becomes smaller. */
function* neighbours(amounts: readonly number[], step: number): Generator<number[]> {
  const n = amounts.length
  for (let j = 1; j < n; j++)
    for (const way of [Math.exp(-step), Math.exp(step)]) {
      yield amounts.map((v, i) => (i === j ? v * way : v))
      for (let k = 1; k < n; k++) if (k !== j) yield amounts.map((v, i) => (i === j ? v * way : i === k ? v / way : v))
    }
}

/** Additions of a cup in whole drops. */
class Drops {
  /** One drop as a share of the cup. */
  private readonly one: number
  /** How many fit in. */
  private readonly room: number
  constructor(
    private readonly palette: Palette,
    private readonly aim: Aim,
    private readonly wish: MendWish,
  ) {
    this.one = wish.dropUl / wish.cupUl
    this.room = Math.floor(wish.roomUl / wish.dropUl + 1e-9)
  }

  private deltaE(set: readonly number[], drops: readonly number[]): number {
    return deltaEOf(this.palette, this.aim, set, [1, ...drops.map((d) => d * this.one)])
  }

  /** A way as `about` takes it. */
  exactly({ additions, deltaE }: Mend): Refined {
    return {
      set: [0, ...additions.map((a) => a.paint + 1)],
      amounts: [1, ...additions.map((a) => a.drops * this.one)],
      deltaE,
    }
  }

  /** Every way in whole drops near some amounts: each addition `reach` drops fewer to `reach` more. */
  *about({ set, amounts }: Refined, [down, up]: readonly [number, number]): Generator<Mend> {
    const from = amounts.slice(1).map((a) => Math.floor(a / this.one + 1e-9))
    const width = up - down + 1
    for (let n = 0; n < width ** from.length; n++) {
      const drops = from.map((f, j) => f + down + (Math.floor(n / width ** j) % width))
      if (drops.every((d) => d >= 0)) yield* this.way(set, drops)
    }
  }

  /**
   * The least whole drops of one or two paints that are within tolerance, or the nearest: every count of the one, and
   * for each the best of the other. Where more fit in than anybody counts out, also by counts of several drops.
   */
  *countedOut(set: readonly number[]): Generator<Mend> {
    yield* this.byCounts(set, Math.min(this.room, COUNTED), 1)
    if (this.room > COUNTED) yield* this.byCounts(set, COUNTED, Math.ceil(this.room / COUNTED))
  }

  /** @param unit how many drops one count is */
  private *byCounts(set: readonly number[], most: number, unit: number): Generator<Mend> {
    if (set.length === 2) yield* this.best(set, most, (d) => [d * unit])
    else
      for (let first = 0; first <= most; first++) yield* this.best(set, most - first, (d) => [first * unit, d * unit])
  }

  /** Along one count: where it is nearest, and the fewest that are within tolerance. */
  private *best(set: readonly number[], most: number, at: (count: number) => number[]): Generator<Mend> {
    const off = (d: number) => this.deltaE(set, at(d))
    // Not every way has but one valley: where it is deepest is looked for first, then its floor.
    const spots = [0]
    while (spots.at(-1)! < most) spots.push(Math.min(most, spots.at(-1)! + Math.max(1, spots.at(-1)! >> 1)))
    const offs = spots.map(off)
    const deepest = offs.indexOf(Math.min(...offs))
    let [low, high] = [spots[deepest - 1] ?? 0, spots[deepest + 1] ?? most]
    while (high - low > 3) {
      const [a, b] = [low + Math.floor((high - low) / 3), high - Math.floor((high - low) / 3)]
      if (off(a) <= off(b)) high = b
      else low = a
    }
    let [nearest, nearestOff] = [spots[deepest]!, offs[deepest]!]
    for (let d = low; d <= high; d++) {
      const here = off(d)
      if (here < nearestOff) [nearest, nearestOff] = [d, here]
    }
    yield* this.way(set, at(nearest))
    if (nearestOff > this.wish.tolerance) return
    let [outside, inside] = [-1, nearest]
    while (inside - outside > 1) {
      const middle = (outside + inside) >> 1
      if (off(middle) <= this.wish.tolerance) inside = middle
      else outside = middle
    }
    yield* this.way(set, at(inside))
  }

  /** A way, where it adds anything and there is room for it. */
  private *way(set: readonly number[], drops: readonly number[]): Generator<Mend> {
    const used = drops.flatMap((d, j) => (d > 0 ? [j] : []))
    const count = drops.reduce((a, b) => a + b, 0)
    if (used.length === 0 || count > this.room) return
    const { dropUl } = this.wish
    const kept = [0, ...used.map((j) => set[j + 1]!)]
    yield {
      additions: used.map((j) => ({ paint: set[j + 1]! - 1, drops: drops[j]!, ul: drops[j]! * dropUl })),
      addedUl: count * dropUl,
      deltaE: this.deltaE(
        kept,
        used.map((j) => drops[j]!),
      ),
    }
  }
}

/** One way for each set of paints, the first. */
function unlike(ways: readonly Mend[]): Mend[] {
  const seen = new Set<string>()
  return ways.filter((w) => {
    const key = w.additions
      .map((a) => a.paint)
      .sort((a, b) => a - b)
      .join()
    return seen.has(key) ? false : seen.add(key)
  })
}

/**
 * Optics of a cup as it really looks: those computed from what went in, bent so that its colour is the one seen. What
 * was not said to be in it, or went in otherwise, is then in the sum.
 * @param seen reflectance of the cup, 36 bands, dry
 */
export const asSeen = (computed: Optics, seen: Reflectance): Optics => ({
  k: computed.s.map((s, i) => s * ratioOf(seen[i]!)),
  s: computed.s,
})
