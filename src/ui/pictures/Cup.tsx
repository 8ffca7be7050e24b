import { useId } from 'react'

/** A layer of a cup, from the bottom up. */
export interface CupLayer {
  readonly id: string
  readonly hex: string
  readonly ul: number
  readonly label: string
}

/** A cup in cross-section with its layers to scale; `fullUl` is where its rim stands. */
export function Cup({
  layers,
  fullUl,
  height = 320,
  dark = false,
  markUl,
}: {
  layers: readonly CupLayer[]
  fullUl: number
  height?: number
  dark?: boolean
  markUl?: number
}) {
  const inside = useId()
  const line = dark ? '#e6e6e6' : '#2b2b2b'
  const [top, floor] = [16, 300]
  const scale = (floor - top) / Math.max(1, fullUl)
  const tops = layers.reduce<number[]>((ys, l) => [...ys, (ys.at(-1) ?? floor) - l.ul * scale], [])
  const rects = layers.map((l, i) => ({ l, y: tops[i]!, h: l.ul * scale }))
  return (
    <svg
      viewBox="0 0 220 316"
      height={height}
      className="middle"
      role="img"
      aria-label={`Cup: ${layers.map((l) => l.label).join(', ') || 'empty'}`}
    >
      <clipPath id={inside}>
        <path d="M14 10 H206 L184 304 H36 Z" />
      </clipPath>
      <path d="M14 10 H206 L184 304 H36 Z" fill={dark ? '#3a3a3a' : '#fff'} />
      <g clipPath={`url(#${inside})`}>
        {rects.map(({ l, y, h }) => (
          <g key={l.id}>
            <rect x="0" y={y} width="220" height={h + 6} fill={l.hex} />
            <path d={`M0 ${y}h220`} stroke="#000" strokeOpacity=".25" />
          </g>
        ))}
        {markUl ? (
          <>
            <path d={`M10 ${floor - markUl * scale}h200`} stroke="#fff" strokeWidth="5" />
            <path d={`M10 ${floor - markUl * scale}h200`} stroke="#111" strokeWidth="2.5" strokeDasharray="8 6" />
          </>
        ) : null}
      </g>
      <path
        d="M10 10 H210 M14 10 L36 304 H184 L206 10"
        fill="none"
        stroke={line}
        strokeWidth="4"
        strokeLinejoin="round"
        strokeLinecap="round"
      />
    </svg>
  )
}
