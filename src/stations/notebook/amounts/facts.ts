import { amountsOfPieces, SHARE_SPREAD, sharesKept } from '@/core/learning/amountsOfPieces'
import { amountFor, learnAmounts, type LearnedAmount } from '@/core/learning/learnedAmount'
import { pooledMeans, type PooledGroup } from '@/core/learning/pooled'
import { pouredFacts } from '@/db/learning/pieces'
import { techniqueBook } from '@/db/techniques/read'
import type { Tx } from '@/db/base/withStudio'
import type { Sheet } from '../sheet'

/** Pieces from which on something is said of a technique. */
const FEWEST = 3
/** Edges ÷ face of a usual panel: 20 mm of edge on 30 × 40 cm. */
export const USUAL_EDGES = 0.23

export interface AmountsFacts {
  readonly techniques: readonly (LearnedAmount & {
    readonly key: string
    readonly name: string
    /** Share that stayed on, where it was weighed often enough. */
    readonly kept: PooledGroup | null
  })[]
  readonly pieces: number
}

export async function amountsFacts(tx: Tx): Promise<AmountsFacts> {
  const techniques = await techniqueBook(tx)
  const pieces = await pouredFacts(tx, techniques)
  const learned = learnAmounts(amountsOfPieces(pieces))
  const kept = pooledMeans(sharesKept(pieces), SHARE_SPREAD)
  return {
    pieces: learned.pieces,
    techniques: learned.techniques.flatMap((key) => {
      const amount = amountFor(learned, key, USUAL_EDGES)
      if (amount.ofTechnique < FEWEST) return []
      const name = techniques.find(key)?.name ?? key
      return [{ ...amount, key, name, kept: kept.groups.find((g) => g.key === key) ?? null }]
    }),
  }
}

export function amountsSheet({ techniques }: AmountsFacts): Sheet {
  return {
    columns: [
      { name: 'Technique' },
      { name: 'Pieces', isNumber: true },
      { name: '× rule of 28, in the middle', isNumber: true },
      { name: '× rule of 28, enough nine times in ten', isNumber: true },
      { name: 'Weighed', isNumber: true },
      { name: 'Stays on, %', isNumber: true },
    ],
    rows: techniques.map((t) => ({
      key: t.key,
      cells: [t.name, t.ofTechnique, t.middle, t.enough, t.kept?.n ?? 0, t.kept && Math.round(100 * t.kept.mean)],
    })),
  }
}
