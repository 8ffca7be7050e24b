import { Link } from './Link'
import type { FirstRun } from '@/db/people/firstRun'
import styles from './frame.module.css'

const STEPS: readonly {
  readonly key: keyof FirstRun
  readonly what: string
  readonly how: string
  readonly to: string
}[] = [
  {
    key: 'starter',
    what: 'Bring in what every room has',
    how: 'mediums, water, cups, surfaces, a level place',
    to: '/plan/starter',
  },
  { key: 'paints', what: 'Put in your paints', how: 'by hand, from a list, from a photo', to: '/paints/new' },
  { key: 'plans', what: 'Make a plan', how: 'a surface is enough; leave the rest open', to: '/plan/new' },
  { key: 'bottles', what: 'Mix the bottles it wants', how: 'at the bench, step by step', to: '/bench' },
  { key: 'pieces', what: 'Pour it', how: 'check, load, pour, hang it on the wall', to: '/pour' },
]

/** The way through a new studio in the order of work; it goes when all of it is done. */
export function FirstSteps({ run }: { run: FirstRun }) {
  const next = STEPS.find((s) => !run[s.key])
  if (!next) return null
  return (
    <section className={`panel ${styles.firstSteps}`} aria-label="First steps">
      <h2>In the order of work</h2>
      <ol className={styles.first}>
        {STEPS.map((s) => (
          <li key={s.key} aria-current={s === next ? 'step' : undefined}>
            <b>
              {run[s.key] ? '✓ ' : ''}
              {s.what}
            </b>
            <span className="muted">{s.how}</span>
            {run[s.key] ? null : (
              <Link className={s === next ? 'go' : 'go second'} href={s.to}>
                {s === next ? 'Now this' : 'Go there'}
              </Link>
            )}
          </li>
        ))}
      </ol>
    </section>
  )
}
