import { Invalid } from '../../errors'
import { deltaE00 } from '../deltaE00'
import { ratioOf, type Optics } from '../kubelkaMunk'
import type { Reflectance } from '../reflectance'
import { aimOf } from './match'
import { labOfSet, paletteOf, type Palette } from './palette'
import { polish, refine, type Aim, type Refined } from './refine'
import { pullsAt, screen } from './screen'

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
  const room = wish.roomUl / wish.cupUl
  const search = screen(pullsAt(target, palette), palette.count, {
    most: (wish.most + 1) as 2 | 3 | 4,
    musts: [0],
    keep: KEEP,
  })
  let step = search.next()
  while (!step.done) {
    yield 0.4 * step.value
    step = search.next()
  }
  const found: Refined[] = []
  for (const [i, start] of step.value.entries()) {
    if (start.set.length < 2) continue
    // The cup comes first in every set, and its amount is the unit.
    const relative = start.amounts.map((v) => Math.min(v / start.amounts[0]!, Math.max(room, 1e-3)))
    found.push(refine(palette, aim, start.set, relative, 14, 1))
    if (i % 24 === 23) yield 0.4 + (0.3 * i) / step.value.length
  }
  found.sort((a, b) => a.deltaE - b.deltaE)
  const ways: Mend[] = []
  for (const [i, start] of found.slice(0, WORKED_OUT).entries()) {
    const nearest = within(
      palette,
      aim,
      start.deltaE > 0.5 * wish.tolerance ? polish(palette, aim, start, 1) : start,
      room,
    )
    const least = nearest.deltaE <= wish.tolerance ? leastVolume(palette, aim, nearest, wish.tolerance) : nearest
    for (const way of inDrops(palette, aim, least, wish)) ways.push(way)
    if (i % 8 === 7) yield 0.7 + (0.3 * i) / WORKED_OUT
  }
  const good = unlike(ways.filter((w) => w.deltaE <= wish.tolerance).sort((a, b) => a.addedUl - b.addedUl))
  const near = unlike(ways.filter((w) => w.deltaE < now).sort((a, b) => a.deltaE - b.deltaE))
  return { now, reached: good.length > 0, ways: (good.length ? good : near).slice(0, SHOWN) }
}

const added = (amounts: ArrayLike<number>) => {
  let sum = 0
  for (let j = 1; j < amounts.length; j++) sum += amounts[j]!
  return sum
}
const deltaEOf = (palette: Palette, aim: Aim, set: readonly number[], amounts: ArrayLike<number>) =>
  deltaE00(labOfSet(palette, set, amounts), aim.lab)

/** The same additions no larger than the room: where they are, the nearest along the way that fits. */
function within(palette: Palette, aim: Aim, r: Refined, room: number): Refined {
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

/** The additions in whole drops: each rounded down and up, those within tolerance before smaller ones that are not. */
function inDrops(palette: Palette, aim: Aim, r: Refined, wish: MendWish): Mend[] {
  const exact = Array.from(r.amounts.slice(1), (a) => (a * wish.cupUl) / wish.dropUl)
  const ways: Mend[] = []
  for (let up = 0; up < 1 << exact.length; up++) {
    const drops = exact.map((e, j) => Math.floor(e) + ((up >> j) & 1))
    const used = drops.flatMap((d, j) => (d > 0 ? [j] : []))
    const addedUl = drops.reduce((s, d) => s + d * wish.dropUl, 0)
    if (used.length === 0 || addedUl > wish.roomUl) continue
    const amounts = [1, ...used.map((j) => (drops[j]! * wish.dropUl) / wish.cupUl)]
    ways.push({
      additions: used.map((j) => ({ paint: r.set[j + 1]! - 1, drops: drops[j]!, ul: drops[j]! * wish.dropUl })),
      addedUl,
      deltaE: deltaEOf(palette, aim, [0, ...used.map((j) => r.set[j + 1]!)], amounts),
    })
  }
  return ways
}

/** One way for each set of paints, the first. */
function unlike(ways: readonly Mend[]): Mend[] {
  const seen = new Set<string>()
  return ways.filter((w) => {
    const key = w.additions.map((a) => a.paint).join()
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
