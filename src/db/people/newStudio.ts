import type { UnitSystem } from '@/core/quantity/parse'
import type { Tx } from '../base/withStudio'
import { makeSinks } from '../ledger'
import { addWaters } from '../materials/waters'

export interface NewStudio {
  readonly studioId: string
  readonly name: string
  readonly currency?: string
  readonly timeZone?: string
  readonly units?: UnitSystem
  readonly demo?: boolean
}

/** Makes a studio inside its own transaction: the row, its sinks, and water to thin with. */
export async function createStudio(tx: Tx, studio: NewStudio): Promise<void> {
  await tx.q(`insert into studio (studio_id, name, currency, time_zone, units, demo) values ($1, $2, $3, $4, $5, $6)`, [
    tx.studioId,
    studio.name,
    studio.currency ?? 'EUR',
    studio.timeZone ?? 'UTC',
    studio.units ?? 'metric',
    studio.demo ?? false,
  ])
  await makeSinks(tx)
  await addWaters(tx)
}
