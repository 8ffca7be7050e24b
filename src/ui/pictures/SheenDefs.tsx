import { Fragment, type ReactNode } from 'react'
import { SHEENS, type Sheen } from '@/core/paint/properties'

/** How each sheen is drawn: light and shade only, so that the paint under it stays the only colour. */
const DRAWN: Readonly<Record<Sheen, (id: string) => ReactNode>> = {
  matte: (id) => (
    <pattern id={id} width="5" height="5" patternUnits="userSpaceOnUse">
      <circle cx="1.2" cy="1.3" r=".45" fill="#fff" fillOpacity=".16" />
      <circle cx="3.7" cy="3.8" r=".5" fill="#000" fillOpacity=".1" />
    </pattern>
  ),
  satin: (id) => (
    <linearGradient id={id} x1="0" y1="0" x2="1" y2="0.35">
      <stop offset="0.15" stopColor="#fff" stopOpacity="0" />
      <stop offset="0.5" stopColor="#fff" stopOpacity="0.22" />
      <stop offset="0.85" stopColor="#fff" stopOpacity="0" />
    </linearGradient>
  ),
  gloss: (id) => (
    <linearGradient id={id} x1="0" y1="0" x2="1" y2="0.35">
      <stop offset="0.3" stopColor="#fff" stopOpacity="0" />
      <stop offset="0.36" stopColor="#fff" stopOpacity="0.75" />
      <stop offset="0.42" stopColor="#fff" stopOpacity="0.75" />
      <stop offset="0.47" stopColor="#fff" stopOpacity="0.05" />
      <stop offset="0.58" stopColor="#fff" stopOpacity="0.28" />
      <stop offset="0.62" stopColor="#fff" stopOpacity="0" />
    </linearGradient>
  ),
  pearl: (id) => (
    <radialGradient id={id} cx="0.35" cy="0.3" r="0.8">
      <stop offset="0" stopColor="#fffdf4" stopOpacity="0.75" />
      <stop offset="0.4" stopColor="#eaf3ff" stopOpacity="0.35" />
      <stop offset="0.75" stopColor="#ffe9f3" stopOpacity="0.28" />
      <stop offset="1" stopColor="#fff" stopOpacity="0" />
    </radialGradient>
  ),
  metallic: (id) => (
    <pattern id={id} width="40" height="4" patternUnits="userSpaceOnUse" patternTransform="rotate(-8)">
      <path d="M0 .5h40" stroke="#fff" strokeOpacity=".4" strokeWidth=".7" />
      <path d="M6 1.7h24" stroke="#000" strokeOpacity=".25" strokeWidth=".6" />
      <path d="M0 2.9h14M22 2.9h18" stroke="#fff" strokeOpacity=".28" strokeWidth=".6" />
    </pattern>
  ),
  'colour-shift': (id) => (
    <linearGradient id={id} x1="0" y1="0" x2="1" y2="1">
      <stop offset="0" stopColor="#6ad1c9" stopOpacity="0.55" />
      <stop offset="0.45" stopColor="#fff" stopOpacity="0.05" />
      <stop offset="1" stopColor="#b46ad1" stopOpacity="0.6" />
    </linearGradient>
  ),
  fluorescent: (id) => (
    <radialGradient id={id} cx="0.5" cy="0.5" r="0.6">
      <stop offset="0" stopColor="#fff" stopOpacity="0.5" />
      <stop offset="1" stopColor="#fff" stopOpacity="0" />
    </radialGradient>
  ),
  glitter: (id) => (
    <pattern id={id} width="18" height="16" patternUnits="userSpaceOnUse">
      <path
        d="M3 2l1 1.5L3 5 2 3.500zM12 1l.8 1-.8 1-.8-1zM8 8l1.300 1.800L8 11.600 6.700 9.800zM15 10l.9 1.200-.9 1.200-.9-1.200zM2 12l.7.9-.7.9-.7-.9z"
        fill="#fff"
        fillOpacity=".95"
      />
      <path d="M6 5l.6.8-.6.8-.6-.8zM13 6l.7.9-.7.9-.7-.9z" fill="#000" fillOpacity=".35" />
    </pattern>
  ),
}

/** Patterns and gradients by which sheen is drawn, once a page; glyphs refer to them by id. */
export function SheenDefs() {
  return (
    <svg width="0" height="0" aria-hidden="true" className="defs">
      <defs>
        {SHEENS.map((sheen) => (
          <Fragment key={sheen}>{DRAWN[sheen](`sheen-${sheen}`)}</Fragment>
        ))}
      </defs>
    </svg>
  )
}

/** The fill that lays a sheen over a paint. */
export const sheenFill = (sheen: string) => `url(#sheen-${sheen})`
