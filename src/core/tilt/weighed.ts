import { planAmounts } from '../plan/amounts'
import { sourceKey, type Design } from '../plan/design'
import { areas } from '../surface/area'
import type { Surface } from '../surface/shapes'
import type { WeighedRehearsal } from './corrected'
import type { Lean } from './hand'
import type { Told } from './kept'
import { rehearsalOf } from './ofPlan'
import { volumesOf } from './start'

/** A pour that is to say something of its rehearsal was of as much paint, within this share of it. Start value of Fika. */
const AS_MUCH = 0.2

/** A weighed piece beside a rehearsal that was kept of its plan. Volumes in µl of the piece. */
export interface PouredAsRehearsed {
  readonly design: Design
  readonly surfaceId: string
  readonly path: readonly Lean[]
  readonly told: Told
  /** What was poured on. */
  readonly surface: Surface
  readonly pouredUl: number
  readonly leftUl: number
}

/**
 * The start of a rehearsal anew, from the plan and the viscosities that were kept with it, and what stayed as it was
 * weighed; undefined where another surface, other colours or another amount was poured than was rehearsed.
 */
export function weighedRehearsal(p: PouredAsRehearsed): WeighedRehearsal | undefined {
  const planned = p.design.surfaces.find((s) => s.id === p.surfaceId)
  const nus = new Map(p.told.colours.flatMap((c) => (c.nu === undefined ? [] : [[sourceKey(c.of), c.nu]])))
  if (!planned || !sameFace(planned.surface, p.surface) || !(p.pouredUl > 0)) return undefined
  const { task, of } = rehearsalOf(p.design, planAmounts(p.design), p.surfaceId, (o) => ({
    hex: '#000000',
    sheen: 'satin',
    nu: nus.get(sourceKey(o)) ?? 0,
  }))
  if (of.some((o) => !nus.has(sourceKey(o)))) return undefined
  const ul = volumesOf(task).reduce((a, b) => a + b, 0)
  if (Math.abs(p.pouredUl / ul - 1) > AS_MUCH) return undefined
  return { task, path: p.path, share: Math.min(1, p.leftUl / p.pouredUl) }
}

const sameFace = (a: Surface, b: Surface): boolean =>
  a.shape === b.shape && Math.abs(areas({ ...a, count: 1 }).faceMm2 / areas({ ...b, count: 1 }).faceMm2 - 1) < 1e-6
