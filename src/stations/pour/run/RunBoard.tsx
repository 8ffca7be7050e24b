'use client'

import { useEffect, useRef, useState } from 'react'
import { formatSize } from '@/core/quantity/size'
import { cornerPoint, type Corner } from '@/core/run/corners'
import type { RunPiece } from '@/core/run/runPlan'
import type { KeptSpot, RunState } from '@/core/run/runState'
import { flattening, type Quad } from '@/core/surface/homography'
import type { Point } from '@/core/surface/polygon'
import { footprint, outline } from '@/core/surface/shapes'
import styles from './run.module.css'

/** Room round the face for corner numbers, as a share of its longer side. */
const ROOM = 0.07
/** As large as it is drawn at most, px: the photo lies under the drawing, so both keep one size. */
const [WIDEST, TALLEST] = [520, 460]

/**
 * A piece from above, to scale: its photo laid flat by its four corners where there is one, what is to stay and what may
 * go, and the order of corners.
 * @param tap told where on the face a finger came down, mm from its middle
 */
export function RunBoard({
  piece,
  state,
  order = [],
  done = [],
  tap,
}: {
  piece: RunPiece
  state: RunState
  order?: readonly Corner[]
  done?: readonly string[]
  tap?: (at: Point) => void
}) {
  const { lengthMm: w, widthMm: h } = footprint(piece.surface)
  const m = ROOM * Math.max(w, h)
  const draw = `M${outline(piece.surface)
    .map(([x, y]) => `${x} ${y}`)
    .join('L')}Z`
  const photo = state.photos.filter((f) => f.piece === piece.id && f.corners.length === 4).at(-1)
  const spots = state.keepers.filter((k) => k.piece === piece.id)
  const size = Math.max(w, h)
  return (
    <div className={styles.board} style={{ maxWidth: Math.min(WIDEST, (TALLEST * (w + 2 * m)) / (h + 2 * m)) }}>
      {photo ? (
        <div
          className={styles.photo}
          style={{
            left: `${(100 * m) / (w + 2 * m)}%`,
            top: `${(100 * m) / (h + 2 * m)}%`,
            width: `${(100 * w) / (w + 2 * m)}%`,
            height: `${(100 * h) / (h + 2 * m)}%`,
          }}
        >
          <FlatPhoto id={photo.photo} quad={photo.corners as unknown as Quad} />
        </div>
      ) : null}
      <svg
        viewBox={`${-w / 2 - m} ${-h / 2 - m} ${w + 2 * m} ${h + 2 * m}`}
        role="img"
        aria-label={`${piece.title} from above, ${formatSize(footprint(piece.surface))}`}
        data-testid="run-board"
        style={{ cursor: tap ? 'crosshair' : undefined }}
        onClick={(e) => {
          if (!tap) return
          const svg = e.currentTarget
          const at = new DOMPoint(e.clientX, e.clientY).matrixTransform(svg.getScreenCTM()!.inverse())
          tap([at.x, at.y])
        }}
      >
        <path d={draw} fill={photo ? 'none' : '#3a3a3a'} stroke="#f2f2f2" strokeWidth={size / 160} />
        {spots.map((k) => (
          <Spot key={k.n} spot={k} size={size} />
        ))}
        {order.map((corner, i) => {
          const [x, y] = cornerPoint(piece.surface, corner)
          return (
            <g key={corner} opacity={done.includes(corner) ? 0.45 : 1}>
              <circle cx={x} cy={y} r={0.9 * m} fill="#f2f2f2" stroke="#141414" strokeWidth={size / 200} />
              <text
                x={x}
                y={y}
                fontSize={m}
                fontWeight="650"
                textAnchor="middle"
                dominantBaseline="central"
                fill="#141414"
              >
                {done.includes(corner) ? '✓' : i + 1}
              </text>
            </g>
          )
        })}
      </svg>
    </div>
  )
}

/** A keeper is ringed twice; what may go is crossed out. */
function Spot({ spot: { at, radiusMm: r, isKept }, size }: { spot: KeptSpot; size: number }) {
  const line = size / 110
  return (
    <g fill="none" data-testid={isKept ? 'keeper' : 'let-go'}>
      {[
        { stroke: '#141414', width: 2 * line },
        { stroke: '#f2f2f2', width: line },
      ].map(({ stroke, width }) => (
        <g key={stroke} stroke={stroke} strokeWidth={width}>
          {isKept ? (
            <>
              <circle cx={at[0]} cy={at[1]} r={r} />
              <circle cx={at[0]} cy={at[1]} r={0.72 * r} />
            </>
          ) : (
            <path d={`M${at[0] - r} ${at[1] - r}l${2 * r} ${2 * r}M${at[0] + r} ${at[1] - r}l${-2 * r} ${2 * r}`} />
          )}
        </g>
      ))}
    </g>
  )
}

/** A photo laid flat onto its box. @param quad its corners as shares of the picture */
function FlatPhoto({ id, quad }: { id: string; quad: Quad }) {
  const box = useRef<HTMLDivElement>(null)
  const [picture, setPicture] = useState<readonly [number, number]>()
  const [flat, setFlat] = useState('')
  useEffect(() => {
    const measure = () => {
      const el = box.current
      if (!el || !picture) return
      const px = quad.map(([x, y]) => [x * picture[0], y * picture[1]]) as unknown as Quad
      setFlat(flattening(px, [el.clientWidth, el.clientHeight]))
    }
    measure()
    window.addEventListener('resize', measure)
    return () => window.removeEventListener('resize', measure)
  }, [picture, quad])
  return (
    <div ref={box} style={{ position: 'absolute', inset: 0 }}>
      {/* eslint-disable-next-line @next/next/no-img-element */}
      <img
        src={`/pour/photo/${id}`}
        alt=""
        style={{ transform: flat || undefined, visibility: flat ? 'visible' : 'hidden' }}
        onLoad={(e) => setPicture([e.currentTarget.naturalWidth, e.currentTarget.naturalHeight])}
      />
    </div>
  )
}
