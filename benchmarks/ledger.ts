import { v7 as uuidv7 } from 'uuid'
import { takeOut } from '@/db/ledger'
import { withStudio, type Tx } from '@/db/base/withStudio'
import { makeStudio } from '../tests/support/studio'
import { compare, type Figure } from './measure'

const CONNECTIONS = 8
const EACH = 25

/** Withdrawals through the ledger against bare inserts of the very rows they write. */
export async function ledgerFigures(): Promise<Figure[]> {
  const studio = await makeStudio()
  const materials = [
    await studio.paint('Red'),
    await studio.paint('Blue'),
    await studio.medium('Flow'),
    await studio.medium('Gloss'),
  ]
  const poured = materials.map((materialId) => ({ materialId, ul: 500_000_000 }))
  const bottles: string[] = []
  for (let i = 0; i < 100; i++) bottles.push(await studio.bottle(`B${i}`, poured))
  const lots = (await studio.content(bottles[0]!)).map((c) => c.lot_id)
  const sinkId = await studio.run(
    async (tx) =>
      (await tx.q<{ id: string }>(`select id from vessel where studio_id = $1 and kind = 'out'`, [tx.studioId]))[0]!.id,
  )
  const many =
    (work: (tx: Tx, bottle: string) => Promise<unknown>, pick: (worker: number, i: number) => string) => () =>
      Promise.all(
        Array.from({ length: CONNECTIONS }, async (_, worker) => {
          for (let i = 0; i < EACH; i++) await withStudio(studio.who, (tx) => work(tx, pick(worker, i)))
        }),
      )
  const withdraw = (tx: Tx, vesselId: string) => takeOut(tx, { requestId: uuidv7(), vesselId, ul: 4_000 })
  const insert = async (tx: Tx, vesselId: string) => {
    const id = uuidv7()
    await tx.q(
      `insert into movement (studio_id, id, kind, request_id, payload_hash, at) values ($1, $2, 'take-out', $3, '', now())`,
      [tx.studioId, id, uuidv7()],
      'bare_movement',
    )
    await tx.q(
      `insert into movement_line (studio_id, movement_id, line_no, lot_id, from_vessel_id, to_vessel_id, ul)
       select $1, $2, n, lot, $4, $5, 1000 from unnest($3::uuid[]) with ordinality as l (lot, n)`,
      [tx.studioId, id, lots, vesselId, sinkId],
      'bare_lines',
    )
  }
  const spread = (worker: number, i: number) => bottles[(worker * 31 + i * 7) % bottles.length]!
  const one = () => bottles[0]!
  const count = CONNECTIONS * EACH
  return [
    await compare(
      'rate',
      'withdrawals over many bottles against bare inserts',
      '≥ 0.5',
      count,
      many(withdraw, spread),
      many(insert, spread),
      7,
    ),
    await compare(
      'rate',
      'withdrawals on one bottle against bare inserts',
      '≥ 0.25',
      count,
      many(withdraw, one),
      many(insert, one),
      7,
    ),
  ]
}
