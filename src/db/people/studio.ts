import { NotFound } from '@/core/errors'
import type { WaterRule } from '@/core/mix/waterLimit'
import { knownZone } from '@/core/schedule/zone'
import type { UnitSystem } from '@/core/quantity/parse'
import { START_DROPS, type DropSizes } from '@/core/quantity/dropSizes'
import type { Tx } from '@/db/base/withStudio'

export interface StudioFacts {
  readonly id: string
  readonly name: string
  readonly currency: string
  readonly zone: string
  readonly units: UnitSystem
  /** How much water is too much here. */
  readonly water: WaterRule
  /** Drops of its own droppers, where it has counted any. */
  readonly drops: DropSizes
}

/** The studio's own settings. @throws NotFound when it is gone */
export async function studioFacts(tx: Tx): Promise<StudioFacts> {
  const [row] = await tx.q<StudioFacts>(
    `select studio_id as id, name, currency, time_zone as zone, units,
       json_build_object('school', water_school, 'value', water_share) as water,
       coalesce((select json_object_agg(d.drip, d.drop_nl / 1000.0) from dropper d
         where d.studio_id = $1 and d.in_use), '{}') as drops
     from studio where studio_id = $1`,
    [tx.studioId],
    'studio_facts',
  )
  if (!row) throw new NotFound('studio')
  // One that was let in before it was checked would break every page with a date on it.
  return { ...row, zone: knownZone(row.zone), drops: { ...START_DROPS, ...row.drops } }
}
