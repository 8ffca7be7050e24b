import { useId } from 'react'
import { formatSize } from '@/core/quantity/size'
import type { Surface } from '@/core/surface/area'

/** The surface to scale with its edges folded out, and a 10 cm rule beside it. */
export function SurfacePicture({
  surface,
  colours,
}: {
  surface: Surface
  colours: readonly { hex: string; ul: number }[]
}) {
  const face = useId()
  const [w, h] =
    surface.shape === 'round'
      ? [surface.diameterMm, surface.diameterMm]
      : [Math.max(surface.lengthMm, surface.widthMm), Math.min(surface.lengthMm, surface.widthMm)]
  if (!(w > 0 && h > 0)) return null
  const e = surface.edgeMm
  const [fullW, fullH] = [w + 2 * e, h + 2 * e]
  const scale = 300 / Math.max(fullW, fullH * 1.25, 1)
  const [W, H] = [fullW * scale, fullH * scale]
  const total = colours.reduce((s, c) => s + c.ul, 0)
  const widths = colours.map((c) => (c.ul / total) * w * scale)
  const starts = widths.reduce<number[]>((xs, width) => [...xs, (xs.at(-1) ?? e * scale) + width], [e * scale])
  const label = surface.shape === 'round' ? `round, ${(w / 10).toFixed(1)} cm across` : formatSize(surface)
  return (
    <figure className="flush">
      <svg
        viewBox={`-4 -4 ${W + 8} ${H + 34}`}
        width="100%"
        style={{ maxHeight: 300 }}
        role="img"
        aria-label={`Surface to scale: ${label}`}
      >
        <clipPath id={face}>
          {surface.shape === 'round' ? (
            <circle cx={W / 2} cy={H / 2} r={(w * scale) / 2} />
          ) : (
            <rect x={e * scale} y={e * scale} width={w * scale} height={h * scale} />
          )}
        </clipPath>
        {surface.shape === 'round' ? (
          <circle cx={W / 2} cy={H / 2} r={W / 2} fill="#ececec" stroke="#8a8a8a" strokeDasharray="4 3" />
        ) : (
          <path
            d={`M${e * scale} 0H${W - e * scale}V${H}H${e * scale}ZM0 ${e * scale}H${W}V${H - e * scale}H0Z`}
            fill="#ececec"
            stroke="#8a8a8a"
            strokeDasharray="4 3"
          />
        )}
        <g clipPath={`url(#${face})`}>
          <rect width={W} height={H} fill="#fff" />
          {colours.map((c, i) => (
            <rect key={i} x={starts[i]} y="0" width={widths[i]! + 0.5} height={H} fill={c.hex} />
          ))}
        </g>
        {surface.shape === 'round' ? (
          <circle cx={W / 2} cy={H / 2} r={(w * scale) / 2} fill="none" stroke="#1c1c1c" strokeWidth="2" />
        ) : (
          <rect
            x={e * scale}
            y={e * scale}
            width={w * scale}
            height={h * scale}
            fill="none"
            stroke="#1c1c1c"
            strokeWidth="2"
          />
        )}
        <path
          d={`M0 ${H + 14}v6M0 ${H + 17}H${100 * scale}M${100 * scale} ${H + 14}v6`}
          stroke="#1c1c1c"
          strokeWidth="1.5"
        />
        <text x={100 * scale + 6} y={H + 22} fontSize="13" fill="#1c1c1c">
          10 cm
        </text>
      </svg>
      <figcaption className="muted">
        {label}
        {surface.count > 1 ? `, ${surface.count} pieces` : ''}
        {e ? `, edges ${(e / 10).toFixed(1)} cm` : ''}
      </figcaption>
    </figure>
  )
}
