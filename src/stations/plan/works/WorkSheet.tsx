import Link from 'next/link'
import { formatMl } from '@/core/quantity/format'
import { formatMoney } from '@/core/quantity/money'
import { surfaceWords } from '@/core/surface/words'
import type { TechniqueBook } from '@/core/technique/techniques'
import type { PlanWithParts } from '@/db/plans/read'
import type { Piece } from '@/db/pieces/read'
import type { Work } from '@/db/works/read'
import { SurfacePicture } from '@/ui/pictures/SurfacePicture'
import { Chip } from '@/ui/pictures/Drawdown'
import { day } from '@/ui/tables/dates'
import { PrintButton } from './PrintButton'
import styles from './works.module.css'

/**
 * A work on one sheet that prints: sketches side by side with their colours, the word they are agreed on with, and the
 * plans they become.
 */
export function WorkSheet({
  work,
  plans,
  pieces,
  techniques,
  currency,
  zone,
}: {
  work: Work
  plans: readonly PlanWithParts[]
  pieces: readonly Piece[]
  techniques: TechniqueBook
  currency: string
  zone: string
}) {
  const sketches = plans.filter((p) => p.kind !== 'final')
  const finals = plans.filter((p) => p.kind === 'final')
  return (
    <section className="panel" aria-label="Sheet of the work">
      <div className="head">
        <h1>
          {work.title}
          <span className="sub">
            {[
              work.kind,
              work.forWhom && `for ${work.forWhom}`,
              work.dueOn && `due ${day(`${work.dueOn}T12:00:00Z`, zone)}`,
              work.priceMinor !== null && formatMoney(work.priceMinor, currency),
            ]
              .filter(Boolean)
              .join(' · ')}
          </span>
        </h1>
        <PrintButton />
        <Link className="go second" href={`/plan/new?work=${work.id}`}>
          New plan in it
        </Link>
      </div>
      <Plans
        title="Sketches"
        plans={sketches}
        pieces={pieces}
        techniques={techniques}
        empty="No sketch yet. A sketch is a plan of a small surface: agree on its style and colours, then scale it up."
        scale
      />
      {work.kind === 'commission' || work.agreedOn ? (
        <div className={styles.agreed}>
          <p>
            <b>A sketch, not a copy.</b> What is poured follows the style and the colours of the sketch agreed on; paint
            finds its own way, and no two pours are alike.
          </p>
          <p>
            {work.agreedText || 'Nothing is written down yet.'}{' '}
            {work.agreedOn ? <b>Agreed on {day(`${work.agreedOn}T12:00:00Z`, zone)}.</b> : <b>Not agreed on yet.</b>}
          </p>
          <p className={styles.sign}>Date and name</p>
        </div>
      ) : null}
      <Plans
        title="What it becomes"
        plans={finals}
        pieces={pieces}
        techniques={techniques}
        empty="Nothing final is planned yet."
      />
    </section>
  )
}

function Plans({
  title,
  plans,
  pieces,
  techniques,
  empty,
  scale = false,
}: {
  title: string
  plans: readonly PlanWithParts[]
  pieces: readonly Piece[]
  techniques: TechniqueBook
  empty: string
  scale?: boolean
}) {
  return (
    <>
      <h3>{title}</h3>
      {plans.length === 0 ? <p className="muted">{empty}</p> : null}
      <ul className={styles.sketches}>
        {plans.map((p) => {
          const cup = p.parts.filter((x) => x.use === 'cup')
          const photo = pieces.find((x) => x.planId === p.id)?.photos.at(-1)
          return (
            <li key={p.id}>
              {photo ? (
                // eslint-disable-next-line @next/next/no-img-element -- photos are served by the app itself, sized already
                <img
                  src={`/wall/photo/${photo.id}`}
                  width={photo.width}
                  height={photo.height}
                  alt={`${p.title}, ${photo.moment}`}
                  className={styles.photo}
                />
              ) : (
                <SurfacePicture
                  surface={p.design.surfaces[0]!.surface}
                  colours={cup.map((x) => ({ hex: x.hex ?? '#ddd', ul: x.ul }))}
                />
              )}
              <Link href={`/plan/${p.id}`}>
                <b>{p.title}</b>
              </Link>
              <p className="muted fine">
                {techniques.name(p.technique)},{' '}
                {p.design.surfaces.map((s) => `${s.surface.count} × ${surfaceWords(s.surface)}`).join('; ')},{' '}
                {formatMl(p.cupUl)}
              </p>
              {cup.map((x) => (
                <span key={`${x.of.kind} ${x.of.id}`} className="chipline">
                  <Chip hex={x.hex} sheen={x.sheen} size={20} />
                  {x.label}
                </span>
              ))}
              {scale ? (
                <p className="noPrint">
                  <Link href={`/plan/${p.id}/scale`}>Scale up</Link>
                </p>
              ) : null}
            </li>
          )
        })}
      </ul>
    </>
  )
}
