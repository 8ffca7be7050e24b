import { mustBeAmounts } from '../mustBe'
import { areas } from './area'
import type { Surface } from './shapes'

/**
 * Mean wet film, mm, that so much paint makes on surfaces, over their faces and edges together.
 * @param ul what stays on them, µl (1 µl is 1 mm³)
 * @throws Invalid for what is no amount
 */
export function wetFilmMm(ul: number, surfaces: readonly Surface[]): number {
  mustBeAmounts('What stays', [ul])
  const mm2 = surfaces.reduce((sum, s) => {
    const { faceMm2, edgesMm2 } = areas(s)
    return sum + faceMm2 + edgesMm2
  }, 0)
  return mm2 > 0 ? ul / mm2 : 0
}
