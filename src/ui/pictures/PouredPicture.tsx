/** A colour and how much of it went in; amounts in any unit. */
export interface PouredColour {
  readonly hex: string
  readonly amount: number
}

/** Deterministic numbers from a text, so that a piece looks the same each time it is drawn. */
function numbers(seed: string) {
  let h = 2166136261
  for (const c of seed) h = Math.imul(h ^ c.charCodeAt(0), 16777619)
  return () => {
    h = Math.imul(h ^ (h >>> 15), 2246822507) >>> 0
    h = Math.imul(h ^ (h >>> 13), 3266489909) >>> 0
    return h / 2 ** 32
  }
}

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
  const next = numbers(seed)
  const width = 300
  const height = Math.round(Math.min(1.7, Math.max(0.55, ratio)) * width)
  const total = colours.reduce((s, c) => s + c.amount, 0) || 1
  const [cx, cy] = [width * (0.3 + 0.4 * next()), height * (0.3 + 0.4 * next())]
  const reach = Math.hypot(width, height)
  const rings: { r: number; hex: string }[] = []
  const turns = 5
  for (let turn = 0; turn < turns; turn++)
    for (const c of colours) rings.push({ r: (c.amount / total) * (0.6 + 0.8 * next()), hex: c.hex })
  const sum = rings.reduce((s, r) => s + r.r, 0) || 1
  let at = 0
  const shapes = rings.map((r) => {
    at += r.r / sum
    return { radius: at * reach * 0.85, hex: r.hex }
  })
  const blob = (radius: number) => {
    const points = Array.from({ length: 14 }, (_, i) => {
      const a = (i / 14) * 2 * Math.PI
      const rr = radius * (0.82 + 0.36 * next())
      return [cx + rr * Math.cos(a), cy + rr * Math.sin(a) * 0.9] as const
    })
    const mid = (p: readonly [number, number], q: readonly [number, number]) => [(p[0] + q[0]) / 2, (p[1] + q[1]) / 2]
    const start = mid(points[13]!, points[0]!)
    return `M${start.map((v) => v.toFixed(1)).join(' ')} ${points
      .map(
        (p, i) =>
          `Q${p[0].toFixed(1)} ${p[1].toFixed(1)} ${mid(p, points[(i + 1) % 14]!)
            .map((v) => v.toFixed(1))
            .join(' ')}`,
      )
      .join('')}Z`
  }
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      width="100%"
      role="img"
      aria-label={label}
      style={{ display: 'block', borderRadius: round ? '50%' : 0 }}
    >
      <rect width={width} height={height} fill={colours[0]?.hex ?? '#e2e2e2'} />
      {[...shapes].reverse().map((s, i) => (
        <path key={i} d={blob(s.radius)} fill={s.hex} />
      ))}
    </svg>
  )
}
