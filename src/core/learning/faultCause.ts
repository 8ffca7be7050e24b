import { Invalid } from '../errors'

// Taken out of the global once: inner loops run where a look-up of `Math` is not free.
const { exp, log, max, min, round } = Math

/** What may cause a fault, by kind; the kinds share the prior evenly, however many members one has. */
export const FACTOR_GROUPS = ['material', 'lot', 'medium', 'technique', 'handling', 'air'] as const
export type FactorGroup = (typeof FACTOR_GROUPS)[number]

export interface Factor {
  readonly key: string
  readonly group: FactorGroup
}

/** A piece that was looked at: whether it shows the fault, and how strongly each factor was at work, 0–1; missing is 0. */
export interface TracedPiece {
  readonly isFaulty: boolean
  readonly strengths: ReadonlyMap<string, number>
}

/** How often pieces with and without a factor show the fault. */
export interface Tally {
  readonly withFaulty: number
  readonly withAll: number
  readonly withoutFaulty: number
  readonly withoutAll: number
}

/** One candidate; what was always at work together in the same strength cannot be told apart and is named together. */
export interface Cause extends Tally {
  readonly keys: readonly string[]
  /** That it is the cause, 0–1. */
  readonly probability: number
  /** Share of pieces without it that show the fault all the same, and what it adds: means of what is believed. */
  readonly base: number
  readonly reach: number
}

export interface Trace {
  readonly pieces: number
  readonly faulty: number
  /** The likeliest first. */
  readonly causes: readonly Cause[]
  /** That none of them is the cause, 0–1. */
  readonly none: number
}

/** What may be said of a cause. Thresholds set by simulation: see `benchmarks/learning.ts`. */
export const CAUSE_WORDS = ['likely', 'suspect', 'not enough yet'] as const
export type CauseWord = (typeof CAUSE_WORDS)[number]
const LIKELY = 0.6
const SUSPECT = 0.3
/** Nothing is said of fewer pieces, and never a "likely" from fewer with it that show the fault. */
const FEWEST_PIECES = 3
/** What was in every piece cannot be told from what comes by itself. */
const FEWEST_WITHOUT = 2

export function causeWord(probability: number, tally: Tally): CauseWord {
  if (tally.withAll < FEWEST_PIECES || tally.withoutAll < FEWEST_WITHOUT) return 'not enough yet'
  if (probability >= LIKELY && tally.withFaulty >= FEWEST_PIECES) return 'likely'
  return probability >= SUSPECT && tally.withFaulty >= 2 ? 'suspect' : 'not enough yet'
}

/** Prior that none of what is kept is the cause. Start value of Fika, set by simulation. */
const NONE = 0.6
/** Steps a strength is told by: quarters. */
const STEPS = 4
const POINTS = 14
/** Weights of a grid over (0, 1) by a Beta(a, b) density. */
function grid(a: number, b: number): { at: Float64Array; logWeight: Float64Array } {
  const at = Float64Array.from({ length: POINTS }, (_, i) => (i + 0.5) / POINTS)
  const weight = at.map((x) => x ** (a - 1) * (1 - x) ** (b - 1))
  const sum = weight.reduce((s, w) => s + w, 0)
  return { at, logWeight: weight.map((w) => log(w / sum)) }
}
/** Faults are rarer than not; a cause that matters makes them common. Start values of Fika. */
const BASE = grid(1, 6)
const REACH = grid(2, 1.5)

/** Pieces of one strength: how many, and how many of them show the fault. */
interface Level {
  readonly x: number
  n: number
  faulty: number
}

/**
 * What causes a fault: one of the factors or none, by how well each explains which pieces show it. A fault comes by
 * itself with probability b, or by its cause with r x: P = 1 − (1 − b)(1 − r x), a noisy-OR (Pearl 1988); b and r are
 * unknown and integrated out on a grid.
 * @throws Invalid for a strength that is no share, or a factor named twice
 */
export function traceFault(pieces: readonly TracedPiece[], factors: readonly Factor[]): Trace {
  const faulty = pieces.filter((p) => p.isFaulty).length
  const candidates = apart(pieces, factors)
  const nothing = evidence([{ x: 0, n: pieces.length, faulty }])
  const scored = candidates.map((c) => ({ ...c, ...evidence(c.levels) }))
  const top = max(nothing.log, ...scored.map((c) => c.log))
  const weights = scored.map((c) => c.prior * exp(c.log - top))
  const none = NONE * exp(nothing.log - top)
  const all = weights.reduce((s, w) => s + w, none)
  const causes = scored.map(({ keys, levels, base, reach }, i) => ({
    keys,
    probability: weights[i]! / all,
    base,
    reach,
    ...tallyOf(levels),
  }))
  causes.sort((a, b) => b.probability - a.probability || (a.keys[0]! < b.keys[0]! ? -1 : 1))
  return { pieces: pieces.length, faulty, causes, none: none / all }
}

interface Candidate {
  readonly keys: string[]
  readonly levels: Level[]
  prior: number
}

/** Factors by their pattern over the pieces; one that was at work in none of them is no candidate. */
function apart(pieces: readonly TracedPiece[], factors: readonly Factor[]): Candidate[] {
  if (new Set(factors.map((f) => f.key)).size !== factors.length) throw new Invalid('A factor is named twice.')
  const sizes = new Map<FactorGroup, number>()
  for (const f of factors) sizes.set(f.group, (sizes.get(f.group) ?? 0) + 1)
  const byPattern = new Map<string, Candidate>()
  for (const f of factors) {
    const steps = pieces.map((p) => stepOf(p.strengths.get(f.key) ?? 0))
    if (steps.every((s) => s === 0)) continue
    const pattern = steps.join('')
    const prior = (1 - NONE) / sizes.size / sizes.get(f.group)!
    const known = byPattern.get(pattern)
    if (known) {
      known.keys.push(f.key)
      known.prior += prior
    } else byPattern.set(pattern, { keys: [f.key], prior, levels: levelsOf(steps, pieces) })
  }
  return [...byPattern.values()]
}

