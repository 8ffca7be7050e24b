import { volumeText } from '@/core/quantity/format'
import { breakEven, league } from '@/core/purchase/league'
import { leagueEntries } from '@/db/materials/leagueEntries'
import { allOffers, pricedMediums, pricedPaints } from '@/db/materials/prices'
import { houseRules, rulesOf } from '@/db/people/houseRules'
import { studioFacts } from '@/db/people/studio'
import type { Tx } from '@/db/base/withStudio'
import { dayOn } from '@/ui/tables/dates'
import type { Sheet } from '../sheet'

export interface BuyingFacts {
  readonly currency: string
  readonly medium: string | null
  readonly ways: readonly {
    readonly key: string
    readonly paintId: string
    readonly name: string
    readonly hex: string
    readonly sizeUl: number
    readonly words: string
    readonly perMl: number
    readonly perMixedMl: number
    readonly isDearer: boolean
  }[]
  /** Neighbours in the league: the price a ml of paint at which the dearer way turns the cheaper one. */
  readonly turns: readonly {
    readonly key: string
    readonly first: string
    readonly second: string
    readonly paintPerMl: number
    /** What a ml of the second costs now. */
    readonly nowPerMl: number
  }[]
}

const TURNS_SHOWN = 6

export async function buyingFacts(tx: Tx, now: Date): Promise<BuyingFacts> {
  const { currency, zone, water } = await studioFacts(tx)
  const rules = rulesOf(await houseRules(tx))
  const paints = (await pricedPaints(tx, now)).filter((p) => !p.discontinued)
  const [medium] = await pricedMediums(tx)
  const perMl = medium?.perMl ?? 0
  const entries = leagueEntries(paints, await allOffers(tx), dayOn(now.getTime(), zone), { rules, water })
  const ranked = league(entries, (e) => ({ ...e.mix, mediumPerMl: perMl }))
  // Compared among paints of late: one that nobody mixes turns nothing.
  const used = ranked.filter((r) => r.entry.paint.pacedUl > 0)
  const named = (r: (typeof ranked)[number]) => `${r.entry.paint.name}, ${volumeText(r.entry.sizeUl)}`
  return {
    currency,
    medium: medium?.name ?? null,
    ways: ranked.map((r) => ({
      key: `${r.entry.paintId} ${r.entry.sizeUl} ${r.entry.words}`,
      paintId: r.entry.paintId,
      name: r.entry.paint.name,
      hex: r.entry.paint.hex,
      sizeUl: r.entry.sizeUl,
      words: r.entry.words,
      perMl: r.perMl,
      perMixedMl: r.perMixedMl,
      isDearer: r.dearerThan !== undefined,
    })),
    turns: used
      .slice(0, -1)
      .flatMap((r, i) => {
        const next = used[i + 1]!
        if (next.entry.paintId === r.entry.paintId) return []
        const { paintPerMl } = breakEven(
          { ...r.entry.mix, perMl: r.perMl },
          { ...next.entry.mix, perMl: next.perMl },
          perMl,
        )
        return paintPerMl === null
          ? []
          : [
              {
                key: `${named(r)} ${named(next)}`,
                first: named(r),
                second: named(next),
                paintPerMl,
                nowPerMl: next.perMl,
              },
            ]
      })
      .slice(0, TURNS_SHOWN),
  }
}

export function buyingSheet({ ways, currency }: BuyingFacts): Sheet {
  return {
    columns: [
      { name: 'Paint' },
      { name: 'Size, ml', isNumber: true },
      { name: 'How' },
      { name: `Per ml, ${currency}`, isNumber: true },
      { name: `Per ml mixed, ${currency}`, isNumber: true },
      { name: 'Dearer than a smaller size' },
    ],
    rows: ways.map((w) => ({
      key: w.key,
      href: `/paints/${w.paintId}?tab=stock`,
      cells: [
        w.name,
        w.sizeUl / 1000,
        w.words,
        Math.round(w.perMl * 10) / 1000,
        Math.round(w.perMixedMl * 10) / 1000,
        w.isDearer ? 'yes' : '',
      ],
    })),
  }
}
