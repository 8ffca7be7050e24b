import { Invalid } from '../errors'
import { ML_PER_FL_OZ } from '../quantity/units'
import { coveredShare } from '../surface/cover'
import { pourUl, type CoverageSchool } from '../surface/coverage'
import type { PlannedSurface, Rounding } from './design'

/** What a rounding goes up to, µl; 0: it stays as it is. */
const STEP_UL: Readonly<Record<Rounding, number>> = {
  exact: 0,
  'half ounce': (ML_PER_FL_OZ * 1000) / 2,
  ounce: ML_PER_FL_OZ * 1000,
  '10 ml': 10_000,
  '50 ml': 50_000,
}

/** Rounds up to the next mark, whole µl; what stands on a mark stays there. */
export function roundUp(ul: number, rounding: Rounding): number {
  const step = STEP_UL[rounding]
  return step === 0 ? ul : Math.round(Math.ceil(ul / step - 1e-9) * step)
}

/** What a surface wants of a pour, µl, all its pieces. */
export interface SurfaceNeed {
  readonly id: string
  /** By itself, as if nothing landed on it. */
  readonly aloneUl: number
  /** What lands on it from surfaces that feed it. */
  readonly landsUl: number
  /** What must be poured onto it: what is missing, rounded up. */
  readonly pourUl: number
}

/**
 * What each surface wants. A chain shares one need: what drips from a vase lands on the panel below, which then needs
 * only what is missing, so that the two together want the larger of both and not their sum (common practice).
 * @throws Invalid for impossible sizes, and where surfaces feed each other in a circle
 */
export function surfaceNeeds(
  surfaces: readonly PlannedSurface[],
  school: CoverageSchool,
  rounding: Rounding,
): SurfaceNeed[] {
  const byId = new Map(surfaces.map((s) => [s.id, s]))
  const done = new Map<string, SurfaceNeed>()
  const needOf = (s: PlannedSurface, above: readonly string[]): SurfaceNeed => {
    const known = done.get(s.id)
    if (known) return known
    const names = [...above, s.id].map((id) => byId.get(id)!.name || 'a surface without a name')
    if (above.includes(s.id))
      throw new Invalid(
        `What drips would run in a circle: ${names.reverse().join(' → ')}. Take one of these arrows away.`,
      )
    const feeders = surfaces.filter((f) => f.feeds === s.id).map((f) => needOf(f, [...above, s.id]))
    const landsUl = feeders.reduce((sum, f) => sum + Math.max(f.pourUl + f.landsUl, 0), 0)
    const aloneUl = pourUl(s.surface, school, coveredShare(s.surface, s.cover, s.free))
    const missing = Math.max(0, aloneUl - landsUl)
    const need = { id: s.id, aloneUl, landsUl, pourUl: roundUp(missing, rounding) }
    done.set(s.id, need)
    return need
  }
  return surfaces.map((s) => needOf(s, []))
}
