import { Link } from '@/ui/frame/Link'
import type { CSSProperties } from 'react'
import { formatMoney } from '@/core/quantity/money'
import { formatMl } from '@/core/quantity/format'
import type { Scheduled } from '@/core/schedule/backwards'
import type { TechniqueBook } from '@/core/technique/techniques'
import type { PlanWithParts } from '@/db/plans/read'
import type { DryingPlace } from '@/db/room/read'
import type { Work } from '@/db/works/read'
import type { FirstRun } from '@/db/people/firstRun'
import { FirstSteps } from '@/ui/frame/FirstSteps'
import { EmptyState } from '@/ui/frame/Notice'
import { PlanCard } from '@/ui/tables/PlanCard'
import { day, DUE_AT, shortDay, timeOn } from '@/ui/tables/dates'
import { spanText } from '../desk/spanText'
import { barsOf, spanOf, whyLate, type Span, type Stretch } from './timeline'
import styles from './works.module.css'

const LEGEND: Readonly<Record<Stretch, string>> = {
  before: 'mix, rest, prepare',
  pour: 'pour',
  dry: 'dries level',
  finish: 'look, finish, deliver',
}

/** Works by due date on a line of time with their plans' steps and places; then plans on their own, and what was poured. */
export function Works({
  works,
  plans,
  scheduled,
  places,
  techniques,
  zone,
  currency,
  now,
  all,
  firstSteps,
}: {
  works: readonly Work[]
  plans: readonly PlanWithParts[]
  scheduled: readonly Scheduled[]
  places: readonly DryingPlace[]
  techniques: TechniqueBook
  zone: string
  currency: string
  now: number
  /** Whether every plan is shown, and not only the first of them. */
  all: boolean
  firstSteps: FirstRun
}) {
  const dates = new Map(scheduled.map((s) => [s.id, s]))
  const dueOf = (w: Work | undefined) => (w?.dueOn ? timeOn(w.dueOn, DUE_AT, zone) : null)
  const span = spanOf(
    scheduled,
    works.flatMap((w) => dueOf(w) ?? []),
    now,
  )
  const open = plans.filter((p) => !p.pouredAt)
  const alone = open.filter((p) => !works.some((w) => w.id === p.workId))
  const rows = [
    ...works.map((w) => ({ work: w as Work | undefined, plans: open.filter((p) => p.workId === w.id) })),
    ...(alone.length ? [{ work: undefined, plans: alone }] : []),
  ]
  const shown = firstOf(rows, all ? Infinity : SHOWN)
  return (
    <>
      <div className="head">
        <h1>
          Plan <span className="sub">how much, from which bottles, by when</span>
        </h1>
        <Link className="go second" href="/plan/ideas">
          Ideas
        </Link>
        <Link className="go second" href="/plan/buy">
          To buy
        </Link>
        <Link className="go second" href="/studio/room">
          Room
        </Link>
        <Link className="go second" href="/plan/techniques">
          Techniques
        </Link>
        <Link className="go second" href="/plan/work/new">
          New work
        </Link>
        <Link className="go" href="/plan/new" data-key="n">
          New plan
        </Link>
      </div>
      <FirstSteps run={firstSteps} />
      {rows.length === 0 ? (
        <EmptyState title="No plans yet">
          A plan says how much of each bottle a surface takes, what is short, what it costs, and when each step is due.
          <br />
          <Link className="go" href="/plan/new">
            New plan
          </Link>
        </EmptyState>
      ) : (
        <section className="panel" aria-label="Works by due date" style={weeksOf(span)}>
          <div className={styles.legend}>
            {(Object.keys(LEGEND) as Stretch[]).map((k) => (
              <span key={k}>
                <i className={`${styles.bar} ${styles[k]}`} /> {LEGEND[k]}
              </span>
            ))}
            <a href="/plan/calendar" download="plans.ics">
              As a calendar
            </a>
          </div>
          <Weeks span={span} zone={zone} />
          {shown.map(({ work, plans: own }) => (
            <div key={work?.id ?? 'alone'} className={styles.work}>
              <WorkHead work={work} currency={currency} zone={zone} />
              {own.length === 0 ? (
                <p className="muted">
                  No plan in it yet. <Link href={`/plan/new?work=${work!.id}`}>Make one</Link>
                </p>
              ) : null}
              {own.map((p) => (
                <PlanRow
                  key={p.id}
                  plan={p}
                  at={dates.get(p.id)}
                  due={dueOf(work)}
                  span={span}
                  places={places}
                  zone={zone}
                  now={now}
                  techniques={techniques}
                />
              ))}
            </div>
          ))}
          {open.length > SHOWN && !all ? (
            <Link className="go second" href="/plan?all=1">
              The other {open.length - SHOWN} too
            </Link>
          ) : null}
        </section>
      )}
      {plans.some((p) => p.pouredAt) ? (
        <>
          <h2 className={styles.poured}>Poured</h2>
          <ul className="gallery">
            {plans
              .filter((p) => p.pouredAt)
              .slice(0, 24)
              .map((p) => (
                <li key={p.id}>
                  <PlanCard
                    plan={p}
                    to="plan"
                    said={`${techniques.name(p.technique)} · ${formatMl(p.cupUl)}`}
                    state={`poured ${day(p.pouredAt!, zone)}`}
                  />
                </li>
              ))}
          </ul>
        </>
      ) : null}
    </>
  )
}

