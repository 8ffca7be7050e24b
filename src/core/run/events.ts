import type { ReadingWay } from '../consistency/levelTime'
import type { Point } from '../surface/polygon'
import type { CoatRole } from '../plan/uses'
import type { WayIn } from '../plan/design'
import type { Bother, RemedyKey } from './bothers'
import type { Corner, Edge } from './corners'

/** Steps of the day, in order. */
export const RUN_STEPS = [
  'ready',
  'bottles',
  'surface',
  'load',
  'pour',
  'look',
  'tilt',
  'bother',
  'edges',
  'stayed',
  'stop',
] as const
export type RunStep = (typeof RUN_STEPS)[number]

/** How an amount was found. */
export const AMOUNT_WAYS = ['scale', 'typed', 'eye'] as const
export type AmountWay = (typeof AMOUNT_WAYS)[number]

/** What a hand does to a cup or on the surface. */
export const DEEDS = ['place', 'lift', 'flip', 'drag', 'swipe', 'blow', 'speck', 'cut line', 'accent'] as const
export type Deed = (typeof DEEDS)[number]

/** Spots of the inspection tour: corners, sides, the middle (trade.md). The best one is said apart. */
export const TOUR_SPOTS = [
  'top left',
  'top',
  'top right',
  'left',
  'middle',
  'right',
  'bottom left',
  'bottom',
  'bottom right',
] as const
export type TourSpot = (typeof TOUR_SPOTS)[number]

/** The state of a bottle when paint left it: the wall reads faults against it. Frozen by the books, not by the page. */
export interface FrozenBottle {
  readonly hoursRested: number
  readonly ageHours: number
  /** Level time as computed for now, and as it was read last; s; null where nobody timed it. */
  readonly expectedS: number | null
  readonly readS: number | null
  /** Since it was last shaken or stirred; null where nobody noted it. */
  readonly minutesSinceStirred: number | null
  /** Added water ÷ paint by volume; volume solids; g/ml of what it holds. */
  readonly waterOfPaint: number
  readonly solids: number
  readonly densityGPerMl: number
  readonly hasAdditive: boolean
  /** What it held, lot by lot, µl. */
  readonly lots: readonly { readonly lotId: string; readonly ul: number }[]
}

/** Paint that goes onto a piece: what is common to layers, coats, remedies and edges. */
interface Gives {
  readonly piece: string
  readonly bottle: string
  readonly ul: number
  readonly how: AmountWay
  /** What the scale shows gross once it is in; from here on is new. */
  readonly grams?: number | undefined
  /** How many squeezes it was, where somebody said: so it is learned what one of that bottle gives. */
  readonly squeezes?: number | undefined
  readonly frozen?: FrozenBottle | undefined
}

/** What happened, one after another. Nothing is taken out: `undo` names the number of the event it takes back. */
export type RunEvent =
  | { readonly kind: 'next'; readonly from: RunStep }
  | { readonly kind: 'go'; readonly to: RunStep }
  | { readonly kind: 'tick'; readonly what: string; readonly on: boolean }
  | { readonly kind: 'climate'; readonly celsius: number; readonly humidity: number }
  | {
      readonly kind: 'check'
      readonly bottle: string
      readonly reading?:
        | {
            readonly levelTimeS: number
            readonly sigma: number
            readonly tries: readonly number[]
            readonly how: ReadingWay
          }
        | undefined
    }
  /** Water added at the table; `waterId` is what it is. */
  | { readonly kind: 'thin'; readonly bottle: string; readonly waterId: string; readonly ul: number }
  | { readonly kind: 'weigh'; readonly piece: string; readonly when: 'before' | 'after'; readonly grams: number }
  | { readonly kind: 'tare'; readonly grams: number }
  | ({ readonly kind: 'coat'; readonly coat: string | null; readonly role: CoatRole; readonly share: number } & Gives)
  | ({ readonly kind: 'load'; readonly cup: string; readonly layer: string | null; readonly way: WayIn } & Gives)
  | { readonly kind: 'deed'; readonly deed: Deed; readonly piece: string; readonly cup: string | null }
  | { readonly kind: 'turn'; readonly cup: string; readonly deg: number }
  | { readonly kind: 'heat'; readonly piece: string; readonly seconds: number }
  | { readonly kind: 'wait'; readonly what: string; readonly seconds: number }
  | { readonly kind: 'photo'; readonly piece: string; readonly photo: string; readonly corners: readonly Point[] }
  | {
      readonly kind: 'keep'
      readonly piece: string
      readonly at: Point
      readonly radiusMm: number
      readonly isKept: boolean
      readonly why: string
    }
  | { readonly kind: 'tilt'; readonly piece: string; readonly to: Corner | Edge }
  | { readonly kind: 'bother'; readonly piece: string; readonly what: Bother }
  | ({ readonly kind: 'remedy'; readonly bother: number; readonly which: RemedyKey } & Omit<Gives, 'bottle'> & {
        readonly bottle: string | null
      })
  | { readonly kind: 'worked'; readonly remedy: number; readonly yes: boolean }
  | ({ readonly kind: 'edge'; readonly side: Edge } & Omit<Gives, 'bottle'> & { readonly bottle: string | null })
  | { readonly kind: 'back'; readonly piece: string; readonly bottle: string; readonly ul: number }
  | { readonly kind: 'left'; readonly piece: string; readonly film: 'thin' | 'as wanted' | 'too much' }
  /** Run-off of one piece, or of all of them together. */
  | {
      readonly kind: 'run-off'
      readonly piece: string | null
      readonly to: 'jar' | 'waste'
      readonly jar: string | null
      readonly newJar: string | null
      readonly ul: number
      readonly weighed: boolean
    }
  | {
      readonly kind: 'tour'
      readonly piece: string
      readonly weak: readonly TourSpot[]
      readonly best: TourSpot | null
    }
  | { readonly kind: 'dries'; readonly piece: string; readonly place: string }
  | { readonly kind: 'note'; readonly text: string }
  | { readonly kind: 'undo'; readonly of: number }

export type RunEventKind = RunEvent['kind']

/** An event with its number and when it came, ms since 1970. */
export interface Happened<E extends RunEvent = RunEvent> {
  readonly n: number
  readonly at: number
  readonly event: E
}
