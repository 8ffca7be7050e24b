import { Link } from '@/ui/frame/Link'
import type { NeedKind } from '@/core/vessel/needs'
import { isPressing } from '@/core/vessel/needs'
import { MOMENT_WORDS } from '@/core/piece/looks'
import type { LookToTake } from '@/db/pieces/read'
import { dayAndTime } from '@/ui/tables/dates'
import { Chip } from '@/ui/pictures/Drawdown'
import { EmptyState } from '@/ui/frame/Notice'
import type { Alert } from './find'
import { Live } from './Live'
import { RackNav } from './RackNav'
import styles from './rack.module.css'

const GROUPS: readonly { title: string; has: (a: Alert) => boolean }[] = [
  { title: 'Now', has: (a) => isPressing(a.need.kind) && a.need.due === null },
  { title: 'With a date', has: (a) => a.need.due !== null },
  { title: 'Before the next pour', has: (a) => a.need.kind === 'check' || a.need.kind === 'shake' },
  { title: 'When there is time', has: (a) => a.need.kind === 'low' },
]
const DO: Readonly<Partial<Record<NeedKind, (id: string) => { href: string; words: string }>>> = {
  thickened: (id) => ({ href: `/bench/consistency?bottle=${id}`, words: 'Time it' }),
  check: (id) => ({ href: `/bench/consistency?bottle=${id}`, words: 'Time it' }),
  keep: (id) => ({ href: `/plan/new?bottles=${id}`, words: 'Plan it in' }),
  past: (id) => ({ href: `/plan/new?bottles=${id}`, words: 'Plan it in' }),
  low: (id) => ({ href: `/bench?like=${id}`, words: 'Mix more' }),
}

/** Everything the rack asks for, the pressing first, each with what to do; as a calendar too. */
export function Alerts({
  alerts,
  looks,
  zone,
}: {
  alerts: readonly Alert[]
  looks: readonly LookToTake[]
  zone: string
}) {
  return (
    <>
      <Live />
      <div className="head">
        <h1>
          What to do <span className="sub">on the rack and on the wall</span>
        </h1>
        <a className="go second" href="/rack/alerts/calendar" download="fika.ics">
          As a calendar
        </a>
      </div>
      <RackNav here="/rack/alerts" />
      {alerts.length === 0 && looks.length === 0 ? (
        <EmptyState title="Nothing to do">Every bottle is ready to pour.</EmptyState>
      ) : null}
      {GROUPS.map(({ title, has }) => {
        const list = alerts.filter(has)
        if (list.length === 0) return null
        return (
          <section key={title} className="panel apart">
            <h2>
              {title} <small className="muted">{list.length}</small>
            </h2>
            <ul className={styles.alerts}>
              {list.map((a) => {
                const way = DO[a.need.kind]?.(a.id)
                return (
                  <li key={`${a.id} ${a.need.kind}`}>
                    <Chip hex={a.hex} sheen={a.sheen} size={34} />
                    <Link href={`/rack/${a.id}`}>{a.label}</Link>
                    <span>{a.need.todo}</span>
                    {way ? (
                      <Link className="go second" href={way.href}>
                        {way.words}
                      </Link>
                    ) : (
                      <span />
                    )}
                  </li>
                )
              })}
            </ul>
          </section>
        )
      })}
      {looks.length ? (
        <section className="panel apart">
          <h2>
            On the wall <small className="muted">{looks.length}</small>
          </h2>
          <ul className={styles.alerts}>
            {looks.map((l) => (
              <li key={`${l.pieceId} ${l.moment}`}>
                <span />
                <Link href={`/wall/${l.pieceId}`}>{l.title}</Link>
                <span>
                  Look at it {MOMENT_WORDS[l.moment]}
                  {l.isDue ? '' : `, ${dayAndTime(l.dueAt, zone)}`}
                </span>
                <Link className="go second" href={`/wall/${l.pieceId}/look/${l.moment}`}>
                  Look
                </Link>
              </li>
            ))}
          </ul>
        </section>
      ) : null}
    </>
  )
}
