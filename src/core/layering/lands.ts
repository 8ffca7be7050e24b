import type { Point } from '../surface/polygon'
import type { CupKind } from '../technique/technique'

/** A layer on its way from the cup to the surface. */
export interface Poured {
  /** Index of its colour. */
  readonly colour: number
  /** Of one cup, µl. */
  readonly ul: number
}

/** A piece of colour as it comes to lie: drawn in this order, the later over the earlier. */
export type Mark =
  | { readonly kind: 'disc'; readonly at: Point; readonly radiusMm: number; readonly colour: number }
  | {
      readonly kind: 'wedge'
      readonly at: Point
      readonly radiusMm: number
      readonly fromDeg: number
      readonly toDeg: number
      readonly colour: number
    }
  | { readonly kind: 'trail'; readonly path: readonly Point[]; readonly widthMm: number; readonly colour: number }

export interface CupOnSurface {
  readonly kind: CupKind
  readonly at: Point
  readonly turnDeg: number
  readonly path: readonly Point[]
  /** Bottom of the cup first. */
  readonly layers: readonly Poured[]
  /** Whether the layers were laid down one side, so that each faces another way. */
  readonly downOneSide: boolean
}

/** What paint at rest stands to, mm, before it is tilted. Start value of Fika. */
export const RESTING_MM = 4

/**
 * The colours in the order they leave a cup. Poured out, from a funnel, through a strainer or along a line the top
 * leaves first; a cup that was flipped, or a ring that is lifted, gives its layers as they stand, so that what was at
 * the bottom of a flipped cup lies on top, and what was at the bottom of a ring runs out first beneath the rest.
 */
export function leavingOrder(kind: CupKind, layers: readonly Poured[]): Poured[] {
  const fromBottom: ReadonlySet<CupKind> = new Set(['open ring', 'traveling ring', 'flipped', 'flip and drag'])
  if (kind === 'flipped' || kind === 'flip and drag') return [...layers].reverse()
  return fromBottom.has(kind) ? [...layers] : [...layers].reverse()
}

/**
 * What becomes of a cup on the surface. Rings: what has left so far fills a disc of radius √(ΣV / π h) at the paint's
 * resting depth, and every later colour pushes the earlier ones outward, so that the last lies in the middle. Along a
 * path: a trail as wide as its volume asks. Layers laid down one side stand side by side and face round the compass.
 */
export function landsAs(cup: CupOnSurface, restingMm = RESTING_MM): Mark[] {
  const leaving = leavingOrder(cup.kind, cup.layers).filter((l) => l.ul > 0)
  const total = leaving.reduce((sum, l) => sum + l.ul, 0)
  if (total === 0) return []
  if (cup.path.length > 1) return trails(cup.path, leaving, restingMm)
  if (cup.kind === 'puddles') return puddles(cup.at, leaving, restingMm)
  if (cup.downOneSide && (cup.kind === 'flipped' || cup.kind === 'flip and drag'))
    return wedges(cup.at, cup.turnDeg, leaving, Math.sqrt(total / (Math.PI * restingMm)))
  return rings(cup.at, leaving, restingMm)
}

/** Discs one on the other, the first to leave widest. */
function rings(at: Point, leaving: readonly Poured[], restingMm: number): Mark[] {
  let inside = leaving.reduce((sum, l) => sum + l.ul, 0)
  return leaving.map(({ colour, ul }): Mark => {
    const radiusMm = Math.sqrt(inside / (Math.PI * restingMm))
    inside -= ul
    return { kind: 'disc', at, radiusMm, colour }
  })
}

function wedges(at: Point, turnDeg: number, layers: readonly Poured[], radiusMm: number): Mark[] {
  const total = layers.reduce((sum, l) => sum + l.ul, 0)
  let from = turnDeg
  return layers.map(({ colour, ul }): Mark => {
    const to = from + (360 * ul) / total
    const mark: Mark = { kind: 'wedge', at, radiusMm, fromDeg: from, toDeg: to, colour }
    from = to
    return mark
  })
}

/** Pools beside each other round the place, each a disc of its own. */
function puddles(at: Point, layers: readonly Poured[], restingMm: number): Mark[] {
  const radii = layers.map((l) => Math.sqrt(l.ul / (Math.PI * restingMm)))
  if (layers.length === 1) return [{ kind: 'disc', at, radiusMm: radii[0]!, colour: layers[0]!.colour }]
  const around = Math.max(...radii) / Math.sin(Math.PI / Math.max(2, layers.length))
  return layers.map(({ colour }, i): Mark => {
    const a = (2 * Math.PI * i) / layers.length - Math.PI / 2
    return {
      kind: 'disc',
      at: [at[0] + around * Math.cos(a), at[1] + around * Math.sin(a)],
      radiusMm: radii[i]!,
      colour,
    }
  })
}

/** Along a path the first to leave spreads widest and the last is a line in the middle. */
function trails(path: readonly Point[], leaving: readonly Poured[], restingMm: number): Mark[] {
  const length = path.slice(1).reduce((sum, p, i) => sum + Math.hypot(p[0] - path[i]![0], p[1] - path[i]![1]), 0)
  let inside = leaving.reduce((sum, l) => sum + l.ul, 0)
  return leaving.map(({ colour, ul }): Mark => {
    const widthMm = widthOf(inside, length, restingMm)
    inside -= ul
    return { kind: 'trail', path, widthMm, colour }
  })
}

/** Width of a trail with round ends that takes a volume: w L + π w²/4 = V / h. */
export function widthOf(ul: number, lengthMm: number, restingMm: number): number {
  const area = ul / restingMm
  return (2 * (Math.sqrt(lengthMm ** 2 + Math.PI * area) - lengthMm)) / Math.PI
}
