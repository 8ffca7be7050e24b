import { USUAL_MIX } from '@/core/mix/mixFacts'
import { crackRisk } from '@/core/learning/crackRisk'
import { driedFilms } from '@/core/learning/driedFilms'
import { pouredFacts } from '@/db/learning/pieces'
import { techniqueBook } from '@/db/techniques/read'
import type { Tx } from '@/db/base/withStudio'
import type { Sheet } from '../sheet'

export interface CracksFacts {
  readonly pieces: readonly {
    readonly id: string
    readonly title: string
    readonly wetMm: number
    readonly waterOfPaint: number
    readonly cracked: boolean
  }[]
  /** Risk by wet film, mm, for a usual mix and for a watery one. */
  readonly usual: readonly { readonly x: number; readonly y: number }[]
  readonly watery: readonly { readonly x: number; readonly y: number }[]
  readonly safeMm: number
  readonly safeWateryMm: number
}

/** Water ÷ paint of the watery curve; the other is of a usual mix. */
const WATERY = 0.6
const MOST_MM = 4

export async function cracksFacts(tx: Tx): Promise<CracksFacts> {
  const all = await pouredFacts(tx, await techniqueBook(tx))
  const own = driedFilms(all)
  const curve = (waterOfPaint: number) =>
    Array.from({ length: 40 }, (_, i) => {
      const wetMm = 0.1 + (i / 39) * (MOST_MM - 0.1)
      return { x: wetMm, y: 100 * crackRisk({ wetMm, waterOfPaint }, own).risk }
    })
  const safe = (waterOfPaint: number) => crackRisk({ wetMm: 1, waterOfPaint }, own).safeMm
  return {
    pieces: all.flatMap((p) => {
      const [film] = driedFilms([p])
      return film
        ? [{ id: p.id, title: p.title, wetMm: film.wetMm, waterOfPaint: film.waterOfPaint, cracked: film.cracked }]
        : []
    }),
    usual: curve(USUAL_MIX.waterOfPaint),
    watery: curve(WATERY),
    safeMm: safe(USUAL_MIX.waterOfPaint),
    safeWateryMm: safe(WATERY),
  }
}

export function cracksSheet({ pieces }: CracksFacts): Sheet {
  return {
    columns: [
      { name: 'Piece' },
      { name: 'Wet film, mm', isNumber: true },
      { name: 'Water ÷ paint', isNumber: true },
      { name: 'Cracked' },
    ],
    rows: pieces.map((p) => ({
      key: p.id,
      href: `/wall/${p.id}`,
      cells: [p.title, p.wetMm, p.waterOfPaint, p.cracked ? 'yes' : 'no'],
    })),
  }
}
