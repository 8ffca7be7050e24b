import type { BottleFull } from '@/db/bottles/read'

/** A bottle one can plan with. */
export interface PricedBottle extends BottleFull {
  /** Minor units of a ml. */
  readonly costPerMl: number
}
