import type { Pair } from '../colour/paletteCheck'
import { findOrder } from '../layering/cupOrder'
import type { Technique } from '../technique/technique'

/** A bottle an idea may take. */
export interface IdeaBottle {
  readonly id: string
  readonly ul: number
  /** Days since anybody moved it, and until it is past its date (null: it has none). */
  readonly idleDays: number
  readonly keepsDays: number | null
}

export interface Idea {
  readonly technique: string
  /** Bottles by id, bottom of the cup first. */
  readonly bottles: readonly string[]
  readonly why: readonly string[]
}

/** What is kept while the rest is drawn anew. */
export interface Held {
  readonly technique?: string | undefined
  readonly bottles?: readonly string[] | undefined
}

/** Start values of Fika: palettes have so many colours; a bottle within a fortnight of its date weighs three times. */
const COLOURS = [3, 4, 5] as const
const SOON_DAYS = 14
const SOON = 3
const IDLE_DAYS = 30
/** Palettes tried before the best so far is taken. */
const TRIES = 8

/**
 * Draws a technique and a palette from what is on the rack: idle bottles and those near their date more often, pairs
 * that were never poured together before tried ones, and no two colours that should not touch unless one that may
 * touch both is among them.
 * @param random from 0 to below 1; pass a seeded one
 * @param pairs the palette check of all bottles, by their index
 * @param tried whether two bottles have been poured together
 */
export function drawIdea(
  bottles: readonly IdeaBottle[],
  techniques: readonly Technique[],
  pairs: readonly Pair[],
  tried: (a: string, b: string) => boolean,
  random: () => number,
  held: Held = {},
): Idea | undefined {
  if (bottles.length < 2 || techniques.length === 0) return undefined
  const kept = (held.bottles ?? []).flatMap((id) => {
    const at = bottles.findIndex((b) => b.id === id)
    return at < 0 ? [] : [at]
  })
  const technique = held.technique ?? techniques[Math.floor(random() * techniques.length)]!.key
  const apart = new Map(pairs.filter((p) => p.verdict === 'apart').map((p) => [`${p.a} ${p.b}`, p]))
  const between = (a: number, b: number) => apart.get(`${Math.min(a, b)} ${Math.max(a, b)}`)
  let best: { score: number; set: number[] } | undefined
  for (let i = 0; i < TRIES; i++) {
    const set = drawSet(bottles, kept, random)
    const score = scoreOf(set, bottles, between, tried)
    if (!best || score > best.score) best = { score, set }
  }
  const set = buffered(best!.set, between)
  return { technique, bottles: set.map((i) => bottles[i]!.id), why: whyOf(set, bottles, tried, between) }
}

const weight = (b: IdeaBottle) =>
  (1 + Math.min(3, b.idleDays / IDLE_DAYS)) * (b.keepsDays !== null && b.keepsDays <= SOON_DAYS ? SOON : 1)

function drawSet(bottles: readonly IdeaBottle[], kept: readonly number[], random: () => number): number[] {
  const size = Math.min(bottles.length, Math.max(kept.length, COLOURS[Math.floor(random() * COLOURS.length)]!))
  const set = [...kept]
  while (set.length < size) {
    const open = bottles.flatMap((b, i) => (set.includes(i) ? [] : [{ i, w: weight(b) }]))
    let at = random() * open.reduce((sum, o) => sum + o.w, 0)
    set.push((open.find((o) => (at -= o.w) < 0) ?? open.at(-1)!).i)
  }
  return set
}

function scoreOf(
  set: readonly number[],
  bottles: readonly IdeaBottle[],
  between: (a: number, b: number) => Pair | undefined,
  tried: (a: string, b: string) => boolean,
): number {
  let score = 0
  eachPair(set, (a, b) => {
    const clash = between(a, b)
    if (clash) score -= clash.buffer !== undefined && set.includes(clash.buffer) ? 0.5 : 3
    else if (!tried(bottles[a]!.id, bottles[b]!.id)) score += 0.3
  })
  return score
}

/** In the order in which the fewest touch that should not. */
function buffered(set: readonly number[], between: (a: number, b: number) => Pair | undefined): number[] {
  const costs = set.map((a) => set.map((b) => (between(a, b) ? 1 : 0)))
  const { order } = findOrder({ costs, layers: set.map(() => 1), first: null, last: null, buffers: [], mostBuffers: 0 })
  return order.map((i) => set[i]!)
}

function whyOf(
  set: readonly number[],
  bottles: readonly IdeaBottle[],
  tried: (a: string, b: string) => boolean,
  between: (a: number, b: number) => Pair | undefined,
): string[] {
  const soon = set.filter((i) => (bottles[i]!.keepsDays ?? Infinity) <= SOON_DAYS).length
  const idle = set.filter((i) => bottles[i]!.idleDays >= IDLE_DAYS).length
  let fresh = 0
  let clashes = 0
  eachPair(set, (a, b) => {
    if (!tried(bottles[a]!.id, bottles[b]!.id)) fresh++
    if (between(a, b)) clashes++
  })
  const count = (n: number, one: string, more: string) => (n === 0 ? [] : [n === 1 ? `1 ${one}` : `${n} ${more}`])
  return [
    ...count(soon, 'bottle is near its date', 'bottles are near their date'),
    ...count(idle, 'bottle has stood for a month', 'bottles have stood for a month'),
    ...count(fresh, 'pair was never poured together', 'pairs were never poured together'),
    ...(clashes === 0
      ? ['no two of them make mud']
      : count(clashes, 'pair wants another between', 'pairs want another between')),
  ]
}

function eachPair(set: readonly number[], f: (a: number, b: number) => void): void {
  for (let i = 0; i < set.length; i++) for (let j = i + 1; j < set.length; j++) f(set[i]!, set[j]!)
}
