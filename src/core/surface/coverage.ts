import { mustBeAmounts } from '../mustBe'
import { ML_PER_FL_OZ, MM_PER_INCH } from '../quantity/units'
import { areas } from './area'
import type { Surface } from './shapes'

/** Ways the amount of paint for the pour itself is found. */
export const COVERAGE_KINDS = ['rule-of-28', 'film', 'learned', 'own'] as const

/** How the amount of paint for the pour itself is found. */
export type CoverageSchool =
  | { readonly kind: 'rule-of-28' }
  | { readonly kind: 'film'; readonly wetMm: number; readonly runOffShare: number }
  /** The rule of 28 times what this studio's own pours came to beside it. */
  | { readonly kind: 'learned'; readonly factor: number }
  /** The maker's own figure for each piece, µl. */
  | { readonly kind: 'own'; readonly ul: number }

/** Common practice, no published source: in² of the face ÷ 28 = fl oz. */
export const RULE_DIVISOR = 28
export const COVERAGE_SOURCE = 'common practice, no published source'

/**
 * Paint for the pour in whole µl. Rule of 28: face in² ÷ 28 fl oz, run-off included, edges not added. Film school:
 * (face + edges) × wet thickness × (1 + run-off share). What is kept free of the face is not poured on; coats are
 * planned apart.
 * @param cover share of the face poured on, 0–1
 * @throws Invalid for what is no size
 */
export function pourUl(surface: Surface, school: CoverageSchool, cover = 1): number {
  const { faceMm2, edgesMm2 } = areas(surface)
  mustBeAmounts('A size', [faceMm2, edgesMm2, cover])
  const rule = () => ((faceMm2 * cover) / MM_PER_INCH ** 2 / RULE_DIVISOR) * ML_PER_FL_OZ * 1000
  switch (school.kind) {
    case 'rule-of-28':
      return Math.round(rule())
    case 'learned':
      mustBeAmounts('What was learned', [school.factor])
      return Math.round(rule() * school.factor)
    case 'film':
      mustBeAmounts('A film', [school.wetMm, school.runOffShare])
      return layerUl(faceMm2 * cover + edgesMm2, school.wetMm * (1 + school.runOffShare))
    case 'own':
      mustBeAmounts('An amount', [school.ul])
      return Math.round(school.ul) * surface.count
  }
}

/** A layer's volume in whole µl: 1 mm over 1 mm² is 1 µl. */
export function layerUl(areaMm2: number, wetMm: number): number {
  mustBeAmounts('An area or a film', [areaMm2, wetMm])
  return Math.round(areaMm2 * wetMm)
}
