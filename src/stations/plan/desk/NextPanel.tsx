'use client'

import { Link } from '@/ui/frame/Link'
import { formatMl } from '@/core/quantity/format'
import { emptyThese, smallerBy, nearestReady } from '@/core/plan/short'
import { roleFor } from '@/core/plan/readiness'
import type { Design } from '@/core/plan/design'
import type { Technique } from '@/core/technique/technique'
import { Chip } from '@/ui/pictures/Drawdown'
import type { DeskFacts } from '../deskFacts'
import type { BottleState, Worked } from './workOut'
import styles from './desk.module.css'

const mixLink = (s: BottleState) =>
  s.of.kind === 'bottle'
    ? `/bench?like=${s.of.id}&ul=${s.shortUl}`
    : s.of.kind === 'recipe'
      ? `/bench?recipe=${s.of.id}&ul=${s.shortUl}`
      : `/formulas/${s.of.id}`

/** What stands between this plan and its pour, bottle by bottle, each with what to do; then what is left open. */
export function NextPanel({
  design,
  worked,
  technique,
  facts,
  onSwap,
}: {
  design: Design
  worked: Worked
  technique: Technique
  facts: DeskFacts
  onSwap: (from: BottleState['of'], to: string) => void
}) {
  const troubled = worked.states.filter((s) => s.concerns.length > 0 || s.shortUl > 0)
  const ready = worked.states.filter((s) => !troubled.includes(s))
  return (
    <section className="panel" aria-label="What is next">
      <h2>What is next</h2>
      {worked.states.length === 0 ? (
        <p className="muted">Choose bottles for the cups; what each must give, and what is short, appears here.</p>
      ) : troubled.length === 0 ? (
        <p>
          <b>Every bottle is ready and holds enough.</b>
        </p>
      ) : null}
      <ul className={styles.next}>
        {troubled.map((s) => (
          <li key={`${s.of.kind} ${s.of.id}`}>
            <div className="chipline">
              <Chip hex={s.hex} sheen={s.sheen} />
              <b>{s.label}</b>
            </div>
            {s.shortUl > 0 ? (
              <ShortOf s={s} design={design} technique={technique} facts={facts} worked={worked} onSwap={onSwap} />
            ) : null}
            {s.concerns
              .filter((c) => c.kind !== 'short')
              .map((c) => (
                <p key={c.kind} className={styles.concern}>
                  <b>{c.short}.</b> {c.todo}{' '}
                  {c.kind === 'thick' || c.kind === 'unread' || c.kind === 'thin' ? (
                    <Link href={`/bench/consistency?bottle=${s.of.id}`}>Bring it there</Link>
                  ) : null}
                </p>
              ))}
          </li>
        ))}
      </ul>
      {ready.length && troubled.length ? (
        <p className="muted fine">Ready: {ready.map((s) => s.label).join(', ')}.</p>
      ) : null}
      {worked.gaps.length ? (
        <details className="helper" open={worked.states.length === 0}>
          <summary>Left open: {worked.gaps.length}</summary>
          <ul className={styles.gaps}>
            {worked.gaps.map((g) => (
              <li key={g.what}>
                <b>{g.what}.</b> {g.costs}
              </li>
            ))}
          </ul>
        </details>
      ) : null}
    </section>
  )
}

/** How near a mix of ends must come to the colour. Start value of Fika. */
const TOLERANCE = 6

/** The ways out of a shortage: mix it, take another, pour smaller, empty these ends. */
function ShortOf({
  s,
  design,
  technique,
  facts,
  worked,
  onSwap,
}: {
  s: BottleState
  design: Design
  technique: Technique
  facts: DeskFacts
  worked: Worked
  onSwap: (from: BottleState['of'], to: string) => void
}) {
  const takenUl = (id: string) =>
    facts.takes.filter((t) => t.vesselId === id).reduce((sum, t) => sum + t.ul, 0) +
    (worked.states.find((x) => x.of.id === id)?.needUl ?? 0)
  const freeUl = (id: string) => (facts.bottles.find((b) => b.id === id)?.ul ?? 0) - takenUl(id)
  const bottle = facts.bottles.find((b) => b.id === s.of.id)
  const missing = {
    hex: s.hex,
    role: roleFor(s.uses[0]!, bottle?.role ?? 'pour'),
    needUl: s.needUl,
    haveUl: Math.max(0, s.haveUl - s.elsewhereUl),
    pourAt: worked.pourAt,
    technique,
    look: design.look,
  }
  const others = facts.bottles.filter((b) => b.id !== s.of.id)
  const [near] = bottle ? nearestReady(missing, others, freeUl) : []
  const [ends] = bottle ? emptyThese({ ...missing, needUl: s.shortUl }, others, freeUl, TOLERANCE) : []
  const smaller = smallerBy(missing)
  return (
    <>
      <Link href={mixLink(s)} data-testid="short" className={styles.short}>
        Short by {formatMl(s.shortUl)}: mix it
      </Link>
      {s.elsewhereUl > 0 ? (
        <p className={styles.concern}>Other open plans want {formatMl(s.elsewhereUl)} of it.</p>
      ) : null}
      {near ? (
        <p className={styles.concern}>
          Nearest ready bottle: {near.label}, ΔE {near.deltaE.toFixed(1)}.{' '}
          <button type="button" className="plain" onClick={() => onSwap(s.of, near.id)}>
            Take it
          </button>
        </p>
      ) : null}
      {ends ? (
        <p className={styles.concern}>
          Or empty {ends.bottles.map((b) => b.label).join(' and ')} into it: {formatMl(ends.ul)}, ΔE{' '}
          {ends.deltaE.toFixed(1)}.
        </p>
      ) : null}
      {smaller > 0.4 && smaller < 1 ? (
        <p className={styles.concern}>Or pour smaller: sides of {Math.floor(smaller * 100)} % take what is there.</p>
      ) : null}
    </>
  )
}
