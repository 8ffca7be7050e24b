import { sheenFill } from './SheenDefs'

/** Inside of the bottle: shoulders at y 34, floor at y 148; of a jar: straight walls. */
const BOTTLE = 'M22 148 q-8 0 -8 -8 V56 q0 -12 16 -20 h40 q16 8 16 20 V140 q0 8 -8 8 Z'
const JAR = 'M20 148 q-8 0 -8 -8 V50 q0 -10 8 -10 h60 q8 0 8 10 V140 q0 8 -8 8 Z'
const CAP = 'M36 36 v-9 h28 v9 M42 27 l4 -22 h8 l4 22'
const LID = 'M16 40 v-16 h68 v16 Z'
const TOP = 36
const FLOOR = 148
/** Circumference of the rest ring. */
const ROUND = 2 * Math.PI * 9

export interface BottleLook {
  readonly hex: string | null
  readonly sheen: string
  /** Share of the capacity that is full, 0–1. */
  readonly level: number
  readonly resting?: boolean
  /** Share of the rest that is still to come, 0–1. */
  readonly restLeft?: number
  readonly empty?: boolean
  readonly jar?: boolean
  /** How thick it pours, s until flat; drawn as a mound. */
  readonly levelTimeS?: number | null
  /** Past or near its keep-until: a folded corner, full when past. */
  readonly keep?: 'near' | 'past' | undefined
  readonly reference?: boolean
  /** Silicone or another additive is in it. */
  readonly additive?: boolean
}

/**
 * A squeeze bottle (or a jar of run-off) drawn with its real level, colour and sheen. A ring beside the cap is what is
 * left of its rest, the mound at its foot how thick it pours, a folded corner its keep-until, two rings beside its
 * shoulder an additive in it, a bar under it: the reference of its palette.
 */
export function BottleGlyph({ look, id, height = 150 }: { look: BottleLook; id: string; height?: number }) {
  const y = FLOOR - (FLOOR - TOP) * Math.min(1, Math.max(0, look.level))
  const clip = `b-${id}`
  const inside = look.jar ? JAR : BOTTLE
  const rest = look.restLeft ?? (look.resting ? 1 : 0)
  const t = look.levelTimeS
  const rise = t ? 3 + 13 * (1 - Math.exp(-t / 3.2)) : 0
  const half = t ? 17 - 7 * (1 - Math.exp(-t / 4)) : 0
  return (
    <svg viewBox="0 0 100 154" height={height} aria-hidden="true" className="middle">
      <clipPath id={clip}>
        <path d={inside} />
      </clipPath>
      <path d={inside} fill="#ffffff" />
      {look.empty ? null : (
        <g clipPath={`url(#${clip})`}>
          <rect x="8" y={y} width="84" height={FLOOR - y + 4} fill={look.hex ?? '#dedede'} />
          <rect x="8" y={y} width="84" height={FLOOR - y + 4} fill={sheenFill(look.sheen)} />
          <ellipse cx="50" cy={y} rx="42" ry="2.5" fill="#fff" fillOpacity=".35" />
        </g>
      )}
      <path d={inside} fill="none" stroke="#3a3a3a" strokeWidth="2" />
      <path d={look.jar ? LID : CAP} fill="#d9d9d9" stroke="#3a3a3a" strokeWidth="2" strokeLinejoin="round" />
      {look.jar ? null : <path d="M78 62h8M80 84h6M78 106h8M80 128h6" stroke="#3a3a3a" strokeWidth="1.5" />}
      {rest > 0 ? (
        <g transform="translate(80 17) rotate(-90)" fill="none" strokeWidth="4.5">
          <circle r="9" stroke="#cfcfcf" />
          <circle r="9" stroke="#1c1c1c" strokeDasharray={`${(rest * ROUND).toFixed(1)} ${ROUND.toFixed(1)}`} />
        </g>
      ) : null}
      {look.keep ? (
        <path
          data-mark={`keep ${look.keep}`}
          d="M3 30 h20 l-20 20 Z"
          fill={look.keep === 'past' ? '#1c1c1c' : '#fff'}
          stroke="#1c1c1c"
          strokeWidth="2"
        />
      ) : null}
      {t && !look.empty ? (
        <g>
          <rect
            x="28"
            y="121"
            width="44"
            height="24"
            rx="4"
            fill="#fff"
            fillOpacity=".92"
            stroke="#3a3a3a"
            strokeWidth="1"
          />
          <path
            d={`M${50 - half} 141 C${50 - half * 0.7} ${141 - rise * 0.2} ${50 - half * 0.55} ${141 - rise} 50 ${141 - rise} S${50 + half * 0.7} ${141 - rise * 0.2} ${50 + half} 141 Z`}
            fill="#1c1c1c"
          />
          <path d="M31 141.500h38" stroke="#1c1c1c" strokeWidth="1.5" />
        </g>
      ) : null}
      {look.additive && !look.empty ? (
        <g data-mark="additive" fill="#fff" stroke="#1c1c1c" strokeWidth="2">
          <circle cx="29" cy="61" r="6.5" />
          <circle cx="39" cy="72" r="4" />
        </g>
      ) : null}
      {look.reference ? <path data-mark="reference" d="M14 152.500h72" stroke="#1c1c1c" strokeWidth="3" /> : null}
    </svg>
  )
}
