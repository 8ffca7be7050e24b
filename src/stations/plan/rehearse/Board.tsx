'use client'

import { useRef, type KeyboardEvent, type PointerEvent, type RefObject } from 'react'
import type { Followed } from '@/core/tilt/keeper'
import type { Point } from '@/core/surface/polygon'
import { arrowMove } from '@/ui/forms/arrows'
import { REACH_DEG, withinReach } from './reach'
import styles from './rehearse.module.css'

/** Degrees a key leans by. */
const KEY_DEG = 2

/** The board, seen from above as it leans: dragged, or tilted by arrow keys. What is marked on it is followed. */
export function Board({
  canvas,
  lengthMm,
  widthMm,
  lean,
  keepers,
  marking,
  onLean,
  onNudge,
  onRun,
  onMark,
}: {
  canvas: RefObject<HTMLCanvasElement | null>
  lengthMm: number
  widthMm: number
  lean: { readonly x: number; readonly y: number }
  keepers: readonly Followed[]
  /** Whether the next touch marks a keeper. */
  marking: boolean
  onLean: (x: number, y: number) => void
  /** Leans on by so much from where it was leaned to last. */
  onNudge: (x: number, y: number) => void
  onRun: () => void
  onMark: (at: Point) => void
}) {
  const dragging = useRef(false)
  const frame = useRef<HTMLDivElement>(null)
  /** Where a pointer is on the board, −1 to 1 each way. */
  const place = (e: PointerEvent): Point => {
    const box = frame.current!.getBoundingClientRect()
    return [(2 * (e.clientX - box.left)) / box.width - 1, (2 * (e.clientY - box.top)) / box.height - 1]
  }
  const drag = (e: PointerEvent) => {
    const [x, y] = place(e)
    onLean(withinReach(x * REACH_DEG), withinReach(y * REACH_DEG))
  }
  const keys = (e: KeyboardEvent) => {
    const move = arrowMove(e.key, e.shiftKey ? 0.5 : KEY_DEG)
    if (move) onNudge(...move)
    else if (e.key === '0') onLean(0, 0)
    else if (e.key === ' ') onRun()
    else return
    e.preventDefault()
  }
  return (
    <div className={styles.room}>
      <div
        ref={frame}
        className={marking ? styles.marking : styles.frame}
        style={{ aspectRatio: `${lengthMm} / ${widthMm}`, maxWidth: `min(100%, calc(64vh * ${lengthMm / widthMm}))` }}
        role="application"
        tabIndex={0}
        aria-label="The board. Arrow keys tilt it, 0 lays it level, Space runs and pauses"
        data-testid="board"
        onKeyDown={keys}
        onPointerDown={(e) => {
          if (marking) {
            const [x, y] = place(e)
            onMark([(x * lengthMm) / 2, (y * widthMm) / 2])
            return
          }
          e.currentTarget.setPointerCapture(e.pointerId)
          dragging.current = true
          drag(e)
        }}
        onPointerMove={(e) => dragging.current && drag(e)}
        onPointerUp={() => {
          if (!dragging.current) return
          dragging.current = false
          onLean(0, 0)
        }}
      >
        <div className={styles.board} style={{ transform: `rotateX(${-1.1 * lean.y}deg) rotateY(${1.1 * lean.x}deg)` }}>
          <canvas ref={canvas} className={styles.canvas} />
          <svg
            className={styles.marks}
            viewBox={`${-lengthMm / 2} ${-widthMm / 2} ${lengthMm} ${widthMm}`}
            aria-hidden="true"
          >
            {keepers.map((k, i) =>
              k.at ? (
                <g key={i} transform={`translate(${k.at[0]} ${k.at[1]})`}>
                  <circle r={lengthMm * 0.035} className={styles.ringUnder} strokeWidth={lengthMm * 0.013} />
                  <circle r={lengthMm * 0.035} className={styles.ring} strokeWidth={lengthMm * 0.007} />
                  <text
                    fontSize={lengthMm * 0.045}
                    textAnchor="middle"
                    dominantBaseline="central"
                    className={styles.ringNumber}
                    strokeWidth={lengthMm * 0.012}
                  >
                    {i + 1}
                  </text>
                </g>
              ) : null,
            )}
          </svg>
        </div>
      </div>
    </div>
  )
}
