import { mustBeAbove0, mustBeAmounts } from '../mustBe'

/** Price of a volume of one lot: minor units per container and its size. */
export interface Priced {
  readonly ul: number
  /** Minor units paid for `sizeUl`; null where the price is not known. */
  readonly priceMinor: number | null
  readonly sizeUl: number | null
}

export interface Cost {
  /** Minor units, not rounded; round once, at the end. */
  readonly minor: number
  /** Volume whose price is not known, µl: the sum is a lower bound when above zero. */
  readonly unpricedUl: number
}

/** Cost of a set of portions: Σ volume × price really paid ÷ size. @throws Invalid for what is no number */
export function costOf(portions: readonly Priced[]): Cost {
  mustBeAmounts(
    'A volume or a price',
    portions.flatMap((p) => [p.ul, p.priceMinor, p.sizeUl]),
  )
  let minor = 0
  let unpricedUl = 0
  for (const { ul, priceMinor, sizeUl } of portions) {
    if (priceMinor === null || !sizeUl) unpricedUl += ul
    else minor += (ul * priceMinor) / sizeUl
  }
  return { minor, unpricedUl }
}

/** Minor units per ml of a container. @throws Invalid for what is no price or size */
export function perMl(priceMinor: number, sizeUl: number): number {
  mustBeAmounts('A price', [priceMinor])
  mustBeAbove0('A size', sizeUl)
  return (priceMinor * 1000) / sizeUl
}

/**
 * Cost per painting of a mix paint : medium : water = 1 : k : w with prices p and m per ml over a volume V in ml:
 * V (p + k m) / (1 + k + w).
 * @throws Invalid for what is no number
 */
export function paintingCost(volumeMl: number, p: number, m: number, k: number, w = 0): number {
  mustBeAmounts('A price or a part', [volumeMl, p, m, k, w])
  return (volumeMl * (p + k * m)) / (1 + k + w)
}
