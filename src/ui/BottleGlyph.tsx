import { sheenFill } from './SheenDefs'

/** Inside of the bottle: shoulders at y 34, floor at y 148. */
const INSIDE = 'M22 148 q-8 0 -8 -8 V56 q0 -12 16 -20 h40 q16 8 16 20 V140 q0 8 -8 8 Z'
const TOP = 36
const FLOOR = 148

export interface BottleLook {
  readonly hex: string | null
  readonly sheen: string
  /** Share of the capacity that is full, 0–1. */
  readonly level: number
  readonly resting?: boolean
  readonly empty?: boolean
}

/** A squeeze bottle drawn with its real level, colour and sheen. A dashed collar means it is resting. */
export function BottleGlyph({ look, id, height = 150 }: { look: BottleLook; id: string; height?: number }) {
  const y = FLOOR - (FLOOR - TOP) * Math.min(1, Math.max(0, look.level))
  const clip = `b-${id}`
  return (
    <svg viewBox="0 0 100 154" height={height} aria-hidden="true" style={{ display: 'block', margin: '0 auto' }}>
      <clipPath id={clip}>
        <path d={INSIDE} />
      </clipPath>
      <path d={INSIDE} fill="#ffffff" />
      {look.empty ? null : (
        <g clipPath={`url(#${clip})`}>
          <rect x="8" y={y} width="84" height={FLOOR - y + 4} fill={look.hex ?? '#dedede'} />
          <rect x="8" y={y} width="84" height={FLOOR - y + 4} fill={sheenFill(look.sheen)} />
          <ellipse cx="50" cy={y} rx="42" ry="2.5" fill="#fff" fillOpacity=".35" />
        </g>
      )}
      <path d={INSIDE} fill="none" stroke="#3a3a3a" strokeWidth="2" />
      <path
        d="M36 36 v-9 h28 v9 M42 27 l4 -22 h8 l4 22"
        fill="#d9d9d9"
        stroke="#3a3a3a"
        strokeWidth="2"
        strokeLinejoin="round"
      />
      <path d="M78 62h8M80 84h6M78 106h8M80 128h6" stroke="#3a3a3a" strokeWidth="1.5" />
      {look.resting ? <path d="M30 31.500h40" stroke="#1c1c1c" strokeWidth="5" strokeDasharray="5 3" /> : null}
    </svg>
  )
}
