import { secondsPerNu } from '@/core/consistency/flowCup'
import { groupBy } from '@/core/groupBy'
import type { PouredFacts } from '@/core/learning/pouredFacts'
import { WEIGHED_PIECES, type WeighedRehearsal } from '@/core/tilt/corrected'
import { weighedRehearsal } from '@/core/tilt/weighed'
import { findPlan } from '@/db/plans/read'
import { correctionOf, rehearsedPieces, type KeptCorrection } from '@/db/rehearsals/corrections'
import { readBothWays } from '@/db/bottles/readings'
import type { Tx } from '@/db/base/withStudio'

/** Seconds of level time per mm²/s as this studio has read it, or the start value. */
export async function secondsPerNuHere(tx: Tx): Promise<number> {
  const pairs = await readBothWays(tx)
  return secondsPerNu(pairs.flatMap(({ levelTimeS, nu }) => (nu === null ? [] : [{ levelTimeS, nu }])))
}

/** What corrects rehearsals of a technique: as it was kept, and what it can be worked out from anew. */
export interface Weighing {
  readonly correction: KeptCorrection | null
  readonly weighed: readonly WeighedRehearsal[]
}

/**
 * Newest weighed pieces of a technique that were poured as they were rehearsed, and how it is corrected.
 * @param pieces what is known of all that was poured
 */
export async function weighingOf(tx: Tx, technique: string, pieces: readonly PouredFacts[]): Promise<Weighing> {
  const rows = await rehearsedPieces(tx, technique)
  const correction = (await correctionOf(tx, technique)) ?? null
  if (rows.length < WEIGHED_PIECES.least) return { correction, weighed: [] }
  const known = new Map(pieces.map((p) => [p.id, p]))
  const designs = new Map(
    (await Promise.all([...new Set(rows.map((r) => r.planId))].map((id) => findPlan(tx, id)))).map((p) => [
      p.id,
      p.design,
    ]),
  )
  const byPiece = [...groupBy(rows, (r) => r.pieceId).values()]
  const weighed = byPiece.flatMap((of) => {
    const piece = known.get(of[0]!.pieceId)
    if (!piece) return []
    const { surface, pouredUl, leftUl } = piece
    const asRehearsed = of.map((r) =>
      weighedRehearsal({ ...r, surface, pouredUl, leftUl, design: designs.get(r.planId)! }),
    )
    return asRehearsed.find((w) => w !== undefined) ?? []
  })
  return { correction, weighed: weighed.slice(0, WEIGHED_PIECES.most) }
}
