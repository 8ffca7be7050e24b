import { v7 as uuidv7 } from 'uuid'
import { THINNER_FACTS, type Thinner } from '@/core/mix/thinners'
import type { Tx } from '../base/withStudio'

/** What a new studio can thin with. */
const WATERS: readonly (readonly [string, Thinner])[] = [
  ['Distilled water', 'distilled'],
  ['Purified water', 'purified'],
  ['Tap water', 'tap'],
  ['Thinning mix 90 : 10', 'thinning mix'],
]

/** Adds water of every kind to a new studio. */
export async function addWaters(tx: Tx): Promise<void> {
  for (const [name, kind] of WATERS) {
    const facts = THINNER_FACTS[kind]
    await tx.q(
      `insert into material (studio_id, id, kind, name, thinner, density_g_per_ml, solids, water_share, container_ul, price_minor)
       values ($1, $2, 'water', $3, $4, $5, $6, $7, 1000000, 0)`,
      [tx.studioId, uuidv7(), name, kind, facts.densityGPerMl, facts.solids, facts.waterShare],
    )
  }
}
