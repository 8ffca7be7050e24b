import type { Surface } from '@/core/surface/area'
import type { CoverageSchool } from '@/core/surface/coverage'
import type { PlanInput } from './schema'

/** The surface of a plan in the shape the core knows. */
export function surfaceOf({ shape, lengthMm, widthMm, diameterMm, edgeMm, count }: PlanInput['surface']): Surface {
  return shape === 'round' ? { shape, diameterMm, edgeMm, count } : { shape, lengthMm, widthMm, edgeMm, count }
}

/** The coverage school of a plan in the shape the core knows. */
export function coverageOf(c: PlanInput['coverage']): CoverageSchool {
  return c.kind === 'film' ? { kind: 'film', wetMm: c.wetMm, runOffShare: c.runOffShare } : { kind: 'rule-of-28' }
}
