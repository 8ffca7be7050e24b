import { Invalid } from '../errors'

const HOUR = 3_600_000
const DAY = 24 * HOUR

/** A step of a job. Hours it takes, after which steps it comes, and how long it must wait after them. */
export interface Step {
  readonly key: string
  readonly hours: number
  readonly after: readonly string[]
  readonly waitHours?: number
  /** Somebody does it, so not on a day the studio is closed. */
  readonly byHand: boolean
}

/** A job to be ready by a day: a plan and its steps, with what it stands on while it dries. */
export interface Job {
  readonly id: string
  /** ms since 1970; null: it hurries nobody. */
  readonly due: number | null
  readonly steps: readonly Step[]
  /** Steps from the first of which to the last a level place is taken; none where it needs none. */
  readonly onPlace: readonly string[]
  /** A step whose beginning somebody has fixed, ms since 1970. */
  readonly fixed?: { readonly step: string; readonly start: number } | undefined
  /** What is laid there: pieces alike, each kind once. */
  readonly pieces: readonly { readonly sizeMm: readonly [number, number]; readonly count: number }[]
}

/** A level place, or several alike, of a given size. */
export interface Place {
  readonly id: string
  readonly sizeMm: readonly [number, number]
  readonly spots: number
}

export interface TimedStep {
  readonly key: string
  readonly start: number
  readonly end: number
  /** The latest it may start for the due date; null without one. */
  readonly latest: number | null
}

export interface Scheduled {
  readonly id: string
  readonly steps: readonly TimedStep[]
  readonly end: number
  /** How much later than due it ends, ms; 0 where it is in time. */
  readonly lateMs: number
  /** Spots it takes, by place; empty where it needs none. */
  readonly spots: readonly { readonly place: string; readonly count: number }[]
  /** Whether no place is large enough, or there are too few of them: even when all are free, or on the day that is fixed. */
  readonly homeless: boolean
}

interface Taken {
  readonly from: number
  readonly to: number
  readonly spots: readonly { readonly place: string; readonly count: number }[]
}

/** Days a job is moved while a place is sought. */
const SEARCHED_DAYS = 400

/**
 * Dates for all jobs, the earliest due first: each as late as its due date lets it (longest path backwards, Kelley &
 * Walker 1959), moved earlier by days while no level place is free, and where that would be before now, as early as
 * can be and so much too late. Without a due date as early as can be. A step is never before its cause, and never are
 * more pieces on a place than it has spots.
 * @param isOpen whether the studio is open at a time, ms since 1970
 * @throws Invalid where steps wait for each other in a circle
 */
export function scheduleAll(
  jobs: readonly Job[],
  places: readonly Place[],
  now: number,
  isOpen: (at: number) => boolean = () => true,
): Scheduled[] {
  const taken: Taken[] = []
  const done = new Map<string, Scheduled>()
  const inOrder = [...jobs].sort((a, b) => (a.due ?? Infinity) - (b.due ?? Infinity) || (a.id < b.id ? -1 : 1))
  for (const job of inOrder) {
    const found = scheduleOne(job, places, now, isOpen, taken)
    if (found.hold) taken.push(found.hold)
    done.set(job.id, found.scheduled)
  }
  return jobs.map((j) => done.get(j.id)!)
}

function scheduleOne(
  job: Job,
  places: readonly Place[],
  now: number,
  isOpen: (at: number) => boolean,
  taken: readonly Taken[],
): { scheduled: Scheduled; hold: Taken | null } {
  const steps = inOrderOfCause(job.steps)
  const latest = job.due === null ? null : backwards(steps, job.due, isOpen)
  const needsPlace = job.onPlace.length > 0 && places.length > 0
  const homeless = needsPlace && !spotsFree(job, places, [], -Infinity, Infinity)
  const finish = (timed: Map<string, { start: number; end: number }>, spots: Taken['spots'], full = false) => {
    const out = steps.map((s) => ({ key: s.key, ...timed.get(s.key)!, latest: latest?.get(s.key)?.start ?? null }))
    const end = Math.max(now, ...out.map((s) => s.end))
    const hold = spots.length ? { ...spanOf(job, timed), spots } : null
    const lateMs = job.due === null ? 0 : Math.max(0, end - job.due)
    return { scheduled: { id: job.id, steps: out, end, lateMs, spots, homeless: homeless || full }, hold }
  }
  const free = (timed: Map<string, { start: number; end: number }>) => {
    if (!needsPlace || homeless) return []
    const { from, to } = spanOf(job, timed)
    return spotsFree(job, places, taken, from, to)
  }
  if (job.fixed && steps.some((s) => s.key === job.fixed!.step)) {
    const timed = pinned(steps, job.fixed.step, job.fixed.start, isOpen)
    const spots = free(timed)
    return finish(timed, spots ?? [], spots === undefined)
  }
  if (job.due !== null)
    for (let day = 0; day < SEARCHED_DAYS; day++) {
      const timed = backwards(steps, job.due - day * DAY, isOpen)
      if (Math.min(...[...timed.values()].map((t) => t.start)) < now) break
      const spots = free(timed)
      if (spots) return finish(timed, spots)
    }
  for (let day = 0; day < SEARCHED_DAYS; day++) {
    const timed = forwards(steps, now + day * DAY, isOpen)
    const spots = free(timed)
    if (spots) return finish(timed, spots)
  }
  return finish(forwards(steps, now + SEARCHED_DAYS * DAY, isOpen), [])
}

