import type { Fared } from '@/core/run/bothers'
import type { UnitSystem } from '@/core/quantity/parse'
import type { Squeezed } from '@/core/run/loading'
import type { TableFlow } from '@/core/run/tableFlow'
import type { Run } from '@/db/runs/read'

/** A bottle as the day needs it. Times in ms since 1970, volumes in µl. */
export interface TableBottle {
  readonly id: string
  readonly code: string
  readonly label: string
  readonly hex: string
  readonly sheen: string
  readonly role: string
  readonly ul: number
  readonly densityGPerMl: number
  /** How it flows as the books have it, and the water its limit leaves room for. */
  readonly flow: TableFlow
  /** What it needs first, the most pressing first. */
  readonly todo: readonly { readonly short: string; readonly todo: string }[]
  readonly isReference: boolean
  readonly hasAdditive: boolean
}

/** Everything the screen of the day works with beside the run itself. */
export interface RunDesk {
  readonly run: Run
  readonly bottles: readonly TableBottle[]
  readonly jars: readonly { readonly id: string; readonly label: string }[]
  readonly waters: readonly { readonly id: string; readonly name: string }[]
  readonly places: readonly string[]
  readonly fared: readonly Fared[]
  readonly squeezed: readonly Squeezed[]
  readonly celsius: number
  readonly humidity: number
  readonly units: UnitSystem
  readonly now: number
}
