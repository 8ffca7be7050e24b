import { Link } from '@/ui/frame/Link'
import { FATE_WORDS, type ChosenFate } from '@/core/piece/fates'
import { FAULTS } from '@/core/piece/faults'
import type { TechniqueBook } from '@/core/technique/techniques'
import { PAGE, type WallPage } from '@/db/pieces/wall'
import { EmptyState } from '@/ui/frame/Notice'
import { day } from '@/ui/tables/dates'
import { PiecePicture } from './PiecePicture'
import { WallFilters, type WallChoices } from './WallFilters'
import { wallAddress, type WallFilter } from './wallFilter'
import styles from './wall.module.css'

/** The wall: the pieces themselves, newest first, or as they were searched for. */
export function Wall({
  page,
  filter,
  choices,
  zone,
  techniques,
}: {
  page: WallPage
  filter: WallFilter
  choices: WallChoices
  zone: string
  techniques: TechniqueBook
}) {
  const { pieces, total } = page
  const isAll = wallAddress({ ...filter, from: 0, more: '' }) === '/wall'
  return (
    <>
      <div className="head">
        <h1>
          Wall{' '}
          <span className="sub">
            {total} {total === 1 ? 'piece' : 'pieces'}
          </span>
        </h1>
      </div>
      {total > 0 || !isAll ? <WallFilters filter={filter} choices={choices} /> : null}
      {total === 0 && isAll ? (
        <EmptyState title="Nothing hangs here yet">
          Book a pour and its piece appears here, to be looked at again once it is dry.
          <br />
          <Link className="go" href="/pour">
            To the plans
          </Link>
        </EmptyState>
      ) : null}
      {total === 0 && !isAll ? (
        <EmptyState title="No piece is like that">
          Leave something out, or <Link href="/wall">look at the whole wall</Link>.
        </EmptyState>
      ) : null}
      <ul className="gallery">
        {pieces.map((p) => (
          <li key={p.id}>
            <Link href={`/wall/${p.id}`}>
              <div className={styles.frameBox}>
                <PiecePicture piece={p} />
              </div>
              <b className={styles.title}>{p.title}</b>
              <span className="muted">
                {day(p.pouredAt, zone)} · {techniques.name(p.technique)}
              </span>
              {p.share === null ? null : (
                <span className="block">{Math.round(100 * p.share)} % of about this colour</span>
              )}
              {p.isDue ? <b className="block">Look at it now</b> : null}
              <span className="block">
                {p.rating ? (
                  <span className={styles.stars} aria-label={`${p.rating} of 5`}>
                    {'●'.repeat(p.rating)}
                    {'○'.repeat(5 - p.rating)}
                  </span>
                ) : (
                  <span className="muted">not rated yet ·</span>
                )}{' '}
                <span className="muted">
                  {[
                    FATE_WORDS[p.fate as ChosenFate],
                    ...p.faults.map((f) => FAULTS.find((x) => x.key === f)?.name.toLowerCase()),
                  ].join(' · ')}
                </span>
              </span>
            </Link>
          </li>
        ))}
      </ul>
      {total > PAGE ? (
        <nav className="row spread below" aria-label="Pages of the wall">
          {filter.from > 0 ? (
            <Link className="go second" href={wallAddress({ ...filter, from: Math.max(0, filter.from - PAGE) })}>
              Newer
            </Link>
          ) : (
            <span />
          )}
          <span className="muted">
            {filter.from + 1} to {Math.min(total, filter.from + PAGE)} of {total}
          </span>
          {filter.from + PAGE < total ? (
            <Link className="go second" href={wallAddress({ ...filter, from: filter.from + PAGE })}>
              Further back
            </Link>
          ) : (
            <span />
          )}
        </nav>
      ) : null}
    </>
  )
}
