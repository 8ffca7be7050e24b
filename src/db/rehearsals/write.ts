import { FikaError, Invalid } from '@/core/errors'
import { checkPath, type Lean } from '@/core/tilt/hand'
import type { Told } from '@/core/tilt/kept'
import type { Tx } from '../base/withStudio'
import { findPlan } from '../plans/read'
import { REHEARSAL } from './schema'

/** A rehearsal as it is kept, its picture encoded anew. */
export interface NewRehearsal {
  readonly id: string
  readonly planId: string
  readonly surfaceId: string
  readonly path: readonly Lean[]
  readonly told: Told
  readonly width: number
  readonly height: number
  readonly image: Buffer
  /** Made now where none is given. */
  readonly at?: Date
}

/**
 * Keeps a rehearsal with its plan; the same one sent twice is one.
 * @throws NotFound for a plan of another studio; Invalid for a surface the plan no longer has, or an impossible path
 */
export async function keepRehearsal(tx: Tx, r: NewRehearsal): Promise<void> {
  checkPath(r.path)
  const plan = await findPlan(tx, r.planId)
  if (!plan.design.surfaces.some((s) => s.id === r.surfaceId))
    throw new Invalid('The plan has no such surface any more. Open the plan again, and rehearse it as it is now.')
  const [here] = await tx.q<{ n: number }>(
    'select count(*)::int as n from rehearsal where studio_id = $1 and plan_id = $2 and id <> $3',
    [tx.studioId, r.planId, r.id],
  )
  if (here!.n >= REHEARSAL.ofPlan)
    throw new FikaError(
      'TooLarge',
      `A plan keeps ${REHEARSAL.ofPlan} rehearsals. Take one away first, then keep this one.`,
    )
  await tx.q(
    `insert into rehearsal (studio_id, id, plan_id, surface_id, path, told, width, height, image, made_at)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9, coalesce($10, now())) on conflict (studio_id, id) do nothing`,
    [
      tx.studioId,
      r.id,
      r.planId,
      r.surfaceId,
      JSON.stringify(r.path),
      JSON.stringify(r.told),
      r.width,
      r.height,
      r.image,
      r.at ?? null,
    ],
  )
}

/** Takes a rehearsal away; one that is gone already stays gone. */
export async function removeRehearsal(tx: Tx, id: string): Promise<void> {
  await tx.q('delete from rehearsal where studio_id = $1 and id = $2', [tx.studioId, id])
}
