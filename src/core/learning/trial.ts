import { CRITERION_SCALE, METRIC_SCALE, RATING_SCALE, verdictOf, type GapScale, type PairVerdict } from './pairVerdict'
import type { PouredFacts } from './pouredFacts'

/** What a trial is made on. */
export const TRIAL_KINDS = ['cards', 'panels', 'pieces'] as const
export type TrialKind = (typeof TRIAL_KINDS)[number]

/** A criterion that is rated 1–5 like a piece; all other names are looked at and given 0–3. */
export const RATING = 'rating'
/** Criteria that are measured from photos of pieces and need no word. */
export const METRICS = { 'cells per dm²': 'cellsPerDm2', 'lacing, m per dm²': 'laceMPerDm2' } as const
type Metric = keyof typeof METRICS
export const isMetric = (criterion: string): criterion is Metric => Object.hasOwn(METRICS, criterion)

/** Most that can be given by a criterion, and how such words scatter. */
export const mostOf = (criterion: string) => (criterion === RATING ? 5 : 3)
const scaleOf = (criterion: string): GapScale =>
  isMetric(criterion) ? METRIC_SCALE : criterion === RATING ? RATING_SCALE : CRITERION_SCALE

export interface TrialArm {
  readonly arm: number
  readonly what: string
  /** The material that is different, where it is one. */
  readonly materialId: string | null
}

export interface TrialWord {
  readonly arm: number
  readonly repeat: number
  readonly criterion: string
  readonly who: string
  readonly value: number
}

export interface TrialPiece {
  readonly arm: number
  readonly repeat: number
  readonly pieceId: string
}

/** A trial with what was said of it so far. */
export interface TrialSaid {
  readonly arms: readonly TrialArm[]
  readonly criteria: readonly string[]
  readonly words: readonly TrialWord[]
  readonly pieces: readonly TrialPiece[]
}

/** What two arms come to by one criterion. */
export interface ArmsCompared {
  readonly criterion: string
  readonly first: TrialArm
  readonly second: TrialArm
  readonly told: PairVerdict
}

/** Cells that a metric of 0 is taken for, so that a ratio has a logarithm. */
const LEAST_METRIC = 0.5

/** Every two arms by every criterion. @param facts of the pieces that stand for arms, by id */
export function compareArms(trial: TrialSaid, facts: ReadonlyMap<string, PouredFacts>): ArmsCompared[] {
  return trial.criteria.flatMap((criterion) => {
    const words = isMetric(criterion)
      ? trial.pieces.flatMap((p) => {
          const value = facts.get(p.pieceId)?.[METRICS[criterion]] ?? null
          return value === null
            ? []
            : [{ arm: String(p.arm), repeat: p.repeat, value: Math.log(Math.max(LEAST_METRIC, value)) }]
        })
      : trial.words.flatMap((w) =>
          w.criterion === criterion ? [{ arm: String(w.arm), repeat: w.repeat, value: w.value }] : [],
        )
    return trial.arms.flatMap((first, i) =>
      trial.arms.slice(i + 1).map((second): ArmsCompared => ({
        criterion,
        first,
        second,
        told: verdictOf(words, String(first.arm), String(second.arm), scaleOf(criterion)),
      })),
    )
  })
}

/** Something that differs between two pieces of one repeat beside what is tried. */
export interface Differs {
  readonly repeat: number
  readonly what: string
}

/** Ratios from which on two pieces were not poured alike. Start values of Fika. */
const AMOUNT = 1.2
const AREA = 1.05
const LEVEL_TIME = 1.4
const REST = 3
const SHARE = 0.05

const unlike = (a: number, b: number, ratio: number) => Math.max(a, b) > ratio * Math.min(a, b)

/**
 * What the books say differs between pieces of one repeat, beside the materials that are tried: nothing, or what to put
 * down before the verdict is believed.
 */
export function whatDiffers(trial: TrialSaid, facts: ReadonlyMap<string, PouredFacts>): Differs[] {
  const tried = new Set(trial.arms.flatMap((a) => a.materialId ?? []))
  const repeats = [...new Set(trial.pieces.map((p) => p.repeat))].sort((a, b) => a - b)
  return repeats.flatMap((repeat) => {
    const own = trial.pieces.flatMap((p) => (p.repeat === repeat ? (facts.get(p.pieceId) ?? []) : []))
    const [first, ...others] = own
    const found = new Set(first ? others.flatMap((o) => between(first, o, tried)) : [])
    return [...found].map((what) => ({ repeat, what }))
  })
}

function between(a: PouredFacts, b: PouredFacts, tried: ReadonlySet<string>): string[] {
  const out: string[] = []
  if (a.technique !== b.technique) out.push('the technique')
  if (unlike(areaOf(a), areaOf(b), AREA)) out.push('the size')
  else if (unlike(a.pouredUl, b.pouredUl, AMOUNT)) out.push('how much was poured')
  const both = (x: number | null, y: number | null, ratio: number) => x !== null && y !== null && unlike(x, y, ratio)
  if (both(a.levelTimeS, b.levelTimeS, LEVEL_TIME)) out.push('the level time')
  if (both(a.restHours, b.restHours, REST) && Math.min(a.restHours!, b.restHours!) < 24)
    out.push('how long the mixes rested')
  if (a.humidity !== null && b.humidity !== null && Math.abs(a.humidity - b.humidity) > 0.15) out.push('the air')
  out.push(...materials(a, b, tried))
  return out
}

const areaOf = (p: PouredFacts) => (p.wetMm > 0 ? p.leftUl / p.wetMm : 0)

/** Materials of which one piece holds clearly more than the other, and that are not tried. */
function materials(a: PouredFacts, b: PouredFacts, tried: ReadonlySet<string>): string[] {
  const shares = new Map<string, { name: string; a: number; b: number }>()
  for (const [p, which] of [
    [a, 'a'],
    [b, 'b'],
  ] as const)
    for (const m of p.materials) {
      const known = shares.get(m.id) ?? { name: m.name, a: 0, b: 0 }
      shares.set(m.id, { ...known, [which]: m.share })
    }
  return [...shares].flatMap(([id, s]) => (!tried.has(id) && Math.abs(s.a - s.b) > SHARE ? [s.name] : []))
}