function stepOf(strength: number): number {
  if (!(strength >= 0 && strength <= 1)) throw new Invalid('How strongly something was at work must be from 0 to 1.')
  return strength === 0 ? 0 : max(1, round(STEPS * strength))
}

function levelsOf(steps: readonly number[], pieces: readonly TracedPiece[]): Level[] {
  const levels = Array.from({ length: STEPS + 1 }, (_, i): Level => ({ x: i / STEPS, n: 0, faulty: 0 }))
  steps.forEach((s, i) => {
    levels[s]!.n++
    if (pieces[i]!.isFaulty) levels[s]!.faulty++
  })
  return levels.filter((l) => l.n > 0)
}

function tallyOf(levels: readonly Level[]): Tally {
  const [without, having] = [levels.filter((l) => l.x === 0), levels.filter((l) => l.x > 0)]
  const sum = (of: readonly Level[], what: 'n' | 'faulty') => of.reduce((s, l) => s + l[what], 0)
  return {
    withFaulty: sum(having, 'faulty'),
    withAll: sum(having, 'n'),
    withoutFaulty: sum(without, 'faulty'),
    withoutAll: sum(without, 'n'),
  }
}

/** ln of the likelihood with b and r integrated out, and their means after the fact. */
function evidence(levels: readonly Level[]): { log: number; base: number; reach: number } {
  const logs = new Float64Array(POINTS * POINTS)
  let top = -Infinity
  for (let i = 0; i < POINTS; i++)
    for (let j = 0; j < POINTS; j++) {
      let sum = BASE.logWeight[i]! + REACH.logWeight[j]!
      for (const { x, n, faulty } of levels) {
        const p = min(1 - 1e-12, 1 - (1 - BASE.at[i]!) * (1 - REACH.at[j]! * x))
        sum += faulty * log(p) + (n - faulty) * log(1 - p)
      }
      logs[i * POINTS + j] = sum
      if (sum > top) top = sum
    }
  let [all, base, reach] = [0, 0, 0]
  for (let k = 0; k < logs.length; k++) {
    const w = exp(logs[k]! - top)
    all += w
    base += w * BASE.at[(k / POINTS) | 0]!
    reach += w * REACH.at[k % POINTS]!
  }
  return { log: top + log(all), base: base / all, reach: reach / all }
}

/** How much more would tell of a cause eight times in ten, if it is what it seems; null: more than the most that is asked for. */
export interface Enough {
  /** Further pieces, with it as often as now. */
  readonly pieces: number | null
  /** Pairs poured alike but for it. */
  readonly pairs: number | null
}
const MOST_PIECES = 120
const MOST_PAIRS = 30
const OFTEN = 0.8

/**
 * How many more pieces, or pairs poured alike but for this one thing, would make a suspicion "likely" eight times in ten,
 * were the cause as strong as it seems by now; worked out over all that could be seen of them.
 */
export function enoughToTell(cause: Cause, trace: Trace): Enough {
  const now = cause.probability / max(1e-9, 1 - cause.probability)
  const before = evidence(levelsOfTally(cause)).log - evidence([{ x: 0, n: trace.pieces, faulty: trace.faulty }]).log
  const told = (withN: number, withoutN: number): boolean => {
    const [p1, p0] = [1 - (1 - cause.base) * (1 - cause.reach), cause.base]
    let sum = 0
    const pWith = binomial(withN, p1)
    const pWithout = binomial(withoutN, p0)
    for (let a = 0; a <= withN; a++)
      for (let c = 0; c <= withoutN; c++) {
        const p = pWith[a]! * pWithout[c]!
        if (p < 1e-7) continue
        const after: Tally = {
          withFaulty: cause.withFaulty + a,
          withAll: cause.withAll + withN,
          withoutFaulty: cause.withoutFaulty + c,
          withoutAll: cause.withoutAll + withoutN,
        }
        const faulty = after.withFaulty + after.withoutFaulty
        const gained =
          evidence(levelsOfTally(after)).log -
          evidence([{ x: 0, n: after.withAll + after.withoutAll, faulty }]).log -
          before
        const odds = now * exp(gained)
        if (causeWord(odds / (1 + odds), after) === 'likely') sum += p
      }
    return sum >= OFTEN
  }
  const share = cause.withAll / max(1, trace.pieces)
  return {
    pieces: least(MOST_PIECES, (n) => told(round(n * share), n - round(n * share))),
    pairs: least(MOST_PAIRS, (n) => told(n, n)),
  }
}

const levelsOfTally = (t: Tally): Level[] => [
  { x: 1, n: t.withAll, faulty: t.withFaulty },
  { x: 0, n: t.withoutAll, faulty: t.withoutFaulty },
]

/** Least count that is told, by doubling and then halving; null where not even the most is. */
function least(most: number, isTold: (n: number) => boolean): number | null {
  let high = 1
  while (high < most && !isTold(high)) high = min(most, 2 * high)
  if (high === most && !isTold(most)) return null
  let low = high >> 1
  while (high - low > 1) {
    const middle = (low + high) >> 1
    if (isTold(middle)) high = middle
    else low = middle
  }
  return high
}

/** Probabilities of 0…n of n. */
function binomial(n: number, p: number): Float64Array {
  const out = new Float64Array(n + 1)
  out[0] = 1
  for (let i = 1; i <= n; i++) for (let k = i; k >= 0; k--) out[k] = out[k]! * (1 - p) + (k > 0 ? out[k - 1]! * p : 0)
  return out
}
