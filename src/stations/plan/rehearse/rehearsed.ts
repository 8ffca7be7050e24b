import type { PlanAmounts } from '@/core/plan/amounts'
import { sourceKey, type Design, type Of } from '@/core/plan/design'
import type { Sheen } from '@/core/paint/properties'
import type { Technique } from '@/core/technique/technique'
import { rehearsalOf, type PlanRehearsal } from '@/core/tilt/ofPlan'
import { AS_READ, type Correction } from '@/core/tilt/start'
import { sinceRead } from '@/core/vessel/thickening'
import { colourOf, type DeskColour } from '../desk/workOut'

/** A colour on the board as it is named. */
export interface RehearsedSource {
  readonly key: string
  readonly of: Of
  readonly label: string
  readonly hex: string
  readonly sheen: Sheen
  /** mm²/s, and whether a reading of the bottle says so. */
  readonly nu: number
  readonly isRead: boolean
}

/**
 * A surface of a plan as it is rehearsed: colours as the bottles are, each as thin as it will be when it is poured; what
 * was never read flows as its technique wants it.
 */
export function rehearsed(
  design: Design,
  amounts: PlanAmounts,
  surfaceId: string,
  technique: Technique | undefined,
  colours: ReadonlyMap<string, DeskColour>,
  secondsPerNu: number,
  pourAt: number,
  correction: Correction = AS_READ,
): PlanRehearsal & { readonly sources: readonly RehearsedSource[] } {
  const usualS = technique ? Math.sqrt(technique.levelTimeS[0] * technique.levelTimeS[1]) : 1.6
  const sourceOf = (of: Of): RehearsedSource => {
    const c = colourOf(colours, of)!
    const readS = c.bottle ? sinceRead(c.bottle, c.bottle.readAt, pourAt).expectedS : null
    return {
      key: sourceKey(of),
      of,
      label: c.label,
      hex: c.hex,
      sheen: c.sheen,
      nu: (readS ?? usualS) / secondsPerNu,
      isRead: readS !== null,
    }
  }
  const plan = rehearsalOf(design, amounts, surfaceId, sourceOf)
  return { ...plan, task: { ...plan.task, correction }, sources: plan.of.map(sourceOf) }
}
