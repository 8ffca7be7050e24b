import { areas } from '@/core/surface/area'
import { pieceCosts, type PieceCost } from '@/db/learning/costs'
import { studioFacts } from '@/db/people/studio'
import type { Tx } from '@/db/base/withStudio'
import type { Sheet } from '../sheet'

export interface CostFacts {
  readonly currency: string
  readonly pieces: readonly (PieceCost & { readonly dm2: number; readonly totalMinor: number })[]
}

export async function costFacts(tx: Tx): Promise<CostFacts> {
  const { currency } = await studioFacts(tx)
  return {
    currency,
    pieces: (await pieceCosts(tx)).map((p) => ({
      ...p,
      dm2: areas(p.surface).faceMm2 / 10_000,
      totalMinor: p.paintMinor + p.surfaceMinor + p.finishMinor,
    })),
  }
}

const money = (minor: number) => Math.round(minor) / 100

export function costSheet({ pieces, currency }: CostFacts): Sheet {
  const number = (name: string) => ({ name: `${name}, ${currency}`, isNumber: true })
  return {
    columns: [
      { name: 'Piece' },
      { name: 'Face, dm²', isNumber: true },
      number('Paint'),
      number('of it wasted'),
      number('Surface'),
      number('Finish'),
      number('In all'),
      number('Price'),
    ],
    rows: pieces.map((p) => ({
      key: p.id,
      href: `/wall/${p.id}`,
      cells: [
        p.title,
        p.dm2,
        money(p.paintMinor),
        money(p.wasteMinor),
        money(p.surfaceMinor),
        money(p.finishMinor),
        money(p.totalMinor),
        p.priceMinor === null ? null : money(p.priceMinor),
      ],
    })),
  }
}
