import type { Read } from '../vessel/thickening'

/** What a plan knows of a bottle. Times in ms since 1970, volumes in µl. */
export interface PlanBottle extends Read {
  readonly id: string
  readonly label: string
  readonly hex: string | null
  readonly sheen: string
  /** Expected ΔE00 between its computed colour and the real one; null where it was seen. */
  readonly off: number | null
  readonly capacityUl: number | null
  readonly mixedAt: number
  readonly restUntil: number
  readonly keepUntil: number | null
  readonly movedAt: number | null
  readonly readAt: number | null
  readonly hasAdditive: boolean
  readonly isJar: boolean
  readonly isReference: boolean
  /** Water that may still go in by the house's limit. */
  readonly roomUl: number
  /** Of what it holds, see `MixFacts`. */
  readonly densityGPerMl: number
  readonly solids: number
  readonly waterOfPaint: number
  /** Minor units of a ml. */
  readonly costPerMl: number
  /** What is wrong with containers it was mixed from. */
  readonly badLots: readonly { readonly name: string; readonly flag: string }[]
  /** Its paints, with their share of the colour, 0–1. */
  readonly paints: readonly { readonly id: string; readonly share: number }[]
}
