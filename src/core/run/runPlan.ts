import type { Surface } from '../surface/shapes'
import type { PutOutLine } from '../plan/putOut'
import type { WayIn } from '../plan/design'
import type { CoatRole } from '../plan/uses'
import type { CupKind, Wait, Want } from '../technique/technique'
import type { Corner } from './corners'

/** One object that is poured on; a set is several. */
export interface RunPiece {
  readonly id: string
  readonly title: string
  /** Of one object: its count is 1. */
  readonly surface: Surface
  /** The kind of surface on the shelf it comes from, and its price, minor units. */
  readonly stockId: string | null
  readonly eachMinor: number
}

/** A bottle as it is called and looks; what it holds and how it flows is read when it is needed. */
export interface RunBottle {
  readonly id: string
  readonly label: string
  readonly hex: string
  readonly sheen: string
}

export interface RunLayer {
  readonly id: string
  readonly bottle: string
  /** What one cup takes of it, µl. */
  readonly ul: number
  readonly how: WayIn
}

/** One cup as it stands on the table; cups alike share their list of layers. */
export interface RunCup {
  readonly id: string
  readonly title: string
  readonly piece: string
  readonly kind: CupKind
  readonly sizeUl: number | null
  readonly turnDeg: number
  /** Bottom first. */
  readonly layers: readonly RunLayer[]
}

/** A coat on one piece. */
export interface RunCoat {
  readonly id: string
  readonly role: CoatRole
  readonly piece: string
  readonly bottle: string
  readonly ul: number
}

/** A run as it was begun; it is never changed, only followed by events. */
export interface RunPlan {
  readonly title: string
  readonly planId: string | null
  readonly technique: string
  readonly techniqueName: string
  /** Wanted level time, s. */
  readonly bandS: readonly [number, number]
  readonly heat: Want
  readonly waits: readonly Wait[]
  readonly cautions: readonly string[]
  readonly putOut: readonly PutOutLine[]
  /** Share of what is poured that runs off, as the studio has weighed it or by the technique's start value; 0–1. */
  readonly runOffShare: number
  /** Pieces the share was weighed on; 0: a start value of Fika. */
  readonly runOffOf: number
  readonly pieces: readonly RunPiece[]
  readonly cups: readonly RunCup[]
  readonly coats: readonly RunCoat[]
  readonly bottles: readonly RunBottle[]
  /** Corners as they were tilted to in the rehearsal that was kept; empty where there is none. */
  readonly rehearsed: readonly Corner[]
}
