import { apportionParts } from '../mix/apportion'
import type { PlannedSurface } from '../plan/design'
import { areas } from '../surface/area'
import type { Surface } from '../surface/shapes'

/** One object of a plan: a surface with a count of three is three of them. */
export interface PieceOfPlan {
  readonly surfaceId: string
  readonly title: string
  readonly surface: Surface
  readonly stockId: string | null
  readonly eachMinor: number
  readonly faceMm2: number
}

/** The objects of a plan in its order, each with a title of its own: numbered where there are several. */
export function piecesOf(
  surfaces: readonly Pick<PlannedSurface, 'id' | 'surface' | 'stockId' | 'eachMinor'>[],
  title: string,
): PieceOfPlan[] {
  const all = surfaces.flatMap((s) => Array.from({ length: s.surface.count }, () => s))
  return all.map((s, i) => {
    const surface = { ...s.surface, count: 1 }
    return {
      surfaceId: s.id,
      title: all.length > 1 ? `${title.slice(0, 112)} (${i + 1})` : title,
      surface,
      stockId: s.stockId,
      eachMinor: s.eachMinor,
      faceMm2: areas(surface).faceMm2,
    }
  })
}

/** An amount over pieces by the area of their faces: whole µl that sum to it. @throws Invalid for what is no amount */
export const byFace = (ul: number, pieces: readonly { readonly faceMm2: number }[]): number[] =>
  apportionParts(
    ul,
    pieces.map((p) => p.faceMm2),
  )
