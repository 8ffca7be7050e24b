import Link from 'next/link'
import type { TechniqueBook } from '@/core/technique/techniques'
import { FAULTS } from '@/core/piece/faults'
import { day } from '@/ui/tables/dates'
import { EmptyState } from '@/ui/frame/Notice'
import { PiecePicture } from './PiecePicture'
import type { Piece } from '@/db/pieces/read'
import styles from './wall.module.css'

/** The wall: the pieces themselves, newest first. */
export function Wall({ pieces, zone, techniques }: { pieces: Piece[]; zone: string; techniques: TechniqueBook }) {
  return (
    <>
      <div className="head">
        <h1>
          Wall{' '}
          <span className="sub">
            {pieces.length} {pieces.length === 1 ? 'piece' : 'pieces'}
          </span>
        </h1>
      </div>
      {pieces.length === 0 ? (
        <EmptyState title="Nothing hangs here yet">
          Book a pour and its piece appears here, to be looked at again once it is dry.
          <br />
          <Link className="go" href="/pour">
            To the plans
          </Link>
        </EmptyState>
      ) : (
        <ul className="gallery">
          {pieces.map((p) => (
            <li key={p.id}>
              <Link href={`/wall/${p.id}`} prefetch={false}>
                <div className={styles.frameBox}>
                  <PiecePicture piece={p} />
                </div>
                <b style={{ display: 'block', marginTop: 10, fontSize: '1.05rem' }}>{p.title}</b>
                <span className="muted">
                  {day(p.pouredAt, zone)} · {techniques.name(p.technique)}
                </span>
                {p.looks.some((l) => l.isDue) ? <b className="block">Look at it now</b> : null}
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
                    {[p.fate, ...p.faults.map((f) => FAULTS.find((x) => x.key === f)?.name.toLowerCase())].join(' · ')}
                  </span>
                </span>
              </Link>
            </li>
          ))}
        </ul>
      )}
    </>
  )
}
