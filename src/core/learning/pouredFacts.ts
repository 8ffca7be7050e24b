import type { MaterialKind } from '../paint/properties'
import type { Surface } from '../surface/shapes'

/** A material of what was poured, with its share by volume. */
export interface PouredMaterial {
  readonly id: string
  readonly name: string
  readonly kind: MaterialKind
  /** Kind of a medium; null of all else. */
  readonly mediumKind: string | null
  readonly hex: string | null
  readonly share: number
}

/** A counted container that went into it. */
export interface PouredLot {
  readonly id: string
  readonly materialId: string
  readonly name: string
  readonly share: number
}

/** What a piece came from and what it became, as far as the books know; null where nobody noted it. */
export interface PouredFacts {
  readonly id: string
  readonly title: string
  readonly technique: string
  readonly surface: Surface
  readonly pouredAt: number
  readonly fate: string
  /** Somebody has looked at it since: what is not said of it then is not there. */
  readonly isLookedAt: boolean
  readonly rating: number | null
  readonly faults: readonly string[]
  readonly nextTime: string
  readonly pouredUl: number
  /** Share of it that was poured from cups and not laid on as a coat. */
  readonly cupShare: number
  readonly leftUl: number
  readonly isWeighed: boolean
  /** Mean wet film on face and edges, mm. */
  readonly wetMm: number
  readonly materials: readonly PouredMaterial[]
  readonly lots: readonly PouredLot[]
  /** Water ÷ paint; volume solids; share of anti-craze medium; binder missing against a firm mix, 0–1. */
  readonly waterOfPaint: number
  readonly antiCraze: number
  readonly weakBinder: number
  readonly levelTimeS: number | null
  readonly restHours: number | null
  readonly minutesSinceStirred: number | null
  readonly heatS: number | null
  readonly celsius: number | null
  readonly humidity: number | null
  /** What the maker said of the film while it was wet. */
  readonly film: 'thin' | 'as wanted' | 'too much' | null
  readonly bothers: readonly string[]
  readonly cellsPerDm2: number | null
  readonly laceMPerDm2: number | null
}
