import { Invalid } from '../errors'
import { mustBeAmounts } from '../mustBe'
import { formatMl } from '../quantity/format'

/** The inside of a round cup with straight walls, mm. */
export interface CupShape {
  readonly bottomMm: number
  readonly topMm: number
  readonly heightMm: number
}

/** @throws Invalid for what is no cup */
function mustBeCup({ bottomMm, topMm, heightMm }: CupShape): void {
  mustBeAmounts('A measure of the cup', [bottomMm, topMm, heightMm])
  if (!(bottomMm > 0 && topMm > 0 && heightMm > 0))
    throw new Invalid('Measure the cup inside: across the bottom, across the rim, and its height.', 'cup')
}

/** By how much the radius grows a mm of height. */
const flare = ({ bottomMm, topMm, heightMm }: CupShape) => (topMm - bottomMm) / 2 / heightMm
/** Narrower than this a wall is straight, as far as anybody can measure. */
const STRAIGHT = 1e-6

/** What a cup holds to its rim, µl: a frustum, π h (r² + r R + R²) / 3. @throws Invalid */
export function cupHoldsUl(cup: CupShape): number {
  mustBeCup(cup)
  const [r, top] = [cup.bottomMm / 2, cup.topMm / 2]
  return (Math.PI * cup.heightMm * (r * r + r * top + top * top)) / 3
}

/** How high a volume stands in a cup, mm above the bottom inside. @throws Invalid for no cup, or more than it holds */
export function heightInCup(cup: CupShape, ul: number): number {
  const holds = cupHoldsUl(cup)
  mustBeAmounts('A volume', [ul])
  if (ul > holds * (1 + 1e-9))
    throw new Invalid(
      `This cup holds ${formatMl(holds)}, and ${formatMl(ul)} are planned. Take a larger one, or fill it less.`,
      'cup',
    )
  const [r, grows] = [cup.bottomMm / 2, flare(cup)]
  // A slice of height dh holds π r² dh and r grows with h: what is below is the difference of two cones.
  return Math.abs(grows) < STRAIGHT
    ? ul / (Math.PI * r * r)
    : (Math.cbrt(r ** 3 + (3 * grows * ul) / Math.PI) - r) / grows
}

/** A line up to which a cup is filled. */
export interface FillLine {
  readonly id: string
  /** Everything up to it, µl. */
  readonly upToUl: number
  /** Above the bottom inside, and along the slanting wall, mm. */
  readonly heightMm: number
  readonly wallMm: number
}

/**
 * Lines for those who measure by the cup: after each of what goes in, in its order, the cup is filled to the next.
 * @throws Invalid for no cup, or more than it holds
 */
export function fillLines(cup: CupShape, amounts: readonly { readonly id: string; readonly ul: number }[]): FillLine[] {
  const slant = Math.hypot(1, flare(cup))
  let upToUl = 0
  return amounts.map(({ id, ul }) => {
    upToUl += ul
    const heightMm = heightInCup(cup, upToUl)
    return { id, upToUl, heightMm, wallMm: heightMm * slant }
  })
}
