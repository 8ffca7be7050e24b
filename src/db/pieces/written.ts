import { FAULTS } from '@/core/piece/faults'
import type { WrittenBottle, WrittenPiece } from '@/core/piece/writeUp'
import { formatMl } from '@/core/quantity/format'
import { loadedCups } from '@/core/run/loading'
import { runState } from '@/core/run/runState'
import { keysOf } from '../runs/book'
import { findRun } from '../runs/read'
import { techniqueBook } from '../techniques/read'
import type { Tx } from '../base/withStudio'
import { coatsOf, filmOf } from './finish'
import { looksOf } from './looks'
import { findPiece } from './read'

interface Poured {
  readonly bottle: string
  readonly label: string
  readonly name: string
  readonly maker: string
  readonly kind: string
  readonly ul: number
}

/** What each bottle really gave a piece, material by material. */
const POURED = `select b.vessel_id as bottle, v.label, m.name, m.maker, m.kind, sum(l.ul * p.poured_share)::float8 as ul
  from piece p
  join movement_line l on l.studio_id = p.studio_id and l.movement_id = p.movement_id and l.to_vessel_id = p.poured_into
  join bottle b on b.studio_id = l.studio_id and b.vessel_id = l.from_vessel_id
  join vessel v on v.studio_id = b.studio_id and v.id = b.vessel_id
  join lot on lot.studio_id = l.studio_id and lot.id = l.lot_id
  join material m on m.studio_id = lot.studio_id and m.id = lot.material_id
  where p.studio_id = $1 and p.id = $2
  group by 1, 2, 3, 4, 5 order by 6 desc`

const sumOf = (rows: readonly Poured[]) => rows.reduce((ul, r) => ul + r.ul, 0)

/** Parts against the least of them. */
function partsOf(rows: readonly Poured[]) {
  const least = Math.min(...rows.map((r) => r.ul))
  return rows.map((r) => ({ name: r.name, maker: r.maker, parts: r.ul / least }))
}

function bottlesOf(rows: readonly Poured[], levelTimes: ReadonlyMap<string, number>): WrittenBottle[] {
  const ids = [...new Set(rows.map((r) => r.bottle))]
  return ids
    .map((id) => {
      const mine = rows.filter((r) => r.bottle === id)
      const of = (kind: string) => mine.filter((r) => r.kind === kind)
      const paint = sumOf(of('paint'))
      return {
        label: mine[0]!.label,
        ul: Math.round(sumOf(mine)),
        paints: partsOf(of('paint')),
        mediums: partsOf(of('medium')),
        ratio: paint > 0 ? ([1, sumOf(of('medium')) / paint, sumOf(of('water')) / paint] as const) : null,
        levelTimeS: levelTimes.get(id) ?? null,
      }
    })
    .sort((a, b) => b.ul - a.ul)
}

/** What the books know of how a piece was made. @param poured the day, in words @throws NotFound */
export async function writtenPiece(tx: Tx, pieceId: string, dayOf: (at: string) => string): Promise<WrittenPiece> {
  const piece = await findPiece(tx, pieceId)
  const techniques = await techniqueBook(tx)
  const rows = await tx.q<Poured>(POURED, [tx.studioId, pieceId])
  const coats = await coatsOf(tx, pieceId)
  const [changed] = piece.planId
    ? await tx.q<{ note: string }>('select carried_note as note from plan where studio_id = $1 and id = $2', [
        tx.studioId,
        piece.planId,
      ])
    : []
  const run = piece.runId ? await findRun(tx, piece.runId) : undefined
  const state = run && runState(run.plan, run.events)
  const levelTimes = new Map<string, number>()
  const cups: WrittenPiece['cups'][number][] = []
  if (run && state) {
    for (const g of state.given) {
      const read = g.frozen?.readS ?? g.frozen?.expectedS
      if (read) levelTimes.set(g.bottle, read)
    }
    const key = keysOf(run.id, run.bookings)
    const planned = run.plan.pieces.find((p) => key(`piece ${p.id}`) === piece.id)
    const labels = new Map(run.plan.bottles.map((b) => [b.id, b.label]))
    for (const { cup, given } of loadedCups(run.plan, state))
      if (cup.piece === planned?.id && given.length)
        cups.push({
          name: cup.title,
          layers: given.map((g) => `${labels.get(g.bottle) ?? 'a bottle'} ${formatMl(g.ul)}`),
        })
  }
  return {
    title: piece.title,
    poured: dayOf(piece.pouredAt),
    technique: techniques.name(piece.technique),
    surface: { ...piece.surface, count: 1 },
    bottles: bottlesOf(rows, levelTimes),
    cups,
    filmMm: piece.stayedHow === null ? null : filmOf(piece, techniques),
    looks: await looksOf(tx, pieceId),
    faultNames: Object.fromEntries(FAULTS.map((f) => [f.key, f.name])),
    finish: coats.map(
      (c) =>
        `${c.coats > 1 ? `${c.coats} coats of ` : ''}${c.product}${c.lots ? ` (lot ${c.lots})` : ''}, ${dayOf(c.doneOn)}`,
    ),
    changed: changed?.note ?? '',
    nextTime: piece.nextTime,
  }
}
