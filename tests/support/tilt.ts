import type { StartTask } from '@/core/tilt/start'
import type { CupOnSurface } from '@/core/layering/lands'

/** A cup of layers as [colour, ml], bottom first, poured out in the middle unless `more` says otherwise. */
export const cupOf = (
  layers: readonly (readonly [colour: number, ml: number])[],
  more: Partial<CupOnSurface> = {},
): CupOnSurface => ({
  kind: 'open ring',
  at: [0, 0],
  turnDeg: 0,
  path: [],
  downOneSide: false,
  layers: layers.map(([colour, ml]) => ({ colour, ul: ml * 1000 })),
  ...more,
})

/** A panel of 20 × 20 cm with white under teal and gold, unless `more` says otherwise. */
export const startTask = (more: Partial<StartTask> = {}): StartTask => ({
  shape: { shape: 'rectangle', lengthMm: 200, widthMm: 200 },
  edgeMm: 20,
  colours: [
    { hex: '#f5f3ec', sheen: 'satin', nu: 300 },
    { hex: '#136a78', sheen: 'satin', nu: 200 },
    { hex: '#e9b310', sheen: 'metallic', nu: 250 },
  ],
  coats: [{ colour: 0, ul: 12_000, region: null, path: [] }],
  cups: [
    cupOf([
      [1, 12],
      [2, 6],
      [1, 12],
    ]),
  ],
  ...more,
})

/** A hand and what was read, of one bottle, as a rehearsal is sent. */
export const sentRehearsal = (bottle: string) => ({
  path: [
    { t: 0, x: 0, y: 0 },
    { t: 4, x: 12, y: -3.5 },
  ],
  told: {
    seconds: 4,
    meanMm: 0.62,
    leftUl: 24_800,
    offUl: 11_200,
    covered: 1,
    edgeWet: 0.4,
    colours: [
      { of: { kind: 'bottle' as const, id: bottle }, hex: '#136a78', label: 'Loch', nu: 210, kept: 0.69, seen: 1 },
    ],
    keepers: [0.9],
  },
})
