import type { Role } from '../paint/properties'
import type { PlanUse } from '../plan/uses'

/**
 * Roles that silicone and other additives must stay out of: what lies under the pour or on the bare surface, where they
 * make craters, and bases that carry them into every mix. Common practice, no published source.
 */
const BARRED: Readonly<Partial<Record<Role | PlanUse, string>>> = {
  'base coat': 'Silicone and the like under a pour make craters',
  'slip coat': 'Silicone and the like under a pour make craters',
  cushion: 'Silicone and the like on the bare surface make craters',
  'mixing base': 'A base carries silicone and the like into every mix that is made of it',
}

/** Why a mix that holds an additive may not be used as something; undefined where it may. */
export const barsAdditive = (use: string): string | undefined => BARRED[use as Role | PlanUse]

/** What is said of a piece that holds an additive before it is varnished or coated with resin. */
export const CLEAN_FIRST =
  'There is silicone or another additive in it: varnish and resin draw back from it. Clean the dry surface first, and try the finish on a corner.'
