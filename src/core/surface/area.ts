import { Invalid } from '../errors'
import { mustBeAmounts } from '../mustBe'
import { stretchesCross, type Point } from './polygon'
import type { ProfilePoint, Shape, Surface } from './shapes'

export interface Areas {
  /** mm², all pieces. */
  readonly faceMm2: number
  readonly edgesMm2: number
}

/**
 * Face and edge areas of all pieces. Rectangle LW and 2d(L+W), ellipse πab and Ramanujan's second perimeter (1914),
 * regular polygon n/2 R² sin 2π/n, vessel by frusta (its outside is its face and it has no edges).
 * @throws Invalid when a side is not above zero, or a profile crosses itself
 */
export function areas(surface: Surface): Areas {
  mustBeSurface(surface)
  const { count, edgeMm } = surface
  const { face, edge } = onePiece(surface)
  return { faceMm2: count * face, edgesMm2: count * edge * edgeMm }
}

/** Face of one piece, mm², and the length of its edges, mm. */
function onePiece(s: Shape): { face: number; edge: number } {
  switch (s.shape) {
    case 'rectangle':
      return { face: s.lengthMm * s.widthMm, edge: 2 * (s.lengthMm + s.widthMm) }
    case 'round':
      return { face: (Math.PI * s.diameterMm ** 2) / 4, edge: Math.PI * s.diameterMm }
    case 'ellipse': {
      const [a, b] = [s.lengthMm / 2, s.widthMm / 2]
      const h = ((a - b) / (a + b)) ** 2
      return { face: Math.PI * a * b, edge: Math.PI * (a + b) * (1 + (3 * h) / (10 + Math.sqrt(4 - 3 * h))) }
    }
    case 'polygon': {
      const r = s.acrossMm / 2
      return {
        face: (s.sides / 2) * r * r * Math.sin((2 * Math.PI) / s.sides),
        edge: 2 * s.sides * r * Math.sin(Math.PI / s.sides),
      }
    }
    case 'tiles': {
      const tiles = s.across * s.down
      return { face: tiles * s.lengthMm * s.widthMm, edge: tiles * 2 * (s.lengthMm + s.widthMm) }
    }
    case 'profile':
      return { face: frusta(s.points), edge: 0 }
    case 'area':
      return { face: s.areaMm2, edge: 0 }
  }
}

/** Outside of a body of revolution by frusta, mm²: π (r₁ + r₂) √(Δh² + Δr²) each. */
function frusta(points: readonly ProfilePoint[]): number {
  let sum = 0
  for (let i = 1; i < points.length; i++) {
    const [a, b] = [points[i - 1]!, points[i]!]
    sum += Math.PI * (a.radiusMm + b.radiusMm) * Math.hypot(b.heightMm - a.heightMm, b.radiusMm - a.radiusMm)
  }
  return sum
}

const sidesOf = (s: Shape): readonly number[] => {
  switch (s.shape) {
    case 'round':
      return [s.diameterMm]
    case 'polygon':
      return [s.acrossMm]
    case 'area':
      return [s.areaMm2]
    case 'profile':
      return []
    default:
      return [s.lengthMm, s.widthMm]
  }
}

/** @throws Invalid with what is wrong with it */
function mustBeSurface(s: Surface): void {
  if (sidesOf(s).some((side) => !(side > 0)) || !(s.edgeMm >= 0) || !(s.count >= 1))
    throw new Invalid('A surface needs sides above zero, an edge depth of zero or more, and a count of one or more.')
  mustBeAmounts('A size of a surface', [...sidesOf(s), s.edgeMm, s.count])
  if (s.shape === 'polygon' && !(Number.isInteger(s.sides) && s.sides >= 3 && s.sides <= 24))
    throw new Invalid('A polygon has 3 to 24 corners. Type a whole number.')
  if (s.shape === 'tiles' && ![s.across, s.down].every((n) => Number.isInteger(n) && n >= 1 && n <= 50))
    throw new Invalid('Tiles lie 1 to 50 across and 1 to 50 down. Type whole numbers.')
  if (s.shape === 'tiles') mustBeAmounts('The gap between tiles', [s.gapMm])
  if (s.shape === 'profile') mustBeProfile(s.points)
}

/** @throws Invalid where a profile is none */
function mustBeProfile(points: readonly ProfilePoint[]): void {
  if (points.length < 2 || points.length > 200)
    throw new Invalid('A profile needs 2 to 200 points, each a height and a radius, from the foot to the rim.')
  mustBeAmounts(
    'A height or radius of the profile',
    points.flatMap((p) => [p.heightMm, p.radiusMm]),
  )
  if (points.every((p) => p.radiusMm === 0)) throw new Invalid('Every radius of the profile is zero. Measure one.')
  const at = (i: number): Point => [points[i]!.heightMm, points[i]!.radiusMm]
  for (let i = 1; i < points.length; i++)
    for (let j = i + 2; j < points.length; j++)
      if (stretchesCross(at(i - 1), at(i), at(j - 1), at(j)))
        throw new Invalid(
          `The profile crosses itself between points ${i} and ${i + 1} and points ${j} and ${j + 1}. Move one of them, or change their order.`,
        )
}
