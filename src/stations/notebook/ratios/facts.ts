import { ratiosCame, type RatioCame } from '@/db/learning/ratios'
import type { Tx } from '@/db/base/withStudio'
import type { Sheet } from '../sheet'

export interface RatiosFacts {
  readonly mixes: readonly (RatioCame & { readonly off: number })[]
}

/** From this far off on, in parts of medium to one of paint, a ratio is not what it is called. Start value of Fika. */
export const OFF_SHARE = 0.15

export async function ratiosFacts(tx: Tx): Promise<RatiosFacts> {
  const mixes = await ratiosCame(tx)
  return { mixes: mixes.map((m) => ({ ...m, off: m.namedMedium > 0 ? m.cameMedium / m.namedMedium - 1 : 0 })) }
}

export function ratiosSheet({ mixes }: RatiosFacts): Sheet {
  return {
    columns: [
      { name: 'Bottle' },
      { name: 'Medium to 1 of paint, named', isNumber: true },
      { name: 'Really', isNumber: true },
      { name: 'Off, %', isNumber: true },
      { name: 'Water to 1 of paint, named', isNumber: true },
      { name: 'Water, really', isNumber: true },
    ],
    rows: mixes.map((m) => ({
      key: m.id,
      href: `/rack/${m.id}`,
      cells: [m.label, m.namedMedium, m.cameMedium, Math.round(100 * m.off), m.namedWater, m.cameWater],
    })),
  }
}
