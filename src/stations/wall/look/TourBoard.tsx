import { TOUR_SPOTS, type TourSpot } from '@/core/run/events'
import styles from './look.module.css'

/** The nine spots of the tour, in their places: each is one tap. What is on a spot is said by sign and word. */
export function TourBoard({
  url,
  ratio,
  round,
  marks,
  what,
  onTap,
}: {
  /** The face laid flat, where there is a picture of it. */
  url: string | undefined
  /** Width ÷ height. */
  ratio: number
  round: boolean
  /** Signs on each spot. */
  marks: Readonly<Partial<Record<TourSpot, readonly string[]>>>
  /** What a tap sets now, in words. */
  what: string
  onTap: (spot: TourSpot) => void
}) {
  return (
    <div
      className={styles.board}
      role="group"
      aria-label={`The face, nine spots: a tap sets ${what}`}
      style={{
        aspectRatio: Math.min(1.5, Math.max(0.75, ratio)),
        borderRadius: round ? '50%' : 4,
        backgroundImage: url ? `url(${url})` : undefined,
      }}
    >
      {TOUR_SPOTS.map((spot) => (
        <button
          key={spot}
          type="button"
          aria-label={`${spot}${marks[spot]?.length ? `: ${marks[spot].join(', ')}` : ''}`}
          onClick={() => onTap(spot)}
        >
          {marks[spot]?.map((m) => (
            <b key={m}>{m}</b>
          ))}
        </button>
      ))}
    </div>
  )
}
