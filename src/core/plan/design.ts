import type { Look } from '../consistency/wanted'
import type { PlanStep } from '../schedule/planSteps'
import type { Point } from '../surface/polygon'
import type { SplitLine } from '../surface/cover'
import type { Surface } from '../surface/shapes'
import type { CoverageSchool } from '../surface/coverage'
import type { CupKind } from '../technique/technique'
import type { Finish } from './finish'
import type { CoatRole } from './uses'

/** What a layer or coat is made of: a bottle that stands there, or a formula or recipe that is still to be mixed. */
export const SOURCES = ['bottle', 'formula', 'recipe'] as const
export interface Of {
  readonly kind: (typeof SOURCES)[number]
  readonly id: string
}

/** A source as one text: the same for the same one. */
export const sourceKey = ({ kind, id }: Of): string => `${kind} ${id}`

/** How a layer goes into its cup: down the side lays it, from high it punches through, in the middle it stays a core. */
export const WAYS_IN = ['side', 'high', 'middle'] as const
export type WayIn = (typeof WAYS_IN)[number]

/** A layer of a cup. Share of what the cup holds, or an amount for each copy; neither: it is left open. */
export interface Layer {
  readonly id: string
  readonly of: Of | null
  readonly share: number | null
  readonly ul: number | null
  readonly how: WayIn
}

/** A cup, or several alike, placed on a surface. */
export interface PlannedCup {
  readonly id: string
  readonly kind: CupKind
  /** The surface it is for; null: every surface without a cup of its own. */
  readonly on: string | null
  /** What it holds to the brim; null: not chosen yet. */
  readonly sizeUl: number | null
  /** Cups alike for each piece. */
  readonly copies: number
  /** What one of them pours; null: its part of what the surface takes. */
  readonly ul: number | null
  /** Where it stands, mm from the middle of the face, and how it is turned. */
  readonly at: Point
  readonly turnDeg: number
  /** The way a cup or a line takes; empty where it stands. */
  readonly path: readonly Point[]
  /** Bottom first. */
  readonly layers: readonly Layer[]
}

/** A coat beside the cups. */
export interface Coat {
  readonly id: string
  readonly role: CoatRole
  readonly of: Of | null
  /** The surface it is for; null: all of them. */
  readonly on: string | null
  /** Which half of a two-tone surface; null: the whole face. */
  readonly half: 0 | 1 | null
  readonly share: number
  readonly wetMm: number
  /** Amount as typed; null: by share and film. */
  readonly ul: number | null
  /** The way it is drawn, of a lead-in line or a swipe; empty where it lies all over. */
  readonly path: readonly Point[]
}

export interface PlannedSurface {
  readonly id: string
  readonly name: string
  readonly surface: Surface
  /** Share of the face that is poured on where no region is drawn. */
  readonly cover: number
  /** A region kept free, drawn on the face, mm from its middle. */
  readonly free: readonly Point[] | null
  readonly split: SplitLine | null
  /** The surface that what drips from this one lands on. */
  readonly feeds: string | null
  /** The kind of surface on the shelf it comes from. */
  readonly stockId: string | null
  /** Price of one piece, minor units. */
  readonly eachMinor: number
}

/** How what the pour wants is rounded up: to nothing, or to a mark of the cup. µl. */
export const ROUNDINGS = ['exact', 'half ounce', 'ounce', '10 ml', '50 ml'] as const
export type Rounding = (typeof ROUNDINGS)[number]

/** Everything a plan decides. All of it may be left open but one surface. */
export interface Design {
  readonly surfaces: readonly PlannedSurface[]
  readonly school: CoverageSchool
  readonly rounding: Rounding
  readonly cups: readonly PlannedCup[]
  readonly coats: readonly Coat[]
  readonly look: Look
  readonly finish: Finish
  readonly accents: boolean
  /** Price of the finish, and of gloves, sheets and cups where they are kept, minor units for all pieces. */
  readonly finishMinor: number
  readonly disposablesMinor: number
  /** Share of the run-off that is scraped into a jar, 0–1. */
  readonly savedShare: number
  /** Hours a step takes where the maker knows better, and steps that are done. */
  readonly hours: Readonly<Partial<Record<PlanStep, number>>>
  readonly done: readonly PlanStep[]
}

/** What a plan is for. */
export const PLAN_KINDS = ['sketch', 'test', 'final'] as const
export type PlanKind = (typeof PLAN_KINDS)[number]

/** What joins plans. */
export const WORK_KINDS = ['practice', 'series', 'commission', 'gift', 'show'] as const
export type WorkKind = (typeof WORK_KINDS)[number]
