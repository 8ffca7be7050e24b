import { Link } from '@/ui/frame/Link'
import type { NextTimeFacts } from './facts'
import styles from '../notebook.module.css'

/** What was to be done another time: not tried since first, each with a way to pour it again, changed. */
export function NextTime({ facts: { lessons } }: { facts: NextTimeFacts }) {
  const open = lessons.filter((l) => !l.isTried)
  return (
    <section className="panel" aria-label="Next time">
      <p className={styles.said}>
        <b>
          {open.length === 0
            ? 'Every technique has been poured again since.'
            : `${open.length} of ${lessons.length} are still to be tried.`}
        </b>
      </p>
      <ul className={styles.lessons}>
        {[...open, ...lessons.filter((l) => l.isTried)].map((l) => (
          <li key={l.id}>
            <span>
              <b>{l.nextTime}</b>
              <small className="muted block">
                after <Link href={`/wall/${l.id}`}>{l.title}</Link>, {l.technique}, {l.day}
                {l.isTried ? '; this technique was poured since' : ''}
              </small>
            </span>
            <Link className="go second" href={`/plan/again/${l.id}`}>
              Pour it again, changed
            </Link>
          </li>
        ))}
      </ul>
    </section>
  )
}
