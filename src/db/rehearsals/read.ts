import type { Lean } from '@/core/tilt/hand'
import type { Told } from '@/core/tilt/kept'
import type { Tx } from '../base/withStudio'

/** A rehearsal that was kept, without its picture. */
export interface KeptRehearsal {
  readonly id: string
  readonly surfaceId: string
  readonly path: readonly Lean[]
  readonly told: Told
  readonly width: number
  readonly height: number
  readonly madeAt: string
}

/** The rehearsals of a plan, the newest first. */
export const rehearsalsOf = (tx: Tx, planId: string): Promise<KeptRehearsal[]> =>
  tx.q<KeptRehearsal>(
    `select id, surface_id as "surfaceId", path, told, width, height, made_at as "madeAt"
     from rehearsal where studio_id = $1 and plan_id = $2 order by made_at desc, id desc`,
    [tx.studioId, planId],
  )

/** The picture of a rehearsal, JPEG; undefined where there is none. */
export async function rehearsalImage(tx: Tx, id: string): Promise<Buffer | undefined> {
  const [row] = await tx.q<{ image: Buffer }>('select image from rehearsal where studio_id = $1 and id = $2', [
    tx.studioId,
    id,
  ])
  return row?.image
}
