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

/** Points of one ring, and where they lie round its middle. */
const POINTS = 11
const [COS, SIN] = [Math.cos, Math.sin].map((f) =>
  Array.from({ length: POINTS }, (_, i) => f((2 * Math.PI * i) / POINTS)),
) as [number[], number[]]

/** Height of a drawing so wide: no slimmer nor flatter than hangs well. */
export const drawnHeight = (width: number, ratio: number) => Math.round(Math.min(1.7, Math.max(0.55, ratio)) * width)

/** Rings of what was poured, in a box of its own units. */
export interface PouredShapes {
  readonly width: number
  readonly height: number
  readonly ground: string
  /** Paths from the outermost in. */
  readonly rings: readonly { readonly d: string; readonly hex: string }[]
}

/** The rings of a drawing. @param ratio height ÷ width; held to what hangs well */
export function pouredShapes(colours: readonly PouredColour[], seed: string, ratio: number): PouredShapes {
  const next = numbers(seed)
  const width = 600
  const height = drawnHeight(width, ratio)
  const total = colours.reduce((s, c) => s + c.amount, 0) || 1
  const [cx, cy] = [width * (0.3 + 0.4 * next()), height * (0.3 + 0.4 * next())]
  const reach = Math.hypot(width, height)
  const rings: { r: number; hex: string }[] = []
  const turns = 4
  for (let turn = 0; turn < turns; turn++)
    for (const c of colours) rings.push({ r: (c.amount / total) * (0.6 + 0.8 * next()), hex: c.hex })
  const sum = rings.reduce((s, r) => s + r.r, 0) || 1
  let at = 0
  const shapes = rings.map((r) => {
    at += r.r / sum
    return { radius: at * reach * 0.85, hex: r.hex }
  })
  // Whole units and few points: a wall draws dozens of these for one page.
  const blob = (radius: number) => {
    const xs: number[] = []
    const ys: number[] = []
    for (let i = 0; i < POINTS; i++) {
      const rr = radius * (0.82 + 0.36 * next())
      xs.push(Math.round(cx + rr * COS[i]!))
      ys.push(Math.round(cy + rr * SIN[i]! * 0.9))
    }
    const mid = (i: number) => `${(xs[i]! + xs[(i + 1) % POINTS]!) >> 1} ${(ys[i]! + ys[(i + 1) % POINTS]!) >> 1}`
    let path = `M${mid(POINTS - 1)}`
    for (let i = 0; i < POINTS; i++) path += `Q${xs[i]!} ${ys[i]!} ${mid(i)}`
    return `${path}Z`
  }
  return {
    width,
    height,
    ground: colours[0]?.hex ?? '#e2e2e2',
    rings: [...shapes].reverse().map((s) => ({ d: blob(s.radius), hex: s.hex })),
  }
}

/** The same as a picture of its own: an SVG document. Colours are hex and nothing else. */
export function pouredSvg(colours: readonly PouredColour[], seed: string, ratio: number, round: boolean): string {
  const { width, height, ground, rings } = pouredShapes(colours, seed, ratio)
  const clip = round ? ` clip-path="inset(0 round 50%)"` : ''
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${width} ${height}"><g${clip}><rect width="${width}" height="${height}" fill="${ground}"/>${rings
    .map((r) => `<path d="${r.d}" fill="${r.hex}"/>`)
    .join('')}</g></svg>`
}
