import { Conflict, NotFound } from '@/core/errors'
import type { Tx } from '@/db/base/withStudio'
import { stateSchema, type BatchState } from './batchSchema'

export interface Batch {
  readonly id: string
  readonly title: string
  readonly formulaId: string
  readonly formulaVersion: number
  readonly formulaName: string
  readonly state: BatchState
  readonly revision: number
  readonly createdAt: string
  readonly doneAt: string | null
}

const BATCH = `b.id, b.title, b.formula_id as "formulaId", b.formula_version as "formulaVersion", f.name as "formulaName",
  b.state, b.revision, b.created_at as "createdAt", b.done_at as "doneAt"
  from batch b join formula f on f.studio_id = b.studio_id and f.id = b.formula_id`
const read = (row: Batch): Batch => ({ ...row, state: stateSchema.cast(row.state) })

/** Batches, those under way first, newest first. */
export async function listBatches(tx: Tx): Promise<Batch[]> {
  const rows = await tx.q<Batch>(
    `select ${BATCH} where b.studio_id = $1 order by b.done_at is not null, b.created_at desc limit 100`,
    [tx.studioId],
  )
  return rows.map(read)
}

/** One batch. @throws NotFound */
export async function findBatch(tx: Tx, id: string): Promise<Batch> {
  const [row] = await tx.q<Batch>(`select ${BATCH} where b.studio_id = $1 and b.id = $2`, [tx.studioId, id])
  if (!row) throw new NotFound('batch')
  return read(row)
}

/** A batch, held for as long as the transaction lasts: it is booked once, and whoever comes second waits. @throws NotFound */
export async function lockBatch(tx: Tx, id: string): Promise<Batch> {
  await tx.q('select 1 from batch where studio_id = $1 and id = $2 for update', [tx.studioId, id])
  return findBatch(tx, id)
}

export interface SaveBatch {
  readonly id: string
  readonly revision: number
  readonly title: string
  readonly formulaId: string
  readonly formulaVersion: number
  readonly state: BatchState
  readonly finished: boolean
}

/**
 * Keeps a batch as it stands. The very same change sent twice is one change.
 * @returns its revision now
 * @throws Conflict where another device changed it meanwhile; NotFound for a formula that is not there
 */
export async function saveBatch(tx: Tx, b: SaveBatch): Promise<number> {
  const state = JSON.stringify(b.state)
  const [version] = await tx.q(
    'select 1 from formula_version where studio_id = $1 and formula_id = $2 and version = $3',
    [tx.studioId, b.formulaId, b.formulaVersion],
  )
  if (!version) throw new NotFound('formula')
  const values = [tx.studioId, b.id, b.title, b.formulaId, b.formulaVersion, state, b.finished]
  const [row] =
    b.revision === 0
      ? await tx.q<{ revision: number }>(
          `insert into batch (studio_id, id, title, formula_id, formula_version, state, done_at)
           values ($1, $2, $3, $4, $5, $6, case when $7 then now() end) on conflict do nothing returning revision`,
          values,
        )
      : await tx.q<{ revision: number }>(
          `update batch set title = $3, formula_id = $4, formula_version = $5, state = $6, revision = revision + 1,
             done_at = case when $7 then coalesce(done_at, now()) end
           where studio_id = $1 and id = $2 and revision = $8 returning revision`,
          [...values, b.revision],
        )
  if (row) return row.revision
  const [now] = await tx.q<{ revision: number }>(
    'select revision from batch where studio_id = $1 and id = $2 and revision = $3 + 1 and state = $4::jsonb',
    [tx.studioId, b.id, b.revision, state],
  )
  if (now) return now.revision
  throw new Conflict('Another device changed this batch. Open it again to go on from there.')
}
