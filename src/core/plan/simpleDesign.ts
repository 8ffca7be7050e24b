import type { CoverageSchool } from '../surface/coverage'
import type { Surface } from '../surface/shapes'
import type { CupKind } from '../technique/technique'
import type { Design, Of, PlannedSurface } from './design'
import { COAT_START, type CoatRole } from './uses'

/** The least a design is made of: a surface, one cup by shares, and coats by amount. */
export interface Simple {
  readonly surface: Surface
  readonly name?: string
  readonly stockId?: string | null
  readonly eachMinor?: number
  readonly school?: CoverageSchool
  readonly kind?: CupKind
  /** Bottom first. */
  readonly cup: readonly { readonly of: Of; readonly share: number }[]
  readonly coats?: readonly { readonly role: CoatRole; readonly of: Of; readonly ul: number | null }[]
}

/** A design of one surface and one cup; everything else as nobody has said otherwise. */
export function simpleDesign(p: Simple, newId: () => string): Design {
  const surface: PlannedSurface = {
    id: newId(),
    name: p.name ?? '',
    surface: p.surface,
    cover: 1,
    free: null,
    split: null,
    feeds: null,
    stockId: p.stockId ?? null,
    eachMinor: p.eachMinor ?? 0,
  }
  return {
    surfaces: [surface],
    school: p.school ?? { kind: 'rule-of-28' },
    rounding: 'exact',
    cups: p.cup.length
      ? [
          {
            id: newId(),
            kind: p.kind ?? 'poured out',
            on: null,
            sizeUl: null,
            copies: 1,
            ul: null,
            at: [0, 0],
            turnDeg: 0,
            path: [],
            layers: p.cup.map(({ of, share }) => ({ id: newId(), of, share, ul: null, how: 'side' as const })),
          },
        ]
      : [],
    coats: (p.coats ?? []).map(({ role, of, ul }) => ({
      id: newId(),
      role,
      of,
      on: null,
      half: null,
      ...COAT_START[role],
      ul,
      path: [],
    })),
    look: 'as usual',
    finish: 'none',
    accents: false,
    finishMinor: 0,
    disposablesMinor: 0,
    savedShare: 0,
    hours: {},
    done: [],
  }
}

/** A bottle as the source of a layer or coat. */
export const ofBottle = (id: string): Of => ({ kind: 'bottle', id })