/** How wide a week is on the line, for the marks behind every row. */
const weeksOf = (span: Span) => ({ '--week': `${((7 * 86_400_000) / (span.to - span.from)) * 100}%` }) as CSSProperties

/** Plans shown at first: those due soonest. */
const SHOWN = 40

/** The first so many plans over all rows; a work without plans stays. */
function firstOf<R extends { readonly plans: readonly PlanWithParts[] }>(rows: readonly R[], most: number): R[] {
  let left = most
  return rows.map((r) => {
    const plans = r.plans.slice(0, left)
    left -= plans.length
    return { ...r, plans }
  })
}

function WorkHead({ work, currency, zone }: { work: Work | undefined; currency: string; zone: string }) {
  if (!work) return <h2 className={styles.workName}>On their own</h2>
  const said = [
    work.kind,
    work.forWhom && `for ${work.forWhom}`,
    work.dueOn ? `due ${shortDay(timeOn(work.dueOn, DUE_AT, zone), zone)}` : 'no due date',
    work.priceMinor !== null && formatMoney(work.priceMinor, currency),
    work.agreedOn && 'agreed',
  ].filter(Boolean)
  return (
    <h2 className={styles.workName}>
      <Link href={`/plan/work/${work.id}`}>{work.title}</Link> <span className="muted">{said.join(' · ')}</span>
    </h2>
  )
}

function Weeks({ span, zone }: { span: Span; zone: string }) {
  return (
    <div className={styles.row} aria-hidden="true">
      <span />
      <span className={styles.weeks}>
        <b style={{ left: 0 }}>today</b>
        {span.weeks
          .filter((w) => (w - span.from) / (span.to - span.from) < 0.95)
          .map((w) => (
            <span key={w} style={{ left: `${((w - span.from) / (span.to - span.from)) * 100}%` }}>
              {shortDay(w, zone).slice(4)}
            </span>
          ))}
      </span>
    </div>
  )
}

function PlanRow({
  plan,
  at,
  due,
  span,
  places,
  zone,
  now,
  techniques,
}: {
  plan: PlanWithParts
  at: Scheduled | undefined
  due: number | null
  span: Span
  places: readonly DryingPlace[]
  zone: string
  now: number
  techniques: TechniqueBook
}) {
  const pour = at?.steps.find((s) => s.key === 'pour')
  const place = at?.spots.map((s) => places.find((p) => p.id === s.place)?.name).join(', ')
  const dueAt = due === null ? null : ((due - span.from) / (span.to - span.from)) * 100
  const said = [
    pour ? `pour ${shortDay(pour.start, zone)}` : 'poured',
    at ? `ready ${shortDay(at.end, zone)}` : '',
    place ? `on ${place}` : at?.homeless ? 'no place is large enough' : '',
  ].filter(Boolean)
  return (
    <div className={styles.row}>
      <span className={styles.plan}>
        <Link href={`/plan/${plan.id}`}>{plan.title}</Link>
        <small>
          {plan.kind === 'final' ? '' : `${plan.kind} · `}
          {techniques.name(plan.technique)} · {formatMl(plan.cupUl)}
        </small>
        {at && at.lateMs > 0 ? (
          <b className={styles.late}>
            {spanText(at.lateMs)} late: {whyLate(at, now)}
          </b>
        ) : null}
      </span>
      <span className={styles.track}>
        {span.weeks.map((w) => (
          <i key={w} className={styles.week} style={{ left: `${((w - span.from) / (span.to - span.from)) * 100}%` }} />
        ))}
        {at
          ? barsOf(at, span).map((b, i) => (
              <i
                key={i}
                className={`${styles.bar} ${styles[b.kind]}`}
                style={{ left: `${b.from * 100}%`, width: `${Math.max(0.5, (b.to - b.from) * 100)}%` }}
              />
            ))
          : null}
        {dueAt !== null && dueAt >= 0 && dueAt <= 100 ? (
          <i className={styles.due} style={{ left: `${dueAt}%` }} />
        ) : null}
        <small className={styles.said}>{said.join(' · ')}</small>
      </span>
    </div>
  )
}
