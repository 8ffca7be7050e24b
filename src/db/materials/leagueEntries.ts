import { houseRatioOf, type HouseRules } from '@/core/mix/houseRules'
import { usualWater, type WaterRule } from '@/core/mix/waterLimit'
import { formatRatio } from '@/core/quantity/ratio'
import { offerCount, offerTotal, offerWords } from '@/core/purchase/offers'
import type { LeagueEntry } from '@/core/purchase/league'
import type { OfferRow, PricedPaint } from './prices'

export interface PaintEntry extends LeagueEntry {
  readonly words: string
  readonly paint: PricedPaint
  /** The ratio it is really mixed at: parts of medium and of water to one of paint, and whose ratio that is. */
  readonly mix: { readonly medium: number; readonly water: number; readonly from: string }
}

/**
 * Every way to buy the paints: each one's own size and list price, and sizes and offers that hold today. Of several
 * with the same size and terms the latest counts.
 * @param today day as `2026-05-31`
 * @param rules the studio's ratios: the paint's own, its body's, or the usual one
 */
export function leagueEntries(
  paints: readonly PricedPaint[],
  offers: readonly OfferRow[],
  today: string,
  { rules, water }: { rules: HouseRules; water: WaterRule },
): PaintEntry[] {
  return paints.flatMap((paint) => {
    const ratio = houseRatioOf(paint, rules)
    const medium = ratio.medium / ratio.paint
    const mix = { medium, water: usualWater(medium, water), from: ratio.from }
    const found = new Map<string, PaintEntry>()
    if (paint.priceMinor !== null && paint.sizeUl)
      found.set(`${paint.sizeUl} list`, {
        paintId: paint.id,
        sizeUl: paint.sizeUl,
        eachMinor: paint.priceMinor,
        onOffer: false,
        words: 'list price',
        paint,
        mix,
      })
    const now = offers
      .filter((o) => o.materialId === paint.id && o.startsOn <= today && (o.endsOn === null || o.endsOn >= today))
      .sort((a, b) => (a.startsOn < b.startsOn ? -1 : 1))
    for (const o of now) {
      const n = offerCount(o.terms)
      found.set(`${o.sizeUl} ${o.terms.kind} ${o.supplier}`.trim(), {
        paintId: paint.id,
        sizeUl: o.sizeUl,
        eachMinor: offerTotal(o.listMinor, n, o.terms) / n,
        onOffer: o.terms.kind !== 'list',
        words: [offerWords(o.terms), o.supplier].filter(Boolean).join(', '),
        paint,
        mix,
      })
    }
    return [...found.values()]
  })
}

/** `1 : 2 : 0.4` */
export const ratioText = ({ medium, water }: { medium: number; water: number }) =>
  formatRatio([1, medium, ...(water > 0 ? [water] : [])])
