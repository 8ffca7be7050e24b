import { pouredShapes, type PouredColour } from './pouredShapes'

/**
 * A drawing of what was poured, standing in for a photo: rings of the real colours in their real shares. It shows
 * the palette, not the result.
 */
export function PouredPicture({
  colours,
  seed,
  ratio,
  round = false,
  label,
}: {
  colours: readonly PouredColour[]
  seed: string
  ratio: number
  round?: boolean
  label: string
}) {
  const { width, height, ground, rings } = pouredShapes(colours, seed, ratio)
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      width="100%"
      role="img"
      aria-label={label}
      style={{ display: 'block', borderRadius: round ? '50%' : 0 }}
    >
      <rect width={width} height={height} fill={ground} />
      {rings.map((r, i) => (
        <path key={i} d={r.d} fill={r.hex} />
      ))}
    </svg>
  )
}
