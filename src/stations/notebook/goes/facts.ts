import { paintGoes, PLACES, type MaterialGoes } from '@/db/learning/paintGoes'
import { pouredByMonth, type MonthPoured } from '@/db/ledger'
import { studioFacts } from '@/db/people/studio'
import type { Tx } from '@/db/base/withStudio'
import type { Sheet } from '../sheet'

export interface GoesFacts {
  readonly materials: readonly MaterialGoes[]
  readonly months: readonly MonthPoured[]
}

export const goesFacts = async (tx: Tx): Promise<GoesFacts> => ({
  materials: await paintGoes(tx),
  months: await pouredByMonth(tx, (await studioFacts(tx)).zone),
})

/** What came in: bought, taken from a supply nobody counts, or found by measuring. */
export const cameIn = (m: MaterialGoes) => m.boughtUl + m.foundUl

export function goesSheet({ materials }: GoesFacts): Sheet {
  return {
    columns: [
      { name: 'Paint or medium' },
      { name: 'Maker' },
      { name: 'Came in, ml', isNumber: true },
      ...PLACES.map((p) => ({ name: `${p}, ml`, isNumber: true })),
    ],
    rows: materials
      .filter((m) => cameIn(m) > 0)
      .map((m) => ({
        key: m.id,
        href: `/paints/${m.id}`,
        cells: [m.name, m.maker, cameIn(m) / 1000, ...PLACES.map((p) => (m.places[p] ?? 0) / 1000)],
      })),
  }
}
