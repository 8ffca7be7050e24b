import type { PouredFacts, PouredMaterial } from '@/core/learning/pouredFacts'

/** A material of a pour; a paint unless `more` says otherwise. */
export const poured = (id: string, share: number, more: Partial<PouredMaterial> = {}): PouredMaterial => ({
  id,
  name: id,
  kind: 'paint',
  mediumKind: null,
  hex: '#136a78',
  share,
  ...more,
})

/** A piece that was looked at: 20 × 15 cm of teal in conditioner, ring, nothing wrong with it. */
export const pieceFacts = (id: string, more: Partial<PouredFacts> = {}): PouredFacts => ({
  id,
  title: id,
  technique: 'ring',
  surface: { shape: 'rectangle', lengthMm: 200, widthMm: 150, edgeMm: 10, count: 1 },
  pouredAt: Date.UTC(2026, 4, 1),
  fate: 'keep',
  isLookedAt: true,
  rating: 3,
  faults: [],
  nextTime: '',
  pouredUl: 50_000,
  cupShare: 1,
  leftUl: 37_000,
  isWeighed: true,
  wetMm: 1,
  materials: [poured('teal', 0.33), poured('flow', 0.6, { kind: 'medium', mediumKind: 'conditioner', hex: null })],
  lots: [],
  waterOfPaint: 0.2,
  antiCraze: 0,
  weakBinder: 0,
  levelTimeS: 3.5,
  restHours: 20,
  minutesSinceStirred: null,
  heatS: 10,
  celsius: 20,
  humidity: 0.5,
  film: 'as wanted',
  bothers: [],
  cellsPerDm2: null,
  laceMPerDm2: null,
  ...more,
})
