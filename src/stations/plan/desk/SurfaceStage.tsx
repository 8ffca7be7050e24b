'use client'

import { useId, useRef, type PointerEvent } from 'react'
import type { Mark } from '@/core/layering/lands'
import { RIM_MM } from '@/core/layering/rim'
import { cupsOn } from '@/core/plan/cupsAlike'
import type { Coat, Design, PlannedSurface } from '@/core/plan/design'
import { splitFace } from '@/core/surface/cover'
import type { Point } from '@/core/surface/polygon'
import { areas } from '@/core/surface/area'
import { footprint, outline, type ProfilePoint, type Surface } from '@/core/surface/shapes'
import { arrowMove } from '@/ui/forms/arrows'
import type { OnSurface, Worked } from './workOut'
import { VesselStage } from './VesselStage'
import styles from './desk.module.css'

/** What is drawn by hand on the surface. */
export type Drawing = 'free' | 'path' | null

const pathOf = (points: readonly Point[], closed: boolean) =>
  points.length ? `M${points.map(([x, y]) => `${x.toFixed(1)} ${y.toFixed(1)}`).join('L')}${closed ? 'Z' : ''}` : ''

function wedge({ at, radiusMm: r, fromDeg, toDeg }: Extract<Mark, { kind: 'wedge' }>): string {
  const p = (deg: number) => {
    const a = (deg * Math.PI) / 180
    return `${(at[0] + r * Math.cos(a)).toFixed(1)} ${(at[1] + r * Math.sin(a)).toFixed(1)}`
  }
  if (toDeg - fromDeg >= 359.9) return `M${at[0] - r} ${at[1]}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0`
  return `M${at[0]} ${at[1]}L${p(fromDeg)}A${r} ${r} 0 ${toDeg - fromDeg > 180 ? 1 : 0} 1 ${p(toDeg)}Z`
}

/** One colour as it comes to lie. */
function MarkShape({ mark, hex }: { mark: Mark; hex: string }) {
  if (mark.kind === 'disc') return <circle cx={mark.at[0]} cy={mark.at[1]} r={mark.radiusMm} fill={hex} />
  if (mark.kind === 'wedge') return <path d={wedge(mark)} fill={hex} />
  return (
    <path
      d={pathOf(mark.path, false)}
      fill="none"
      stroke={hex}
      strokeWidth={mark.widthMm}
      strokeLinecap="round"
      strokeLinejoin="round"
    />
  )
}

/** How wide a coat lies along its way so that it covers its share of the face, mm. */
function bandOf(coat: Coat, surface: Surface): number {
  const length = coat.path
    .slice(1)
    .reduce((sum, p, i) => sum + Math.hypot(p[0] - coat.path[i]![0], p[1] - coat.path[i]![1]), 0)
  return (coat.share * areas(surface).faceMm2) / surface.count / Math.max(1, length)
}

/** Places on the way of a drag that are at least so far from each other, mm. */
function thinned(points: readonly Point[], apartMm: number, most: number): Point[] {
  const kept: Point[] = []
  for (const p of points) {
    const last = kept.at(-1)
    if (!last || Math.hypot(p[0] - last[0], p[1] - last[1]) >= apartMm) kept.push([Math.round(p[0]), Math.round(p[1])])
  }
  const every = Math.ceil(kept.length / most)
  return kept.filter((_, i) => i % every === 0)
}

/**
 * A surface to scale: what becomes of its cups, the rim that usually runs off, what is kept free, the two-tone line, and
 * the cups themselves, which are dragged, moved by arrow keys and turned by [ and ].
 */