const holds = ({ sizeMm: [l, w] }: Place, [a, b]: readonly [number, number]) => (a <= l && b <= w) || (b <= l && a <= w)

function spanOf(job: Job, timed: ReadonlyMap<string, { start: number; end: number }>): { from: number; to: number } {
  const on = job.onPlace.map((k) => timed.get(k)!)
  return { from: Math.min(...on.map((t) => t.start)), to: Math.max(...on.map((t) => t.end)) }
}

/** Spots for all pieces over a time: the largest first, each on the smallest place that holds it; undefined where there are not enough. */
function spotsFree(job: Job, places: readonly Place[], taken: readonly Taken[], from: number, to: number) {
  const meanwhile = taken.filter((t) => t.from < to && t.to > from)
  const area = ([l, w]: readonly [number, number]) => l * w
  const bySize = [...places].sort((a, b) => area(a.sizeMm) - area(b.sizeMm))
  const used = new Map(bySize.map((p) => [p.id, most(meanwhile, p.id)]))
  const spots = new Map<string, number>()
  for (const { sizeMm, count } of [...job.pieces].sort((a, b) => area(b.sizeMm) - area(a.sizeMm))) {
    let left = count
    for (const p of bySize.filter((x) => holds(x, sizeMm))) {
      const here = Math.max(0, Math.min(left, p.spots - used.get(p.id)!))
      used.set(p.id, used.get(p.id)! + here)
      if (here > 0) spots.set(p.id, (spots.get(p.id) ?? 0) + here)
      left -= here
    }
    if (left > 0) return undefined
  }
  return [...spots].map(([place, count]) => ({ place, count }))
}

/** The most spots of a place that are taken at any one time. */
function most(taken: readonly Taken[], place: string): number {
  const countOf = (t: Taken) => t.spots.find((s) => s.place === place)?.count ?? 0
  return Math.max(
    0,
    ...taken.map((t) => taken.filter((o) => o.from <= t.from && o.to > t.from).reduce((n, o) => n + countOf(o), 0)),
  )
}

/** Steps, each behind all it comes after. @throws Invalid where they wait for each other, or for one that is not there */
function inOrderOfCause(steps: readonly Step[]): Step[] {
  const sorted: Step[] = []
  const left = [...steps]
  while (left.length) {
    const at = left.findIndex((s) => s.after.every((k) => sorted.some((d) => d.key === k)))
    if (at < 0)
      throw new Invalid(
        `The steps ${left.map((s) => s.key).join(', ')} wait for each other. Take one of these waits away.`,
      )
    sorted.push(...left.splice(at, 1))
  }
  return sorted
}

function backwards(steps: readonly Step[], due: number, isOpen: (at: number) => boolean) {
  const timed = new Map<string, { start: number; end: number }>()
  for (const s of [...steps].reverse()) {
    const next = steps.filter((n) => n.after.includes(s.key))
    const end = Math.min(due, ...next.map((n) => timed.get(n.key)!.start - (n.waitHours ?? 0) * HOUR))
    let start = end - s.hours * HOUR
    for (let i = 0; s.byHand && i < 60 && !isOpen(start); i++) start -= DAY
    timed.set(s.key, { start, end: start + s.hours * HOUR })
  }
  return timed
}

/** One step where it is fixed, what it waits for as late as that lets it, and what waits for it as early as can be. */
function pinned(steps: readonly Step[], key: string, start: number, isOpen: (at: number) => boolean) {
  const before = new Set([key])
  for (const s of [...steps].reverse()) if (before.has(s.key)) for (const k of s.after) before.add(k)
  const step = steps.find((s) => s.key === key)!
  const known = backwards(
    steps.filter((s) => before.has(s.key)),
    start + step.hours * HOUR,
    (at) => at === start || isOpen(at),
  )
  return forwards(steps, start, isOpen, known)
}

function forwards(
  steps: readonly Step[],
  from: number,
  isOpen: (at: number) => boolean,
  known: ReadonlyMap<string, { start: number; end: number }> = new Map(),
) {
  const timed = new Map(known)
  for (const s of steps) {
    if (known.has(s.key)) continue
    let start = Math.max(from, ...s.after.map((k) => timed.get(k)!.end + (s.waitHours ?? 0) * HOUR))
    for (let i = 0; s.byHand && i < 60 && !isOpen(start); i++) start += DAY
    timed.set(s.key, { start, end: start + s.hours * HOUR })
  }
  return timed
}
