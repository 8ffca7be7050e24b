/* eslint-disable @next/next/no-img-element -- photos that were just opened, or are served sized already */
import type { PhotoMeasures } from '@/core/photo/measurePhoto'
import { footprint, type Shape } from '@/core/surface/shapes'
import styles from './measure.module.css'

/** As tall as it is shown at most, px. */
const TALLEST = 600

/** A face laid flat, with the cells that were found and the places to look at drawn on it. */
export function FlatPicture({
  url,
  apartUrl,
  alt,
  measures,
  shape,
  width,
  height,
  marks,
}: {
  url: string
  /** The face told apart by colour, laid over it. */
  apartUrl?: string | undefined
  alt: string
  measures: PhotoMeasures
  /** The face that is shown. */
  shape: Shape
  width: number
  height: number
  marks: boolean
}) {
  // Marks are in millimetres of the face: a picture is kept at another size than it was measured at.
  const { lengthMm: w, widthMm: h } = footprint(shape)
  const mm = Math.max(w, h)
  return (
    <div className={styles.shown} style={{ maxWidth: (TALLEST * width) / height }}>
      <img src={url} alt={alt} width={width} height={height} />
      {apartUrl ? <img src={apartUrl} alt="The same, told apart by colour" className={styles.over} /> : null}
      {marks ? (
        <svg viewBox={`0 0 ${w} ${h}`} role="img" aria-label={`${measures.cells.length} cells marked`}>
          {(measures.trust.not.cells ? [] : measures.cells).map((c, i) => (
            <g key={i} fill="none" vectorEffect="non-scaling-stroke">
              <circle cx={c.at[0]} cy={c.at[1]} r={c.diameterMm / 2 + 0.4} stroke="#111" strokeWidth={mm / 250} />
              <circle cx={c.at[0]} cy={c.at[1]} r={c.diameterMm / 2 + 0.4} stroke="#fff" strokeWidth={mm / 600} />
            </g>
          ))}
          {measures.lookHere.map((l, i) => {
            const r = Math.max(l.sizeMm / 2, mm / 60) + mm / 120
            const [x, y] = l.at
            return (
              <g key={`l${i}`} fill="none">
                <path
                  d={`M${x - r} ${y}L${x} ${y - r}L${x + r} ${y}L${x} ${y + r}Z`}
                  stroke="#111"
                  strokeWidth={mm / 220}
                />
                <path
                  d={`M${x - r} ${y}L${x} ${y - r}L${x + r} ${y}L${x} ${y + r}Z`}
                  stroke="#fff"
                  strokeWidth={mm / 500}
                />
              </g>
            )
          })}
        </svg>
      ) : null}
    </div>
  )
}
