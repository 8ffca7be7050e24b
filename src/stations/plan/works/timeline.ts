import type { Scheduled } from '@/core/schedule/backwards'
import type { PlanStep } from '@/core/schedule/planSteps'

const DAY = 86_400_000

/** What a stretch of the line of time is drawn as. */
export type Stretch = 'before' | 'pour' | 'dry' | 'finish'

const AS: Readonly<Record<PlanStep, Stretch>> = {
  buy: 'before',
  mix: 'before',
  rest: 'before',
  prepare: 'before',
  pour: 'pour',
  dry: 'dry',
  look: 'finish',
  'clean off silicone': 'finish',
  accents: 'finish',
  varnish: 'finish',
  resin: 'finish',
  cure: 'finish',
  photograph: 'finish',
  deliver: 'finish',
}

export interface Bar {
  readonly kind: Stretch
  /** Shares of the whole line, 0–1. */
  readonly from: number
  readonly to: number
}

/** The days a line of time shows: from a day to a day, with a mark each week. */
export interface Span {
  readonly from: number
  readonly to: number
  readonly weeks: readonly number[]
}

/** At least and at most so many days are shown. Start values of Fika. */
const LEAST_DAYS = 14
const MOST_DAYS = 120

/** The span that shows all that is scheduled and due, from now on. */
export function spanOf(scheduled: readonly Scheduled[], dues: readonly number[], now: number): Span {
  const last = Math.max(now + LEAST_DAYS * DAY, ...scheduled.map((s) => s.end), ...dues)
  const to = Math.min(last, now + MOST_DAYS * DAY) + DAY
  const weeks = Array.from({ length: Math.floor((to - now) / (7 * DAY)) }, (_, i) => now + (i + 1) * 7 * DAY)
  return { from: now, to, weeks }
}

/** Steps as stretches of the line; what lies beyond it is cut off, neighbours of one kind are joined. */
export function barsOf(s: Scheduled, span: Span): Bar[] {
  const at = (ms: number) => Math.max(0, Math.min(1, (ms - span.from) / (span.to - span.from)))
  const bars: Bar[] = []
  for (const step of [...s.steps].sort((a, b) => a.start - b.start)) {
    const bar = { kind: AS[step.key as PlanStep], from: at(step.start), to: at(step.end) }
    const last = bars.at(-1)
    if (last?.kind === bar.kind) bars[bars.length - 1] = { ...last, to: Math.max(last.to, bar.to) }
    else bars.push(bar)
  }
  return bars.filter((b) => b.to > b.from)
}

/** Why a plan is late, in words: what holds it up longest. */
export function whyLate(s: Scheduled, now: number): string {
  const steps = [...s.steps].sort((a, b) => a.start - b.start)
  const begins = Math.min(...steps.map((x) => x.start))
  if (begins - now > 2 * DAY && s.spots.length) return 'no level place is free before'
  const stretches = steps.flatMap((x, i) => {
    const before = Math.max(begins, ...steps.slice(0, i).map((y) => y.end))
    return [
      { ms: x.end - x.start, said: (days: number) => `${x.key} alone takes ${days} days` },
      { ms: x.start - before, said: (days: number) => `${x.key} waits ${days} days for the film` },
    ]
  })
  const longest = stretches.reduce((a, b) => (b.ms > a.ms ? b : a))
  return longest.ms > 1.5 * DAY ? longest.said(Math.round(longest.ms / DAY)) : 'it begins too late'
}
