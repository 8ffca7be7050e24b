import equal from 'fast-deep-equal'
import type { Tx } from '../base/withStudio'
import { notUndone } from './notUndone'

/** A row of a bottle as JSON, by column. */
type Row = Readonly<Record<string, unknown>>

/** What a bottle is, was before a movement, and was when the movement was done. */
export interface Changed {
  readonly vesselId: string
  readonly now: Row
  readonly before: Row
  /** Null in notes from before it was kept: then what was noted goes back as it is. */
  readonly after: Row | null
  /** Whether another movement has changed what is in it since, and was not undone. */
  readonly alteredSince: boolean
}

/** Columns that follow from what is in a bottle, and are worked out anew where something else has come into it since. */
const OF_CONTENT = ['w', 'evaporated_share', 'keep_until', 'colour_hex', 'colour_off', 'sheen', 'has_additive']

/**
 * Notes what bottles are, every column, before a movement changes what is in them.
 * @returns those of the vessels that are bottles
 */
export async function noteBefore(tx: Tx, movementId: string, vesselIds: readonly string[]): Promise<string[]> {
  if (vesselIds.length === 0) return []
  const rows = await tx.q<{ id: string }>(
    `insert into bottle_before (studio_id, movement_id, vessel_id, facts)
     select $1, $2, b.vessel_id, to_jsonb(b) - 'studio_id' - 'vessel_id' from bottle b where b.studio_id = $1 and b.vessel_id = any ($3)
     returning vessel_id as id`,
    [tx.studioId, movementId, vesselIds],
  )
  return rows.map((r) => r.id)
}

/** Notes what the movement made of them. */
export async function noteAfter(tx: Tx, movementId: string, vesselIds: readonly string[]): Promise<void> {
  if (vesselIds.length === 0) return
  await tx.q(
    `update bottle_before f set after = to_jsonb(b) - 'studio_id' - 'vessel_id' from bottle b
     where f.studio_id = $1 and f.movement_id = $2 and b.studio_id = $1 and b.vessel_id = f.vessel_id`,
    [tx.studioId, movementId],
  )
}

/** The bottles a movement changed. */
export function changedBy(tx: Tx, movementId: string): Promise<Changed[]> {
  return tx.q<Changed>(
    `select f.vessel_id as "vesselId", to_jsonb(b) - 'studio_id' - 'vessel_id' as now, f.facts as before, f.after,
       exists (select from bottle_before l where l.studio_id = f.studio_id and l.vessel_id = f.vessel_id
         and l.movement_id > f.movement_id and ${notUndone('l', 'movement_id')}) as "alteredSince"
     from bottle_before f join bottle b on b.studio_id = f.studio_id and b.vessel_id = f.vessel_id
     where f.studio_id = $1 and f.movement_id = $2`,
    [tx.studioId, movementId],
  )
}

/** Columns of a bottle that go back: what the movement set and nothing has changed since. */
export function goingBack({ now, before, after, alteredSince }: Changed): string[] {
  if (!after) return Object.keys(before)
  return Object.keys(after).filter(
    (c) => !equal(before[c], after[c]) && equal(now[c], after[c]) && !(alteredSince && OF_CONTENT.includes(c)),
  )
}

/** Puts columns of a bottle back to what they were before. */
export async function putBack(tx: Tx, { vesselId, before }: Changed, columns: readonly string[]): Promise<void> {
  if (columns.length === 0) return
  // Names of the bottle's own columns, as the database noted them.
  const names = columns.map((c) => `"${c.replaceAll('"', '""')}"`).join(', ')
  await tx.q(
    `update bottle b set (${names}) = (select ${names} from jsonb_populate_record(null::bottle, $3))
     where b.studio_id = $1 and b.vessel_id = $2`,
    [tx.studioId, vesselId, JSON.stringify(before)],
  )
}
