import type { PlanBottle } from '@/core/plan/bottle'

const DAY = 86_400_000
/** The day plans of tests are poured, ms since 1970. */
export const POUR_DAY = Date.UTC(2026, 11, 5, 9)

/** A bottle as a plan knows it: 100 ml, level in 1.4 s the day before, rested, good for months. */
export const planBottle = (id: string, more: Partial<PlanBottle> = {}): PlanBottle => ({
  id,
  label: id,
  hex: '#136a78',
  sheen: 'satin',
  off: null,
  role: 'pour',
  technique: null,
  ul: 100_000,
  capacityUl: 250_000,
  mixedAt: POUR_DAY - 3 * DAY,
  restUntil: POUR_DAY - 2 * DAY,
  keepUntil: POUR_DAY + 100 * DAY,
  movedAt: null,
  readAt: POUR_DAY - DAY,
  levelTimeS: 1.4,
  w: 0.2,
  readW: 0.2,
  curveB: 12,
  thickens: 0,
  hasAdditive: false,
  isJar: false,
  isReference: false,
  roomUl: 20_000,
  densityGPerMl: 1.1,
  solids: 0.3,
  waterOfPaint: 0.2,
  costPerMl: 10,
  badLots: [],
  paints: [],
  ...more,
})
