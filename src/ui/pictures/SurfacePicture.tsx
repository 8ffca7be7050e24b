import { useId } from 'react'
import { footprint, outline, type Surface } from '@/core/surface/shapes'
import { surfaceWords } from '@/core/surface/words'

/** A surface to scale with its edges round it, its colours as bands, and a 10 cm rule beside it. */
export function SurfacePicture({
  surface,
  colours,
}: {
  surface: Surface
  colours: readonly { hex: string; ul: number }[]
}) {
  const face = useId()
  const { lengthMm: w, widthMm: h } = footprint(surface)
  if (!(w > 0 && h > 0)) return null
  const e = surface.shape === 'profile' || surface.shape === 'area' ? 0 : surface.edgeMm
  const [fullW, fullH] = [w + 2 * e, h + 2 * e]
  const scale = 300 / Math.max(fullW, fullH * 1.25, 1)
  const [W, H] = [fullW * scale, fullH * scale]
  const total = colours.reduce((s, c) => s + c.ul, 0)
  const widths = colours.map((c) => (c.ul / total) * w * scale)
  const starts = widths.reduce<number[]>((xs, width) => [...xs, (xs.at(-1) ?? e * scale) + width], [e * scale])
  const points = outline(surface).map(([x, y]) => `${(x * scale + W / 2).toFixed(1)} ${(y * scale + H / 2).toFixed(1)}`)
  const draw = `M${points.join('L')}Z`
  const label = surfaceWords(surface)
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
          <path d={draw} />
        </clipPath>
        {e > 0 ? (
          <path d={draw} fill="#ececec" stroke="#ececec" strokeWidth={2 * e * scale} strokeLinejoin="miter" />
        ) : null}
        <g clipPath={`url(#${face})`}>
          <rect width={W} height={H} fill="#fff" />
          {colours.map((c, i) => (
            <rect key={i} x={starts[i]} y="0" width={widths[i]! + 0.5} height={H} fill={c.hex} />
          ))}
        </g>
        <path d={draw} fill="none" stroke="#1c1c1c" strokeWidth="2" />
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
