import type { Bottle } from '@/db/bottles'

/** A bottle one can plan with. */
export interface PricedBottle extends Bottle {
  /** Minor units of a ml. */
  readonly costPerMl: number
}
