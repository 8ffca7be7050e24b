'use client'

import { useId } from 'react'
import type { ProfilePoint } from '@/core/surface/shapes'
import type { OnSurface, Worked } from './workOut'
import styles from './desk.module.css'

/** A vessel from the side, to scale, with its colours running down in the order in which they leave the cup. */
export function VesselStage({
  points,
  worked,
  on,
}: {
  points: readonly ProfilePoint[]
  worked: Worked
  on: OnSurface
}) {
  const body = useId()
  const height = Math.max(...points.map((p) => p.heightMm), 1)
  const radius = Math.max(...points.map((p) => p.radiusMm), 1)
  const size = Math.max(height, 2 * radius)
  const left = points.map((p) => `${-p.radiusMm} ${height - p.heightMm}`)
  const right = points.map((p) => `${p.radiusMm} ${height - p.heightMm}`).reverse()
  const draw = `M${[...left, ...right].join('L')}Z`
  const colours = [...new Set(on.marks.map((m) => m.colour))]
  const streams = colours.length * 3
  const step = (2 * radius) / Math.max(1, streams)
  return (
    <svg
      className={styles.stage}
      viewBox={`${-size / 2 - 0.1 * size} ${-0.06 * size} ${1.2 * size} ${1.2 * size}`}
      role="img"
      aria-label={`A vessel ${(height / 10).toFixed(1)} cm high and ${(radius / 5).toFixed(1)} cm wide, from the side`}
    >
      <clipPath id={body}>
        <path d={draw} />
      </clipPath>
      <g clipPath={`url(#${body})`}>
        <path d={draw} fill="#fff" />
        {Array.from({ length: streams }, (_, i) => (
          <rect
            key={i}
            x={-radius + i * step}
            y="0"
            width={step * 1.02}
            height={height}
            fill={worked.colours[colours[i % colours.length]!]?.hex ?? '#ddd'}
          />
        ))}
      </g>
      <path d={draw} fill="none" stroke="#1c1c1c" strokeWidth={size * 0.008} strokeLinejoin="round" />
      {points.map((p, i) => (
        <circle
          key={i}
          cx={p.radiusMm}
          cy={height - p.heightMm}
          r={size * 0.012}
          fill="#fff"
          stroke="#1c1c1c"
          strokeWidth={size * 0.005}
        />
      ))}
      <g transform={`translate(${-size / 2} ${height + size * 0.07})`}>
        <path
          d={`M0 ${-size * 0.012}V${size * 0.012}M0 0H100M100 ${-size * 0.012}V${size * 0.012}`}
          stroke="#1c1c1c"
          strokeWidth={size * 0.005}
        />
        <text x={104} y={size * 0.016} fontSize={size * 0.045} fill="#1c1c1c">
          10 cm
        </text>
      </g>
    </svg>
  )
}
