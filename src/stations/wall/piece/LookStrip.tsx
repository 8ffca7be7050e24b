/* eslint-disable @next/next/no-img-element -- photos are served by the app itself, sized already */
import { Link } from '@/ui/frame/Link'
import { FAULTS } from '@/core/piece/faults'
import { MOMENT_WORDS, MOMENTS, MUCH_WORDS, type Look } from '@/core/piece/looks'
import type { Piece } from '@/db/pieces/read'
import { day, dayAndTime } from '@/ui/tables/dates'
import styles from './piece.module.css'

const dots = (rating: number) => '●'.repeat(rating) + '○'.repeat(5 - rating)

/** The looks at a piece in the order of time: what was seen, what is due, what is still to come. */
export function LookStrip({ piece, looks, zone }: { piece: Piece; looks: readonly Look[]; zone: string }) {
  return (
    <section className="panel" aria-label="Looks">
      <h2>Looks</h2>
      <ul className={styles.strip}>
        {MOMENTS.map((m) => {
          const look = looks.find((l) => l.moment === m)
          const due = piece.due.find((d) => d.moment === m && d.doneAt === null)
          const photo = piece.photos.findLast((f) => f.moment === m)
          return (
            <li key={m} data-due={due?.isDue || undefined}>
              <Link href={`/wall/${piece.id}/look/${m}`}>
                {photo ? (
                  <img
                    src={photo.flat ? `/wall/photo/${photo.id}/flat` : `/wall/photo/${photo.id}`}
                    alt=""
                    loading="lazy"
                  />
                ) : (
                  <span className={styles.blank} aria-hidden="true" />
                )}
                <b>{MOMENT_WORDS[m]}</b>
                {look ? (
                  <>
                    {look.rating ? <span aria-label={`${look.rating} of 5`}>{dots(look.rating)}</span> : null}
                    <small>
                      {look.faults
                        .map((f) => `${FAULTS.find((x) => x.key === f.fault)?.name ?? f.fault}, ${MUCH_WORDS[f.much]}`)
                        .join('; ')}
                    </small>
                    <small className="muted">{day(look.at, zone)}</small>
                  </>
                ) : due?.isDue ? (
                  <b>Look at it now</b>
                ) : due ? (
                  <small className="muted">{dayAndTime(due.dueAt, zone)}</small>
                ) : (
                  <small className="muted">{photo ? 'photo only' : 'not looked at'}</small>
                )}
              </Link>
            </li>
          )
        })}
      </ul>
      {looks
        .filter((l) => l.words)
        .map((l) => (
          <p key={l.moment} className="close">
            <b>{MOMENT_WORDS[l.moment]}:</b> {l.words}
          </p>
        ))}
    </section>
  )
}
