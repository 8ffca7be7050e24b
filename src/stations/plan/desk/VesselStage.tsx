'use client'

import { useId, useRef, type PointerEvent } from 'react'
import type { ProfilePoint } from '@/core/surface/shapes'
import type { OnSurface, Worked } from './workOut'
import styles from './desk.module.css'

/** A vessel from the side, to scale, with its colours running down in the order in which they leave the cup. */
export function VesselStage({
  points,
  worked,
  on,
  onChange,
}: {
  points: readonly ProfilePoint[]
  worked: Worked
  on: OnSurface
  onChange: (points: ProfilePoint[]) => void
}) {
  const svg = useRef<SVGSVGElement>(null)
  const held = useRef<number | null>(null)
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
  /** A point by how far it was moved; never below the foot or through the middle. */
  const move = (i: number, heightMm: number, radiusMm: number) =>
    onChange(
      points.map((p, k) =>
        k === i ? { heightMm: Math.max(0, Math.round(heightMm)), radiusMm: Math.max(0, Math.round(radiusMm)) } : p,
      ),
    )
  const place = (e: PointerEvent) => {
    const at = new DOMPoint(e.clientX, e.clientY).matrixTransform(svg.current!.getScreenCTM()!.inverse())
    return [height - at.y, at.x] as const
  }
  return (
    <svg
      ref={svg}
      className={styles.stage}
      viewBox={`${-size / 2 - 0.1 * size} ${-0.06 * size} ${1.2 * size} ${1.2 * size}`}
      role="group"
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
        <g
          key={i}
          role="slider"
          tabIndex={0}
          aria-label={`Point ${i + 1} of the profile, ${(p.heightMm / 10).toFixed(1)} cm high`}
          aria-valuenow={Math.round(p.radiusMm)}
          aria-valuemin={0}
          aria-valuetext={`${(p.radiusMm / 10).toFixed(1)} cm from the middle`}
          className={styles.handle}
          onPointerDown={(e) => {
            e.currentTarget.setPointerCapture(e.pointerId)
            held.current = i
          }}
          onPointerMove={(e) => held.current === i && move(i, ...place(e))}
          onPointerUp={() => (held.current = null)}
          onKeyDown={(e) => {
            const by = { ArrowLeft: [0, -2], ArrowRight: [0, 2], ArrowUp: [2, 0], ArrowDown: [-2, 0] }[e.key]
            if (!by) return
            e.preventDefault()
            move(i, p.heightMm + by[0]!, p.radiusMm + by[1]!)
          }}
        >
          <circle cx={p.radiusMm} cy={height - p.heightMm} r={size * 0.05} fill="transparent" />
          <circle
            cx={p.radiusMm}
            cy={height - p.heightMm}
            r={size * 0.016}
            fill="#fff"
            stroke="#1c1c1c"
            strokeWidth={size * 0.006}
          />
        </g>
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
