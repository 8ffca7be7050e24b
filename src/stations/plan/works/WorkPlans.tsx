import { Link } from '@/ui/frame/Link'
import { formatMl } from '@/core/quantity/format'
import { surfaceWords } from '@/core/surface/words'
import type { TechniqueBook } from '@/core/technique/techniques'
import type { PlanWithParts } from '@/db/plans/read'
import type { Piece } from '@/db/pieces/read'
import { SurfacePicture } from '@/ui/pictures/SurfacePicture'
import { Chip } from '@/ui/pictures/Drawdown'
import styles from './works.module.css'

/** Plans of a work side by side: as they came out where one was photographed, else as they are planned. */
export function WorkPlans({
  title,
  plans,
  pieces,
  techniques,
  empty,
  open = true,
  scale = false,
  photoPath = (id) => `/wall/photo/${id}`,
}: {
  title: string
  plans: readonly PlanWithParts[]
  pieces: readonly Piece[]
  techniques: TechniqueBook
  empty: string
  /** Whether a plan can be opened from here. */
  open?: boolean
  scale?: boolean
  photoPath?: (id: string) => string
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
                  src={photoPath(photo.id)}
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
              {open ? (
                <Link href={`/plan/${p.id}`}>
                  <b>{p.title}</b>
                </Link>
              ) : (
                <b>{p.title}</b>
              )}
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
