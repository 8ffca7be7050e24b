import { Link } from '@/ui/frame/Link'
import { compareArms } from '@/core/learning/trial'
import type { PouredFacts } from '@/core/learning/pouredFacts'
import type { Trial } from '@/db/trials/read'
import { EmptyState } from '@/ui/frame/Notice'
import { day } from '@/ui/tables/dates'
import { verdictWords } from './verdictWords'
import styles from '../notebook.module.css'

/** Trials with what each says so far. */
export function TrialList({
  trials,
  facts,
  zone,
}: {
  trials: readonly Trial[]
  facts: ReadonlyMap<string, PouredFacts>
  zone: string
}) {
  return (
    <>
      <div className="head">
        <h1>What did this trial say?</h1>
        <Link className="go" href="/notebook/trials/new">
          Begin a trial
        </Link>
        <Link className="go second" href="/notebook">
          All questions
        </Link>
      </div>
      {trials.length === 0 ? (
        <EmptyState title="No trial yet">
          Pour two cards that differ in one thing only, and look at them side by side. Four pairs are the least that say
          anything.
        </EmptyState>
      ) : (
        <ul className={styles.questions}>
          {trials.map((t) => (
            <li key={t.id}>
              <Link href={`/notebook/trials/${t.id}`}>
                <b>{t.question}</b>
                <span>{t.said || compareArms(t, facts).map(verdictWords)[0]}</span>
                <small className="muted">
                  {t.endedAt ? `ended ${day(t.endedAt, zone)}` : `begun ${day(t.begunAt, zone)}`}
                </small>
              </Link>
            </li>
          ))}
        </ul>
      )}
    </>
  )
}