export function SurfaceStage({
  planned,
  design,
  worked,
  on,
  selected,
  drawing,
  onSelect,
  onMove,
  onTurn,
  onProfile,
  onDrawn,
}: {
  planned: PlannedSurface
  design: Design
  worked: Worked
  on: OnSurface
  selected: string | null
  drawing: Drawing
  onSelect: (cup: string) => void
  onMove: (cup: string, at: Point) => void
  onTurn: (cup: string, by: number) => void
  onProfile: (points: ProfilePoint[]) => void
  onDrawn: (points: Point[]) => void
}) {
  const [face, hatch] = [useId(), useId()]
  const svg = useRef<SVGSVGElement>(null)
  const held = useRef<{ cup: string; from: Point; at: Point } | null>(null)
  const drawn = useRef<Point[]>([])
  const ghost = useRef<SVGPathElement>(null)
  const { surface } = planned
  if (surface.shape === 'profile')
    return <VesselStage points={surface.points} worked={worked} on={on} onChange={onProfile} />
  const edge = outline(surface)
  const { lengthMm: l, widthMm: w } = footprint(surface)
  const margin = Math.max(l, w) * 0.07 + surface.edgeMm
  const place = (e: PointerEvent): Point => {
    const at = new DOMPoint(e.clientX, e.clientY).matrixTransform(svg.current!.getScreenCTM()!.inverse())
    return [at.x, at.y]
  }
  const here = cupsOn(design, planned.id)
  const radius = Math.max(l, w) * 0.035
  const draw = pathOf(edge, true)
  const base = (half: 0 | 1) => {
    const coat = design.coats.find((c) => c.role === 'base coat' && c.of && (c.half === half || c.half === null))
    return worked.states.find((s) => s.of.kind === coat?.of?.kind && s.of.id === coat?.of?.id)?.hex ?? '#ffffff'
  }
  const halves = planned.split ? splitFace(surface, planned.split) : null
  return (
    <svg
      ref={svg}
      className={drawing ? styles.drawing : styles.stage}
      viewBox={`${-l / 2 - margin} ${-w / 2 - margin} ${l + 2 * margin} ${w + 2 * margin + l * 0.07}`}
      role="group"
      aria-label={`${planned.name || 'The surface'} to scale`}
      onPointerDown={(e) => {
        if (!drawing) return
        e.currentTarget.setPointerCapture(e.pointerId)
        drawn.current = [place(e)]
      }}
      onPointerMove={(e) => {
        if (!drawing || drawn.current.length === 0) return
        drawn.current.push(place(e))
        ghost.current?.setAttribute('d', pathOf(drawn.current, drawing === 'free'))
      }}
      onPointerUp={() => {
        if (!drawing || drawn.current.length === 0) return
        const points = thinned(drawn.current, Math.max(l, w) / 60, 40)
        drawn.current = []
        ghost.current?.setAttribute('d', '')
        onDrawn(points)
      }}
    >
      <clipPath id={face}>
        <path d={draw} />
      </clipPath>
      <pattern
        id={hatch}
        width={l * 0.02}
        height={l * 0.02}
        patternUnits="userSpaceOnUse"
        patternTransform="rotate(45)"
      >
        <path d={`M0 0V${l * 0.02}`} stroke="#000" strokeOpacity=".55" strokeWidth={l * 0.004} />
        <path d={`M${l * 0.004} 0V${l * 0.02}`} stroke="#fff" strokeOpacity=".55" strokeWidth={l * 0.004} />
      </pattern>
      {surface.edgeMm > 0 ? (
        <path d={draw} fill="none" stroke="#e3e3e3" strokeWidth={2 * surface.edgeMm} strokeLinejoin="miter" />
      ) : null}
      <g clipPath={`url(#${face})`}>
        <path d={draw} fill={base(0)} />
        {halves ? (
          <>
            <path d={pathOf(halves[0], true)} fill={base(0)} />
            <path d={pathOf(halves[1], true)} fill={base(1)} />
          </>
        ) : null}
        {design.coats
          .filter((c) => c.path.length > 1 && (c.on === null || c.on === planned.id))
          .map((c) => (
            <path
              key={c.id}
              d={pathOf(c.path, false)}
              fill="none"
              stroke={worked.states.find((s) => s.of.kind === c.of?.kind && s.of.id === c.of?.id)?.hex ?? '#bbb'}
              strokeWidth={bandOf(c, surface)}
              strokeLinejoin="round"
            />
          ))}
        {on.marks.map((m, i) => (
          <MarkShape key={i} mark={m} hex={worked.colours[m.colour]?.hex ?? '#ddd'} />
        ))}
        <path d={draw} fill="none" stroke={`url(#${hatch})`} strokeWidth={2 * RIM_MM[0]} />
        {surface.shape === 'tiles' ? <TileGaps planned={planned} /> : null}
        {halves ? <path d={pathOf(halves[0], true)} fill="none" stroke="#1c1c1c" strokeWidth={l * 0.004} /> : null}
        {planned.free ? (
          <path
            d={pathOf(planned.free, true)}
            fill="#fff"
            stroke="#1c1c1c"
            strokeDasharray={`${l * 0.012} ${l * 0.01}`}
            strokeWidth={l * 0.004}
          />
        ) : null}
      </g>
      <path d={draw} fill="none" stroke="#1c1c1c" strokeWidth={l * 0.005} />
      {here.map((c) => {
        const number = design.cups.indexOf(c) + 1
        const isHere = c.id === selected
        return (
          <g
            key={c.id}
            tabIndex={drawing ? -1 : 0}
            role="button"
            aria-pressed={isHere}
            aria-label={`Cup ${number}, ${c.kind}, ${Math.round(c.at[0] / 10)} cm right and ${Math.round(c.at[1] / 10)} cm down of the middle, turned by ${c.turnDeg}°`}
            className={styles.cupMark}
            onFocus={() => onSelect(c.id)}
            onPointerDown={(e) => {
              if (drawing) return
              e.currentTarget.setPointerCapture(e.pointerId)
              held.current = { cup: c.id, from: place(e), at: c.at }
              onSelect(c.id)
            }}
            onPointerMove={(e) => {
              if (held.current?.cup !== c.id) return
              const [x, y] = place(e)
              const { from, at } = held.current
              onMove(c.id, [at[0] + x - from[0], at[1] + y - from[1]])
            }}
            onPointerUp={() => (held.current = null)}
            onKeyDown={(e) => {
              const move = arrowMove(e.key, e.shiftKey ? 1 : 5)
              if (move) onMove(c.id, [c.at[0] + move[0], c.at[1] + move[1]])
              else if (e.key === '[' || e.key === ']') onTurn(c.id, e.key === '[' ? -15 : 15)
              else return
              e.preventDefault()
            }}
          >
            <circle cx={c.at[0]} cy={c.at[1]} r={radius * 2} fill="transparent" />
            <circle
              cx={c.at[0]}
              cy={c.at[1]}
              r={radius}
              fill="#fff"
              stroke="#1c1c1c"
              strokeWidth={isHere ? radius * 0.28 : radius * 0.14}
            />
            <path
              d={`M${c.at[0]} ${c.at[1] - radius}v${-radius * 0.6}`}
              transform={`rotate(${c.turnDeg} ${c.at[0]} ${c.at[1]})`}
              stroke="#1c1c1c"
              strokeWidth={radius * 0.3}
              strokeLinecap="round"
            />
            <text
              x={c.at[0]}
              y={c.at[1]}
              fontSize={radius * 1.2}
              textAnchor="middle"
              dominantBaseline="central"
              fontWeight="650"
              fill="#1c1c1c"
            >
              {number}
            </text>
          </g>
        )
      })}
      <path ref={ghost} fill="none" stroke="#1c1c1c" strokeWidth={l * 0.006} />
      <g transform={`translate(${-l / 2} ${w / 2 + margin * 0.9})`}>
        <path
          d={`M0 ${-l * 0.012}V${l * 0.012}M0 0H100M100 ${-l * 0.012}V${l * 0.012}`}
          stroke="#1c1c1c"
          strokeWidth={l * 0.004}
        />
        <text x={100 + l * 0.015} y={l * 0.014} fontSize={l * 0.04} fill="#1c1c1c">
          10 cm
        </text>
        {surface.count > 1 ? (
          <text x={l} y={l * 0.014} fontSize={l * 0.045} fontWeight="650" textAnchor="end" fill="#1c1c1c">
            × {surface.count}
          </text>
        ) : null}
      </g>
    </svg>
  )
}

/** The gaps between tiles, where nothing is poured. */
function TileGaps({ planned: { surface: s } }: { planned: PlannedSurface }) {
  if (s.shape !== 'tiles') return null
  const { lengthMm: l, widthMm: w } = footprint(s)
  const gap = Math.max(s.gapMm, l * 0.004)
  return (
    <g fill="#fff">
      {Array.from({ length: s.across - 1 }, (_, i) => (
        <rect key={`x${i}`} x={-l / 2 + (i + 1) * s.lengthMm + i * s.gapMm} y={-w / 2} width={gap} height={w} />
      ))}
      {Array.from({ length: s.down - 1 }, (_, i) => (
        <rect key={`y${i}`} x={-l / 2} y={-w / 2 + (i + 1) * s.widthMm + i * s.gapMm} width={l} height={gap} />
      ))}
    </g>
  )
}
