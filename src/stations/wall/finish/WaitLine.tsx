import { shortDay } from '@/ui/tables/dates'

const [WIDTH, LEFT] = [560, 14]

/** From the pour to the first safe day on one line, and where today is on it. */
export function WaitLine({ pouredAt, from, now, zone }: { pouredAt: number; from: number; now: number; zone: string }) {
  const end = Math.max(from, now)
  const x = (t: number) => LEFT + ((WIDTH - 2 * LEFT) * (t - pouredAt)) / Math.max(1, end - pouredAt)
  const today = x(Math.min(end, Math.max(pouredAt, now)))
  const safe = x(from)
  return (
    <svg
      viewBox={`0 0 ${WIDTH} 74`}
      width="100%"
      role="img"
      aria-label={`Poured ${shortDay(pouredAt, zone)}, safe from ${shortDay(from, zone)}`}
    >
      <path d={`M${LEFT} 34H${WIDTH - LEFT}`} stroke="#b5b5b5" strokeWidth="10" strokeLinecap="round" />
      <path d={`M${LEFT} 34H${today}`} stroke="#1c1c1c" strokeWidth="10" strokeLinecap="round" />
      <path d={`M${safe} 16v36`} stroke="#1c1c1c" strokeWidth="3" />
      <circle cx={today} cy="34" r="11" fill="#fff" stroke="#1c1c1c" strokeWidth="4" />
      <text x={LEFT - 8} y="13" fontSize="15" fill="#1c1c1c">
        poured {shortDay(pouredAt, zone)}
      </text>
      <text
        x={safe}
        y="70"
        fontSize="15"
        textAnchor={safe < WIDTH / 2 ? 'start' : 'end'}
        fontWeight="650"
        fill="#1c1c1c"
      >
        safe from {shortDay(from, zone)}
      </text>
      {today > 190 ? (
        <text x={Math.min(WIDTH - 50, today - 18)} y="13" fontSize="15" fill="#1c1c1c">
          today
        </text>
      ) : null}
    </svg>
  )
}
