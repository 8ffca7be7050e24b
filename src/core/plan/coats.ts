import { areas } from '../surface/area'
import { splitShares } from '../surface/cover'
import { layerUl } from '../surface/coverage'
import type { Coat, PlannedSurface } from './design'

/**
 * What a coat takes over all its pieces, µl: the amount as typed, or share × film over what it lies on: the edges for
 * painted sides, face and edges for what runs over them, and the face alone for what is drawn on it.
 * @throws Invalid for impossible sizes
 */
export function coatUl(coat: Coat, surfaces: readonly PlannedSurface[]): number {
  if (coat.ul !== null) return Math.round(coat.ul)
  return surfaces
    .filter((s) => coat.on === null || coat.on === s.id)
    .reduce((sum, s) => sum + layerUl(lyingOn(coat, s), coat.wetMm), 0)
}

function lyingOn(coat: Coat, s: PlannedSurface): number {
  const { faceMm2, edgesMm2 } = areas(s.surface)
  if (coat.role === 'sides') return edgesMm2 * coat.share
  const half = halfOf(coat, s)
  const onFace = coat.role === 'lead-in' || coat.role === 'swipe'
  return (faceMm2 + (onFace ? 0 : edgesMm2)) * half * coat.share
}

/** The share of the face a coat of one half lies on. */
const halfOf = (coat: Coat, s: PlannedSurface) =>
  coat.half !== null && s.split ? splitShares(s.surface, s.split)[coat.half] : 1

/** What of a coat lies on the face of one piece, µl: its share and film over the face, without what its edges take. */
export function lyingUl(coat: Coat, s: PlannedSurface): number {
  const { faceMm2 } = areas(s.surface)
  return (faceMm2 / s.surface.count) * halfOf(coat, s) * coat.share * coat.wetMm
}
