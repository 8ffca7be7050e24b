import type { Tx } from '../base/withStudio'
import type { Write } from './write'

/** Makes a transaction ready for thousands of materials. */
export async function beginBulk(tx: Tx): Promise<void> {
  // One import at a time in a studio: two of the same list would trip over each other's names.
  await tx.q('select pg_advisory_xact_lock(hashtextextended($1, 0))', [`import ${tx.studioId}`])
  // Checks of foreign keys keep the plan they were first made with, from when the tables were small; here thousands follow.
  await tx.q(`select set_config('plan_cache_mode', 'force_custom_plan', true)`)
}

/** A paint may refer to one that is written later: links follow when all are there. */
export const withoutLinks = (w: Write): Write =>
  w.after.kind === 'paint' && w.revision === 0 ? { ...w, after: { ...w.after, substitutes: [], standIn: [] } } : w

/** Writes the links of new paints to each other. */
export async function linkUp(tx: Tx, writes: readonly Write[]): Promise<void> {
  for (const { id, revision, after } of writes) {
    if (after.kind !== 'paint' || revision > 0) continue
    for (const other of after.substitutes)
      await tx.q('insert into paint_substitute (studio_id, material_id, other_id) values ($1, $2, $3)', [
        tx.studioId,
        id,
        other,
      ])
    for (const s of after.standIn)
      await tx.q('insert into paint_stand_in (studio_id, material_id, paint_id, parts) values ($1, $2, $3, $4)', [
        tx.studioId,
        id,
        s.paintId,
        s.parts,
      ])
  }
}
