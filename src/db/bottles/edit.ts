import type { InferType } from 'yup'
import { NotFound } from '@/core/errors'
import { type Booked } from '../ledger'
import { mergeBottles, refreshKeep, refuseAdditive, type MergeBottles, type RecipeSnapshot } from '../mixes'
import type { Tx } from '../base/withStudio'
import type { editBottleSchema } from './schema'

/**
 * Changes a bottle's name, role, palette, technique and notes; what is in it is the ledger's.
 * @throws NotFound; Invalid for a role that what it holds does not bear
 */
export async function editBottle(tx: Tx, b: InferType<typeof editBottleSchema>): Promise<void> {
  const [found] = await tx.q<{ additive: boolean }>(
    `update bottle set role = $3, notes = $4, palette = $5, technique = $6, is_reference = is_reference and palette = $5
     where studio_id = $1 and vessel_id = $2 returning has_additive as additive`,
    [tx.studioId, b.vesselId, b.role, b.notes, b.palette, b.technique],
  )
  if (!found) throw new NotFound('bottle')
  if (found.additive) refuseAdditive(b.label, b.role)
  await tx.q('update vessel set label = $3 where studio_id = $1 and id = $2', [tx.studioId, b.vesselId, b.label])
  tx.touched.add('rack')
}

/** Notes that a bottle was shaken and strained just now. @throws NotFound */
export async function noteShaken(tx: Tx, vesselId: string): Promise<void> {
  const done = await tx.q('update bottle set moved_at = now() where studio_id = $1 and vessel_id = $2 returning 1', [
    tx.studioId,
    vesselId,
  ])
  if (done.length === 0) throw new NotFound('bottle')
  tx.touched.add('rack')
}

/** Makes a bottle the one the others of its palette are brought to; there is one to a palette. @throws NotFound */
export async function makeReference(tx: Tx, vesselId: string, isReference: boolean): Promise<void> {
  const done = await tx.q(
    `update bottle b set is_reference = $3 and b.vessel_id = $2
     where b.studio_id = $1 and b.palette = (select palette from bottle where studio_id = $1 and vessel_id = $2)
       and (b.vessel_id = $2 or b.is_reference) returning 1`,
    [tx.studioId, vesselId, isReference],
  )
  if (done.length === 0) throw new NotFound('bottle')
  tx.touched.add('rack')
}

/** Keeps what a bottle weighs empty. */
export async function keepTare(tx: Tx, vesselId: string, tareMg: number): Promise<void> {
  await tx.q('update bottle set tare_mg = $3 where studio_id = $1 and vessel_id = $2', [tx.studioId, vesselId, tareMg])
}

/** Keeps the recipe a bottle was mixed by, where it is known only afterwards. */
export async function keepRecipe(tx: Tx, vesselId: string, recipe: RecipeSnapshot): Promise<void> {
  await tx.q('update bottle set recipe = $3 where studio_id = $1 and vessel_id = $2', [
    tx.studioId,
    vesselId,
    JSON.stringify(recipe),
  ])
}

/** Pours bottles together; what was read of the one they went into is no word on the mix it has become. */
export async function pourTogether(tx: Tx, merge: MergeBottles): Promise<Booked> {
  const booked = await mergeBottles(tx, merge)
  if (!booked.replayed)
    await tx.q('update titration set vessel_id = null where studio_id = $1 and vessel_id = $2', [
      tx.studioId,
      merge.intoId,
    ])
  return booked
}

/** Works out anew until when everything on the rack keeps: the rack stands warmer or cooler than it did. */
export async function refreshKeepOfRack(tx: Tx): Promise<void> {
  const rows = await tx.q<{ id: string }>(
    `select b.vessel_id as id from bottle b join vessel v on v.studio_id = b.studio_id and v.id = b.vessel_id
     where b.studio_id = $1 and b.emptied_at is null and v.kind = 'bottle'`,
    [tx.studioId],
  )
  await refreshKeep(
    tx,
    rows.map((r) => r.id),
  )
  tx.touched.add('rack')
}
