import { paintingCost, perMl as pricePerMl } from './cost'

/** One way to buy a paint: a size at a price. */
export interface LeagueEntry {
  readonly paintId: string
  readonly sizeUl: number
  /** Minor units for one container, an offer taken into account. */
  readonly eachMinor: number
  readonly onOffer: boolean
}

/** Paint 1 : medium k : water w by volume, with the medium's price. */
export interface MixRatio {
  readonly medium: number
  readonly water: number
  /** Minor units per ml of medium. */
  readonly mediumPerMl: number
}

export interface Ranked<E extends LeagueEntry> {
  readonly entry: E
  /** Minor units per ml of paint, and per ml of mixed paint. */
  readonly perMl: number
  readonly perMixedMl: number
  /** The smaller size of the same paint that costs less per ml, both at list or both on offer. */
  readonly dearerThan: E | undefined
}

/** Minor units per ml of mixed paint. */
export const mixedPerMl = (paintPerMl: number, r: MixRatio) =>
  paintingCost(1, paintPerMl, r.mediumPerMl, r.medium, r.water)

/**
 * The price league: cheapest mixed paint first. A larger size that is dearer per ml than a smaller one of the same
 * paint is marked, like compared with like.
 * @param ratioOf the house ratio of each entry's paint
 * @throws Invalid for what is no price, size or ratio
 */
export function league<E extends LeagueEntry>(entries: readonly E[], ratioOf: (entry: E) => MixRatio): Ranked<E>[] {
  const perMl = (e: E) => pricePerMl(e.eachMinor, e.sizeUl)
  return entries
    .map((entry): Ranked<E> => {
      const smaller = entries
        .filter(
          (o) =>
            o.paintId === entry.paintId &&
            o.onOffer === entry.onOffer &&
            o.sizeUl < entry.sizeUl &&
            perMl(o) < perMl(entry),
        )
        .sort((a, b) => perMl(a) - perMl(b))[0]
      return { entry, perMl: perMl(entry), perMixedMl: mixedPerMl(perMl(entry), ratioOf(entry)), dearerThan: smaller }
    })
    .sort((a, b) => a.perMixedMl - b.perMixedMl)
}

/** A way to get mixed paint: a paint at a price, at a ratio of paint 1 : medium : water. */
export interface MixedWay {
  readonly perMl: number
  readonly medium: number
  readonly water: number
}

export interface BreakEven {
  /** Price of the second paint per ml at which both cost the same, all else as it is. */
  readonly paintPerMl: number | null
  /** Price of medium per ml at which they do. */
  readonly mediumPerMl: number | null
}

/**
 * Where two ways to get mixed paint cost the same, whichever their paints, sizes and ratios: from
 * (p₁ + k₁ m) / n₁ = (p₂ + k₂ m) / n₂ with n = 1 + k + w. Null where no price above zero does it.
 */
export function breakEven(one: MixedWay, two: MixedWay, mediumPerMl: number): BreakEven {
  const [n1, n2] = [1 + one.medium + one.water, 1 + two.medium + two.water]
  const above = (x: number) => (Number.isFinite(x) && x > 0 ? x : null)
  return {
    paintPerMl: above((n2 / n1) * (one.perMl + one.medium * mediumPerMl) - two.medium * mediumPerMl),
    mediumPerMl: above((two.perMl / n2 - one.perMl / n1) / (one.medium / n1 - two.medium / n2)),
  }
}
