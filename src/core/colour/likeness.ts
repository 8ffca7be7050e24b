import { deltaE00 } from './deltaE00'
import { hexToLab } from './lab'
import type { Body } from '../paint/properties'

export interface Comparable {
  readonly id: string
  readonly swatchHex: string
  readonly pigments: readonly string[]
  readonly body: Body
  /** Minor units per ml; null where no price is known. */
  readonly perMl: number | null
}

export interface Likeness {
  readonly id: string
  readonly deltaE: number
  /** Every pigment the same, some of them, or none. */
  readonly pigments: 'same' | 'shared' | 'other'
  readonly sameBody: boolean
  /** Price per ml less that of the paint compared, in minor units; null where one is unknown. */
  readonly dearerBy: number | null
}

/** ΔE00 below which two swatches can stand for each other at a glance. */
const NEAR = 10

/**
 * What could replace a paint: the same pigments first, then near swatches, nearest first. A paint that shares no
 * pigment counts only when its swatch is near (ΔE00 below 10).
 */
export function alike(paint: Comparable, others: readonly Comparable[]): Likeness[] {
  const lab = hexToLab(paint.swatchHex)
  const own = new Set(paint.pigments)
  const order = { same: 0, shared: 1, other: 2 }
  return others
    .filter((o) => o.id !== paint.id)
    .map((o): Likeness => {
      const shared = o.pigments.filter((p) => own.has(p)).length
      const same = shared > 0 && shared === own.size && shared === new Set(o.pigments).size
      return {
        id: o.id,
        deltaE: deltaE00(lab, hexToLab(o.swatchHex)),
        pigments: same ? 'same' : shared > 0 ? 'shared' : 'other',
        sameBody: o.body === paint.body,
        dearerBy: paint.perMl === null || o.perMl === null ? null : o.perMl - paint.perMl,
      }
    })
    .filter((l) => l.pigments === 'same' || l.deltaE < NEAR)
    .sort((a, b) => order[a.pigments] - order[b.pigments] || a.deltaE - b.deltaE)
}
