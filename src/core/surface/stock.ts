/** Shapes of the surfaces a studio keeps. */
export const SURFACE_SHAPES = ['rectangle', 'round'] as const
export type SurfaceShape = (typeof SURFACE_SHAPES)[number]

/** What a surface is good for. */
export const SURFACE_GRADES = ['practice', 'sale'] as const
export type SurfaceGrade = (typeof SURFACE_GRADES)[number]
