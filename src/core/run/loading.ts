import type { RunCup, RunLayer, RunPlan } from './runPlan'
import type { Given, RunState } from './runState'

/** A layer as it stands: what is planned of it and what went in. */
export interface LoadedLayer {
  readonly layer: RunLayer
  readonly inUl: number
  /** Still to pour; below zero: too much. */
  readonly leftUl: number
}

/** A cup as it is: its planned layers, and everything that really went in, bottom first. */
export interface LoadedCup {
  readonly cup: RunCup
  readonly layers: readonly LoadedLayer[]
  readonly given: readonly Given[]
  readonly inUl: number
  readonly isFull: boolean
}

/** A layer is in when no more than this is missing: as near as the guided mix asks. */
const NEAR = 0.05
const NEAR_UL = 300

/** How every cup of a run is loaded; an unplanned one has no layers but what went into it. */
export function loadedCups(plan: RunPlan, { given }: Pick<RunState, 'given'>): LoadedCup[] {
  const planned = new Set(plan.cups.map((c) => c.id))
  const extra = [...new Map(given.flatMap((g) => (g.cup && !planned.has(g.cup) ? [[g.cup, g] as const] : []))).values()]
  const cups: RunCup[] = [
    ...plan.cups,
    ...extra.map((g, i) => ({
      id: g.cup!,
      title: `Another cup${i ? ` ${i + 1}` : ''}`,
      piece: g.piece,
      kind: 'poured out' as const,
      sizeUl: null,
      turnDeg: 0,
      layers: [],
    })),
  ]
  return cups.map((cup) => {
    const own = given.filter((g) => g.cup === cup.id)
    const inUl = own.reduce((sum, g) => sum + g.ul, 0)
    const layers = cup.layers.map((layer) => {
      const ul = own.reduce((sum, g) => sum + (g.layer === layer.id ? g.ul : 0), 0)
      return { layer, inUl: ul, leftUl: layer.ul - ul }
    })
    return { cup, layers, given: own, inUl, isFull: layers.every(isIn) }
  })
}

/** Whether so much of a layer is in that nobody would pour more. */
export const isIn = ({ layer, leftUl }: LoadedLayer) => leftUl <= Math.max(NEAR_UL, NEAR * layer.ul)

/**
 * The layer that is poured next: layer by layer through cups that are alike, so that one bottle is in the hand for all of
 * them; else cup by cup. Undefined once all are in.
 */
export function nextLayer(cups: readonly LoadedCup[]): { cup: LoadedCup; at: LoadedLayer } | undefined {
  const open = cups.find((c) => !c.isFull)
  if (!open) return undefined
  const index = open.layers.findIndex((l) => !isIn(l))
  const alike = cups.filter((c) => c.cup.layers.length > 0 && listOf(c.cup) === listOf(open.cup))
  const next = alike.reduce(
    (best, c) => {
      const at = c.layers.findIndex((l) => !isIn(l))
      return at >= 0 && at < best.at ? { cup: c, at } : best
    },
    { cup: open, at: index },
  )
  return { cup: next.cup, at: next.cup.layers[next.at]! }
}

/** The list of a cup as one text: the same for cups alike. */
const listOf = (c: RunCup) => c.layers.map((l) => `${l.bottle} ${l.ul} ${l.how}`).join()

/** What a squeeze gives where nobody has weighed one of that bottle yet, µl. Start value of Fika. */
const SQUEEZE_UL = 4_000

/** Squeezes of one bottle that were weighed here: how many, and what they gave together, µl. */
export interface Squeezed {
  readonly bottle: string
  readonly squeezes: number
  readonly ul: number
}

/** What a squeeze of a bottle gives, µl, and how many it was learned from; 0: a start value of Fika. */
export function squeezeOf(bottle: string, squeezed: readonly Squeezed[]): { ul: number; learnedFrom: number } {
  const own = squeezed.find((s) => s.bottle === bottle && s.squeezes > 0)
  return own ? { ul: Math.round(own.ul / own.squeezes), learnedFrom: own.squeezes } : { ul: SQUEEZE_UL, learnedFrom: 0 }
}

/** A loaded amount beyond the plan by more than makers shrug at. */
export const isOver = ({ layer, leftUl }: LoadedLayer) => -leftUl > Math.max(NEAR_UL, NEAR * layer.ul)
