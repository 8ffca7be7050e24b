import { mustBeAmounts } from '../mustBe'
import { ML_PER_FL_OZ, MM_PER_INCH } from '../quantity/units'
import { areas, type Surface } from './area'

/** How the amount of paint for the pour itself is found. */
export type CoverageSchool =
  { readonly kind: 'rule-of-28' } | { readonly kind: 'film'; readonly wetMm: number; readonly runOffShare: number }

/** Common practice, no published source: in² of the face ÷ 28 = fl oz. */
export const RULE_DIVISOR = 28
export const COVERAGE_SOURCE = 'common practice, no published source'

/**
 * Paint for the cup in whole µl. Rule of 28: face in² ÷ 28 fl oz, run-off included, edges not added. Film school:
 * (face + edges) × wet thickness × (1 + run-off share). Base coat, slip coat and reserve are planned apart.
 * @throws Invalid for what is no size
 */
export function cupUl(surface: Surface, school: CoverageSchool): number {
  const { faceMm2, edgesMm2 } = areas(surface)
  mustBeAmounts('A size', [faceMm2, edgesMm2])
  if (school.kind === 'film') mustBeAmounts('A film', [school.wetMm, school.runOffShare])
  if (school.kind === 'rule-of-28') {
    const squareInches = faceMm2 / MM_PER_INCH ** 2
    return Math.round((squareInches / RULE_DIVISOR) * ML_PER_FL_OZ * 1000)
  }
  return layerUl(faceMm2 + edgesMm2, school.wetMm * (1 + school.runOffShare))
}

/** A layer's volume in whole µl: 1 mm over 1 mm² is 1 µl. */
export function layerUl(areaMm2: number, wetMm: number): number {
  mustBeAmounts('An area or a film', [areaMm2, wetMm])
  return Math.round(areaMm2 * wetMm)
}

/** Start values for what is planned apart from the cup, wet mm. Start values of Fika. */
export const LAYER_WET_MM = { 'base coat': 0.25, 'slip coat': 0.4, reserve: 0.1 } as const
