import type { Body, Opacity, Sheen } from '@/core/paint/properties'
import { sheenFill } from './SheenDefs'

/** How much of a black line a film of each class hides. Drawn to be told apart, not measured. */
const HIDES: Readonly<Record<Opacity, number>> = {
  opaque: 1,
  'semi-opaque': 0.9,
  'semi-transparent': 0.72,
  transparent: 0.5,
}

/** The lower edge of the film: a heavy body stands in ridges, an ink runs. */
const EDGE: Readonly<Record<Body, string>> = {
  heavy: 'V86 l-9 3 -11-4 -10 5 -12-3 -10 4 -13-5 -11 4 -12-3 -10 4 -12-4 -11 3 -12-4 -11 5 -12-3 -10 3 V12 Z',
  soft: 'V88 q-12 5 -24 1 t-24 1 t-24 -1 t-24 1 t-24 -1 t-24 1 t-22 -1 V12 Z',
  craft: 'V90 q-20 3 -42 0 t-42 0 t-42 0 t-40 0 V12 Z',
  fluid:
    'V88 q-14 0 -18 9 q-5 8 -10 0 q-4 -9 -22 -8 q-18 1 -22 10 q-5 7 -10 -1 q-4 -9 -24 -9 q-20 0 -24 8 q-5 8 -10 0 q-4 -8 -26 -8 V12 Z',
  ready: 'V90 q-30 0 -34 12 q-5 9 -10 0 q-4 -12 -40 -12 q-36 0 -40 11 q-5 9 -10 0 q-4 -11 -32 -11 V12 Z',
  ink: 'V86 q-10 0 -12 18 q-4 12 -8 0 q-2 -17 -24 -17 q-22 0 -24 20 q-4 10 -8 0 q-2 -19 -26 -19 q-24 0 -26 14 q-4 12 -8 0 q-2 -15 -30 -15 V12 Z',
}

/**
 * A drawdown card: the paint drawn over a black band on white, so that opacity is seen; its sheen catches light; its
 * body shows in the edge the film leaves.
 */
export function Drawdown({
  hex,
  body,
  opacity,
  sheen,
  strength = 2,
  height = 118,
}: {
  hex: string
  body: Body
  opacity: Opacity
  sheen: Sheen
  /** 1 faint, 2 usual, 3 strong. */
  strength?: number
  height?: number
}) {
  const path = `M7 12 H173 ${EDGE[body]}`
  return (
    <svg
      viewBox="0 0 180 118"
      width="100%"
      height={height}
      preserveAspectRatio="none"
      role="img"
      aria-label={`${opacity}, ${sheen}, ${body}`}
    >
      <rect width="180" height="118" fill="#fbfbfb" />
      <rect x="0" y="40" width="180" height="22" fill="#161616" />
      <path d={path} fill={hex} fillOpacity={HIDES[opacity]} />
      <path d={path} fill={sheenFill(sheen)} fillOpacity={strength === 1 ? 0.5 : 1} />
      {strength === 3 ? <path d={path} fill={sheenFill(sheen)} fillOpacity={0.6} /> : null}
      {body === 'heavy' || body === 'soft' ? (
        <path
          d="M7 24h166M7 47h166M7 70h166"
          stroke="#000"
          strokeOpacity={body === 'heavy' ? 0.16 : 0.07}
          strokeWidth={body === 'heavy' ? 2.5 : 1.5}
        />
      ) : null}
    </svg>
  )
}

/** A plain chip of a colour with its sheen, for lists and the tray. */
export function Chip({ hex, sheen = 'satin', size = 28 }: { hex: string | null; sheen?: string; size?: number }) {
  return (
    <svg width={size} height={size} viewBox="0 0 28 28" aria-hidden="true" className="rigid block">
      <rect x=".5" y=".5" width="27" height="27" rx="4" fill={hex ?? '#e4e4e4'} stroke="#00000040" />
      {hex ? (
        <rect x=".5" y=".5" width="27" height="27" rx="4" fill={sheenFill(sheen)} />
      ) : (
        <path data-mark="no colour" d="M4 24L24 4" stroke="#6b6b6b" />
      )}
    </svg>
  )
}
