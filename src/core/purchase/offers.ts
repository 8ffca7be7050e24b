import { mustBeAmounts } from '../mustBe'
import { Invalid } from '../errors'
import { apportion } from '../mix/apportion'

/** How a shop takes something off the list price. */
export const OFFER_KINDS = ['list', 'percent', 'n-for-m', 'coupon', 'bundle'] as const
export type OfferKind = (typeof OFFER_KINDS)[number]

export type Offer =
  | { readonly kind: 'list' }
  /** `percent` off every item. */
  | { readonly kind: 'percent'; readonly percent: number }
  /** `get` items for the price of `pay`. */
  | { readonly kind: 'n-for-m'; readonly get: number; readonly pay: number }
  /** `percent` off one item of the purchase. */
  | { readonly kind: 'coupon'; readonly percent: number }
  /** `count` items together for `priceMinor`. */
  | { readonly kind: 'bundle'; readonly count: number; readonly priceMinor: number }

const whole = (n: number) => Number.isInteger(n) && n > 0

/** @throws Invalid with what is wrong about an offer */
export function checkOffer(offer: Offer): void {
  if ((offer.kind === 'percent' || offer.kind === 'coupon') && !(offer.percent > 0 && offer.percent <= 100))
    throw new Invalid('Percent off lies above 0 and up to 100.', 'percent')
  if (offer.kind === 'n-for-m' && !(whole(offer.get) && whole(offer.pay) && offer.pay < offer.get))
    throw new Invalid('An n-for-m offer pays for fewer than it gets, like 3 for 2.', 'get')
  if (offer.kind === 'bundle' && !(whole(offer.count) && offer.priceMinor >= 0))
    throw new Invalid('A bundle has a count above zero and a price.', 'count')
}

/**
 * What `count` items cost under an offer, in minor units, rounded once.
 * @param listMinor list price of one item
 * @throws Invalid for an offer or a count that cannot be
 */
export function offerTotal(listMinor: number, count: number, offer: Offer): number {
  if (!whole(count)) throw new Invalid('Buy at least one.', 'count')
  mustBeAmounts('A price', [listMinor, ...Object.values(offer).filter((v): v is number => typeof v === 'number')])
  checkOffer(offer)
  switch (offer.kind) {
    case 'list':
      return listMinor * count
    case 'percent':
      return Math.round(listMinor * count * (1 - offer.percent / 100))
    case 'n-for-m':
      return listMinor * (Math.floor(count / offer.get) * offer.pay + (count % offer.get))
    case 'coupon':
      return listMinor * count - Math.round((listMinor * offer.percent) / 100)
    case 'bundle':
      return Math.floor(count / offer.count) * offer.priceMinor + (count % offer.count) * listMinor
  }
}

/** The fewest items by which an offer is used in full. */
export const offerCount = (offer: Offer) =>
  offer.kind === 'n-for-m' ? offer.get : offer.kind === 'bundle' ? offer.count : 1

/**
 * Splits the price of a purchase over its items in proportion to their worth, to the last cent (largest remainder).
 * @param worth list prices where known, else volumes; all zero splits evenly
 */
export function splitPrice(totalMinor: number, worth: readonly number[]): number[] {
  mustBeAmounts('A price', [totalMinor, ...worth])
  return apportion(totalMinor, worth.some((w) => w > 0) ? worth : worth.map(() => 1))
}

/** An offer in the words of a shop window. */
export function offerWords(offer: Offer): string {
  switch (offer.kind) {
    case 'list':
      return 'list price'
    case 'percent':
      return `${offer.percent} % off`
    case 'n-for-m':
      return `${offer.get} for ${offer.pay}`
    case 'coupon':
      return `${offer.percent} % off one`
    case 'bundle':
      return `${offer.count} together`
  }
}
