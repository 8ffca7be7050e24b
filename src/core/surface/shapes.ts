import type { Point } from './polygon'

/** Shapes of a surface. */
export const SHAPES = ['rectangle', 'round', 'ellipse', 'polygon', 'tiles', 'profile', 'area'] as const
export type ShapeKind = (typeof SHAPES)[number]

/** A height of a vase or bowl above its foot, and its radius there, mm. */
export interface ProfilePoint {
  readonly heightMm: number
  readonly radiusMm: number
}

/** The face of a surface; lengths in mm. */
export type Shape =
  | { readonly shape: 'rectangle'; readonly lengthMm: number; readonly widthMm: number }
  | { readonly shape: 'round'; readonly diameterMm: number }
  | { readonly shape: 'ellipse'; readonly lengthMm: number; readonly widthMm: number }
  /** A regular polygon, measured over its corners. */
  | { readonly shape: 'polygon'; readonly sides: number; readonly acrossMm: number }
  | {
      readonly shape: 'tiles'
      readonly lengthMm: number
      readonly widthMm: number
      readonly across: number
      readonly down: number
      readonly gapMm: number
    }
  | { readonly shape: 'profile'; readonly points: readonly ProfilePoint[] }
  | { readonly shape: 'area'; readonly areaMm2: number }

/** A surface to pour on; `count` pieces alike, planned together. */
export type Surface = Shape & { readonly edgeMm: number; readonly count: number }

const ROUNDNESS = 96

/** What a surface takes up on the table, mm: a vessel its widest, a measured area a square of it. */
export function footprint(s: Shape): { readonly lengthMm: number; readonly widthMm: number } {
  switch (s.shape) {
    case 'rectangle':
    case 'ellipse':
      return { lengthMm: s.lengthMm, widthMm: s.widthMm }
    case 'round':
      return { lengthMm: s.diameterMm, widthMm: s.diameterMm }
    case 'polygon':
      return { lengthMm: s.acrossMm, widthMm: s.acrossMm }
    case 'tiles':
      return {
        lengthMm: s.across * s.lengthMm + (s.across - 1) * s.gapMm,
        widthMm: s.down * s.widthMm + (s.down - 1) * s.gapMm,
      }
    case 'profile': {
      const d = 2 * Math.max(0, ...s.points.map((p) => p.radiusMm))
      return { lengthMm: d, widthMm: d }
    }
    case 'area':
      return { lengthMm: Math.sqrt(s.areaMm2), widthMm: Math.sqrt(s.areaMm2) }
  }
}

/** The face seen from above as a convex polygon about its middle, mm; a vessel as the circle it stands on. */
export function outline(s: Shape): Point[] {
  const { lengthMm: l, widthMm: w } = footprint(s)
  if (s.shape === 'round' || s.shape === 'ellipse' || s.shape === 'profile') return around(ROUNDNESS, l / 2, w / 2)
  if (s.shape === 'polygon') return around(s.sides, l / 2, w / 2)
  return [
    [-l / 2, -w / 2],
    [l / 2, -w / 2],
    [l / 2, w / 2],
    [-l / 2, w / 2],
  ]
}

function around(n: number, rx: number, ry: number): Point[] {
  return Array.from({ length: n }, (_, i) => {
    const a = (2 * Math.PI * i) / n - Math.PI / 2
    return [rx * Math.cos(a), ry * Math.sin(a)]
  })
}
