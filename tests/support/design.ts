import { simpleDesign } from '@/core/plan/simpleDesign'
import type { Coat, Design, Layer, PlannedCup, PlannedSurface } from '@/core/plan/design'

/** A surface of a plan for a test: a canvas of 40 × 50 cm where nothing else is said. */
export const surface = (id: string, more: Partial<PlannedSurface> = {}): PlannedSurface => ({
  id,
  name: id,
  surface: { shape: 'rectangle', lengthMm: 400, widthMm: 500, edgeMm: 0, count: 1 },
  cover: 1,
  free: null,
  split: null,
  feeds: null,
  stockId: null,
  eachMinor: 0,
  ...more,
})

/** A layer of a bottle, one share where nothing else is said. */
export const layer = (bottle: string, more: Partial<Layer> = {}): Layer => ({
  id: `layer ${bottle}`,
  of: { kind: 'bottle', id: bottle },
  share: 1,
  ul: null,
  how: 'side',
  ...more,
})

export const cup = (id: string, layers: readonly Layer[], more: Partial<PlannedCup> = {}): PlannedCup => ({
  id,
  kind: 'poured out',
  on: null,
  sizeUl: null,
  copies: 1,
  ul: null,
  at: [0, 0],
  turnDeg: 0,
  path: [],
  layers,
  ...more,
})

export const coat = (role: Coat['role'], bottle: string, more: Partial<Coat> = {}): Coat => ({
  id: `coat ${role} ${bottle}`,
  role,
  of: { kind: 'bottle', id: bottle },
  on: null,
  half: null,
  share: 1,
  wetMm: 0.25,
  ul: null,
  path: [],
  ...more,
})

/** A design by the rule of 28, exact, on one canvas where nothing else is said. */
export const design = (more: Partial<Design> = {}): Design => ({
  ...simpleDesign({ surface: surface('canvas').surface, cup: [] }, () => ''),
  surfaces: [surface('canvas')],
  ...more,
})
