import { mustBeAmounts } from '../mustBe'
import { Invalid } from '../errors'

/** A surface to pour on. Lengths in mm; `count` pieces alike, planned as one work. */
export type Surface =
  | {
      readonly shape: 'rectangle'
      readonly lengthMm: number
      readonly widthMm: number
      readonly edgeMm: number
      readonly count: number
    }
  | { readonly shape: 'round'; readonly diameterMm: number; readonly edgeMm: number; readonly count: number }

export interface Areas {
  /** mm², all pieces. */
  readonly faceMm2: number
  readonly edgesMm2: number
}

/**
 * Face and edge areas. Rectangle: LW and 2d(L+W). Round: πD²/4 and πDd.
 * @throws Invalid when a side is not above zero
 */
export function areas(surface: Surface): Areas {
  const sides = surface.shape === 'round' ? [surface.diameterMm] : [surface.lengthMm, surface.widthMm]
  if (sides.some((s) => !(s > 0)) || !(surface.edgeMm >= 0) || !(surface.count >= 1))
    throw new Invalid('A surface needs sides above zero, an edge depth of zero or more, and a count of one or more.')
  mustBeAmounts('A size of a surface', [...sides, surface.edgeMm, surface.count])
  const { count, edgeMm } = surface
  if (surface.shape === 'round') {
    const d = surface.diameterMm
    return { faceMm2: (count * Math.PI * d * d) / 4, edgesMm2: count * Math.PI * d * edgeMm }
  }
  const { lengthMm, widthMm } = surface
  return { faceMm2: count * lengthMm * widthMm, edgesMm2: count * 2 * edgeMm * (lengthMm + widthMm) }
}
