import { mustBeAmounts } from '../mustBe'
import { offerTotal, offerWords, type Offer } from './offers'

/** A size of a material that can be bought, under the terms of today. */
export interface Shelved {
  readonly materialId: string
  readonly sizeUl: number
  readonly listMinor: number
  readonly supplier: string
  readonly terms: Offer
}

/** One way to buy: some containers together at a price. */
export interface Deal {
  readonly materialId: string
  readonly sizeUl: number
  readonly count: number
  readonly priceMinor: number
  readonly supplier: string
  readonly words: string
  /** At most one of the deals with the same coupon. */
  readonly coupon: string | null
}

/** Every way a shelf offers: single containers, and what an offer gives together; a coupon once at its shop. */
export function dealsOf(shelf: readonly Shelved[]): Deal[] {
  mustBeAmounts(
    'A price or a size',
    shelf.flatMap((s) => [s.sizeUl, s.listMinor]),
  )
  return shelf.flatMap((s): Deal[] => {
    const deal = (count: number, coupon: string | null = null): Deal => ({
      materialId: s.materialId,
      sizeUl: s.sizeUl,
      count,
      priceMinor: offerTotal(s.listMinor, count, s.terms),
      supplier: s.supplier,
      words: count > 1 || s.terms.kind === 'percent' || coupon !== null ? offerWords(s.terms) : 'list price',
      coupon,
    })
    const plain = { ...deal(1), priceMinor: s.listMinor, words: 'list price' }
    switch (s.terms.kind) {
      case 'list':
        return [plain]
      case 'percent':
        return [deal(1)]
      case 'coupon':
        return [plain, deal(1, `${s.supplier} ${s.terms.percent}`)]
      case 'n-for-m':
        return [plain, deal(s.terms.get)]
      case 'bundle':
        return [plain, deal(s.terms.count)]
    }
  })
}

/** Past this a count is no purchase for a studio. */
const MOST = 500

/**
 * The cheapest purchase that covers all needs as an integer programme in the CPLEX LP file format: the whole count of
 * every deal, the least total price, at least what is needed of each material, a coupon once. Variables are x0, x1, … by
 * the order of the deals. Ties go to what leaves less over.
 */
export function buyingProgram(needs: ReadonlyMap<string, number>, deals: readonly Deal[]): string {
  mustBeAmounts('A need', needs.values())
  const used = deals.flatMap((d, i) => (needs.has(d.materialId) ? [{ d, x: `x${i}` }] : []))
  const sum = (terms: readonly string[]) => (terms.length ? terms.join(' + ') : '0 x0')
  // A ten-thousandth of a minor unit for a millilitre that is over breaks ties and outweighs no price.
  const price = (d: Deal) => (d.priceMinor + (d.count * d.sizeUl) / 1e7).toFixed(7)
  const covers = [...needs].map(
    ([id, ul], i) =>
      ` need${i}: ${sum(used.filter((u) => u.d.materialId === id).map((u) => `${(u.d.count * u.d.sizeUl) / 1000} ${u.x}`))} >= ${ul / 1000}`,
  )
  const coupons = [...new Set(used.flatMap((u) => u.d.coupon ?? []))].map(
    (c, i) => ` coupon${i}: ${sum(used.filter((u) => u.d.coupon === c).map((u) => u.x))} <= 1`,
  )
  return [
    'Minimize',
    ` price: ${sum(used.map((u) => `${price(u.d)} ${u.x}`))}`,
    'Subject To',
    ...covers,
    ...coupons,
    'Bounds',
    ...used.map((u) => ` 0 <= ${u.x} <= ${MOST}`),
    'General',
    ` ${used.map((u) => u.x).join(' ')}`,
    'End',
  ].join('\n')
}

export interface Bought {
  readonly deal: Deal
  readonly times: number
}

/** The purchase of counts by deal, `x0`, `x1` … */
export function boughtFrom(deals: readonly Deal[], counts: (x: string) => number): Bought[] {
  return deals.flatMap((deal, i) => {
    const times = Math.round(counts(`x${i}`))
    return times > 0 ? [{ deal, times }] : []
  })
}
