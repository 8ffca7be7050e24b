'use client'

import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react'
import type { Patch } from '@/core/photo/card'
import { CORNER_NAMES } from '@/core/run/corners'
import type { Quad } from '@/core/surface/homography'
import type { Point } from '@/core/surface/polygon'
import { arrowMove } from '@/ui/forms/arrows'
import styles from './measure.module.css'

/** Share of the picture an arrow key moves a corner by; with Shift ten times as far. */
const STEP = 0.001
/** So much larger is what the glass shows, and how large it is, px. */
const GLASS = { zoom: 4, px: 150 } as const

const within = (v: number) => Math.min(1, Math.max(0, v))

/**
 * The photo with its four corners: dragged, moved by arrow keys, or one chosen and the place tapped. A glass shows what
 * lies under the finger. With `onCard` a tap marks the card instead.
 */
export function Corners({
  url,
  width,
  height,
  quad,
  onMove,
  card,
  onCard,
}: {
  url: string
  width: number
  height: number
  quad: Quad
  onMove: (quad: Quad) => void
  card: Patch | null
  onCard: ((at: Point) => void) | undefined
}) {
  const box = useRef<HTMLDivElement>(null)
  const [active, setActive] = useState(0)
  const [held, setHeld] = useState(false)
  const [focused, setFocused] = useState(false)
  const at = (e: PointerEvent): Point => {
    const r = box.current!.getBoundingClientRect()
    return [within((e.clientX - r.left) / r.width), within((e.clientY - r.top) / r.height)]
  }
  const move = (i: number, to: Point) =>
    onMove(quad.map((p, k) => (k === i ? ([within(to[0]), within(to[1])] as const) : p)) as unknown as Quad)
  const onKey = (e: KeyboardEvent, i: number) => {
    const by = arrowMove(e.key, e.shiftKey ? 10 * STEP : STEP)
    if (!by) return
    e.preventDefault()
    move(i, [quad[i]![0] + by[0], quad[i]![1] + by[1]])
  }
  const [gx, gy] = quad[active]!
  return (
    <div
      ref={box}
      className={styles.corners}
      style={{ aspectRatio: `${width} / ${height}` }}
      data-testid="corners"
      onPointerDown={(e) => {
        if (e.target !== e.currentTarget && !(e.target instanceof HTMLImageElement)) return
        if (onCard) onCard(at(e))
        else move(active, at(e))
      }}
    >
      {/* eslint-disable-next-line @next/next/no-img-element -- a photo that was just opened */}
      <img src={url} alt="The photo, with its four corners" draggable={false} />
      <svg viewBox="0 0 1000 1000" preserveAspectRatio="none" aria-hidden="true">
        <path
          d={`M${quad.map(([x, y]) => `${1000 * x} ${1000 * y}`).join('L')}Z`}
          fill="none"
          stroke="#fff"
          strokeWidth="5"
          vectorEffect="non-scaling-stroke"
        />
        <path
          d={`M${quad.map(([x, y]) => `${1000 * x} ${1000 * y}`).join('L')}Z`}
          fill="none"
          stroke="#111"
          strokeWidth="2"
          vectorEffect="non-scaling-stroke"
        />
      </svg>
      {card ? (
        <span
          className={styles.card}
          style={{
            left: `${100 * card.x}%`,
            top: `${100 * card.y}%`,
            width: `${100 * card.width}%`,
            height: `${100 * card.height}%`,
          }}
        >
          card
        </span>
      ) : null}
      {quad.map(([x, y], i) => (
        <button
          key={CORNER_NAMES[i]}
          type="button"
          className={styles.corner}
          aria-label={`${CORNER_NAMES[i]} corner; arrow keys move it`}
          aria-pressed={i === active}
          style={{ left: `${100 * x}%`, top: `${100 * y}%` }}
          onFocus={() => {
            setActive(i)
            setFocused(true)
          }}
          onBlur={() => setFocused(false)}
          onKeyDown={(e) => onKey(e, i)}
          onPointerDown={(e) => {
            e.currentTarget.setPointerCapture(e.pointerId)
            setActive(i)
            setHeld(true)
          }}
          onPointerMove={(e) => held && active === i && move(i, at(e))}
          onPointerUp={() => setHeld(false)}
          onPointerCancel={() => setHeld(false)}
        >
          <i aria-hidden="true">{i + 1}</i>
        </button>
      ))}
      {held || focused ? <Glass url={url} ratio={width / height} at={[gx, gy]} /> : null}
    </div>
  )
}

/** What lies about a place, larger; in the middle of the picture, where no corner is. */
function Glass({ url, ratio, at: [x, y] }: { url: string; ratio: number; at: Point }) {
  const wide = GLASS.px * GLASS.zoom * Math.max(1, ratio)
  const tall = wide / ratio
  return (
    <span
      className={styles.glass}
      aria-hidden="true"
      style={{
        width: GLASS.px,
        height: GLASS.px,
        backgroundImage: `url(${url})`,
        backgroundSize: `${wide}px ${tall}px`,
        backgroundPosition: `${GLASS.px / 2 - x * wide}px ${GLASS.px / 2 - y * tall}px`,
      }}
    />
  )
}
