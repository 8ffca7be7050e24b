import { Invalid } from '../errors'
import { lyingUl } from '../plan/coats'
import { cupsAlike, cupsOn } from '../plan/cupsAlike'
import type { PlanAmounts } from '../plan/amounts'
import { sourceKey, type Design, type Of } from '../plan/design'
import type { CoatRole } from '../plan/uses'
import { splitFace } from '../surface/cover'
import type { LaidCoat, RehearsedColour, StartTask } from './start'

/** Coats that lie on the board when the cups come. What is swiped, dressed or laid on later is done by hand, after. */
const LIES_BEFORE: ReadonlySet<CoatRole> = new Set(['cushion', 'base coat', 'slip coat', 'pearl base', 'lead-in'])

export interface PlanRehearsal {
  readonly task: StartTask
  /** What each colour of the task is, in its order. */
  readonly of: readonly Of[]
  /** Coats of the plan that come later and are not rehearsed. */
  readonly later: readonly CoatRole[]
}

/**
 * A plan as a start: one piece of a surface with the coats that lie on it and its cups.
 * @param colourOf what a source looks like and how it flows
 * @throws Invalid for a surface that is not in the plan
 */
export function rehearsalOf(
  design: Design,
  amounts: PlanAmounts,
  surfaceId: string,
  colourOf: (of: Of) => RehearsedColour,
): PlanRehearsal {
  const planned = design.surfaces.find((s) => s.id === surfaceId)
  if (!planned) throw new Invalid('This surface is not in the plan any more. Choose another one to rehearse.')
  const cups = cupsOn(design, surfaceId)
  const coats = design.coats.filter((c) => c.of && (c.on === null || c.on === surfaceId))
  const lying = coats.filter((c) => LIES_BEFORE.has(c.role))
  const of = new Map<string, Of>()
  for (const o of [...lying.map((c) => c.of), ...cups.flatMap((c) => c.layers.map((l) => l.of))])
    if (o) of.set(sourceKey(o), o)
  const index = new Map([...of.keys()].map((key, i) => [key, i]))
  const halves = planned.split ? splitFace(planned.surface, planned.split) : null
  return {
    task: {
      shape: planned.surface,
      edgeMm: planned.surface.edgeMm,
      colours: [...of.values()].map(colourOf),
      coats: lying.map((c): LaidCoat => ({
        colour: index.get(sourceKey(c.of!))!,
        ul: c.ul === null ? lyingUl(c, planned) : c.ul / pieces(design, c.on),
        region: c.half !== null && halves ? halves[c.half] : null,
        path: c.role === 'lead-in' ? c.path : [],
      })),
      cups: cups.flatMap((c) => cupsAlike(c, amounts, index)),
    },
    of: [...of.values()],
    later: coats.filter((c) => !LIES_BEFORE.has(c.role)).map((c) => c.role),
  }
}

const pieces = (design: Design, on: string | null) =>
  Math.max(
    1,
    design.surfaces.filter((s) => on === null || s.id === on).reduce((sum, s) => sum + s.surface.count, 0),
  )
