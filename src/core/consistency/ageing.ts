import type { Body } from '../paint/properties'
import { START_BELIEFS, type Belief, type CurvePoint } from './dilution'

/** How much mixes thicken by standing: what ln t rises by a day, and how sure that is (σ). */
export interface Ageing {
  readonly perDay: number
  readonly sd: number
}

/** A reading, with how long its mix had stood since it was first read, days. */
export interface StoodPoint extends CurvePoint {
  readonly days: number
}

/** About a tenth in six weeks. Start value of Fika. */
export const START_AGEING: Ageing = { perDay: 0.0025, sd: 0.003 }
/** Bottles differ in it by this much, σ a day. Start value of Fika. */
const BETWEEN_BOTTLES = 0.002
/** Readings nearer to one another than this tell of the hand and of bubbles, not of standing, days. */
const LEAST_DAYS = 2

const DAY_MS = 86_400_000
/** Days from one time to another, ms since 1970; never below nothing. */
export const daysBetween = (from: number, to: number) => Math.max(0, (to - from) / DAY_MS)

/**
 * Learns from bottles that were read again after they had stood: of two readings in a row, what is left of the
 * difference once the water added between them is taken out, by Bayesian regression through the origin. A mix does
 * not get thinner by standing, so the answer is never below nothing.
 * @param logs readings of one mix each, in the order they were taken
 */
export function learnAgeing(
  logs: readonly { readonly body: Body; readonly points: readonly StoodPoint[] }[],
  prior: Ageing = START_AGEING,
): Ageing {
  let precision = 1 / prior.sd ** 2
  let weighted = precision * prior.perDay
  for (const { body, points } of logs)
    for (let i = 1; i < points.length; i++) {
      const [before, after] = [points[i - 1]!, points[i]!]
      const days = after.days - before.days
      if (days < LEAST_DAYS) continue
      const { b, varB } = START_BELIEFS[body]
      const dw = after.w - before.w
      const rise = after.lnT - before.lnT + b * dw
      const variance = before.sigma ** 2 + after.sigma ** 2 + dw ** 2 * varB + (BETWEEN_BOTTLES * days) ** 2
      precision += days ** 2 / variance
      weighted += (days * rise) / variance
    }
  return { perDay: Math.max(0, weighted / precision), sd: 1 / Math.sqrt(precision) }
}

/** Readings as they would have been after `days`, however long the mix had stood when they were taken. */
export const stoodFor = <P extends StoodPoint>(points: readonly P[], { perDay }: Ageing, days: number): P[] =>
  points.map((p) => ({ ...p, lnT: p.lnT + perDay * (days - p.days), days }))

/** What is believed of a mix that has stood for `days`, from what is believed of it fresh. */
export const afterStanding = (fresh: Belief, { perDay, sd }: Ageing, days: number): Belief => ({
  ...fresh,
  a: fresh.a + perDay * days,
  varA: fresh.varA + (Math.hypot(sd, BETWEEN_BOTTLES) * days) ** 2,
})
