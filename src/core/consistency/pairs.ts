import { groupBy } from '../groupBy'
import { curveOf, pairOf, priorsOf, type CurveKey, type Logged } from './curves'
import type { Belief, CurvePoint } from './dilution'

/** What has been learned of one paint and medium. */
export interface PairCurve {
  readonly key: CurveKey
  readonly curve: Belief
  readonly points: readonly CurvePoint[]
  /** How many mixes were read. */
  readonly mixes: number
}

/** Every pair of paint and medium that was ever read, those read most first. */
export function pairCurves(logs: readonly Logged[]): PairCurve[] {
  const priors = priorsOf(logs)
  const read = logs.filter((log) => log.points.length > 0)
  return [...groupBy(read, pairOf).values()]
    .map((list) => {
      const { paintId, mediumId, body, ratio } = list[0]!
      const key = { paintId, mediumId, body, ratio }
      return { key, curve: curveOf(key, logs, priors), points: list.flatMap((l) => l.points), mixes: list.length }
    })
    .sort((a, b) => b.points.length - a.points.length)
}

/** What one ml of water in 100 ml of the mix does to its level time, as a factor below 1. */
export const perPercent = (curve: Belief) => Math.exp(-curve.b / 100)
