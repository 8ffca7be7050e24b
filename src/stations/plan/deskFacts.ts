import type { DriedFilm } from '@/core/learning/crackRisk'
import type { AmountLine } from '@/core/learning/learnedAmount'
import type { PooledGroup } from '@/core/learning/pooled'
import type { WouldTeach } from '@/core/learning/tracedFaults'
import type { MakersWord } from '@/core/plan/makersWord'
import type { PlanBottle } from '@/core/plan/bottle'
import type { UnitSystem } from '@/core/quantity/parse'
import type { Job } from '@/core/schedule/backwards'
import type { HouseWord } from '@/db/people/houseWords'
import type { OpenTake } from '@/db/plans/read'
import type { CupSize, DryingPlace, Room } from '@/db/room/read'
import type { StockedSurface } from '@/db/surfaces/read'
import type { Work } from '@/db/works/read'

interface Named {
  readonly id: string
  readonly name: string
}

/** What the plan desk works with; plain objects, so that everything is answered while typing. */
export interface DeskFacts {
  readonly studio: {
    readonly units: UnitSystem
    readonly currency: string
    readonly zone: string
    readonly waterDropUl: number
  }
  readonly bottles: readonly PlanBottle[]
  readonly formulas: readonly (Named & { readonly hex: string | null })[]
  readonly recipes: readonly Named[]
  readonly cups: readonly CupSize[]
  readonly places: readonly DryingPlace[]
  readonly room: Room
  readonly works: readonly Work[]
  readonly surfaces: readonly StockedSurface[]
  readonly word: MakersWord
  /** What every other open plan takes of every bottle. */
  readonly takes: readonly OpenTake[]
  /** Every other open plan, for the places where it dries. */
  readonly jobs: readonly Job[]
  readonly dried: readonly DriedFilm[]
  /** What each technique was seen to need, as far as enough pieces tell. */
  readonly learned: readonly AmountLine[]
  /** Share of a pour that stays on, by technique, where it was weighed often enough. */
  readonly keeps: readonly PooledGroup[]
  /** Pairs that would settle what is suspected of a fault. */
  readonly wouldTeach: readonly WouldTeach[]
  /** Rules of the house in its own words. */
  readonly houseWords: readonly HouseWord[]
  /** What was to be done another time, newest first, of each technique once. */
  readonly lessons: readonly { readonly technique: string; readonly title: string; readonly nextTime: string }[]
  /** ms since 1970, as the page was made. */
  readonly now: number
}
