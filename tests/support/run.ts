import type { Happened, RunEvent } from '@/core/run/events'
import type { RunPlan } from '@/core/run/runPlan'

/** A set of two squares, each with a cup of two layers of three bottles, as a plan of the day. */
export function runPlan(more: Partial<RunPlan> = {}): RunPlan {
  const cup = (n: number) => ({
    id: `cup ${n}`,
    title: `Cup ${n}`,
    piece: `piece ${n}`,
    kind: 'flipped' as const,
    sizeUl: 60_000,
    turnDeg: 0,
    layers: [
      { id: 'teal', bottle: 'teal', ul: 20_000, how: 'side' as const },
      { id: 'white', bottle: 'white', ul: 10_000, how: 'high' as const },
    ],
  })
  const piece = (n: number) => ({
    id: `piece ${n}`,
    title: `Ferry ${n}`,
    surface: { shape: 'rectangle' as const, lengthMm: 200, widthMm: 100 * n, edgeMm: 0, count: 1 },
    stockId: null,
    eachMinor: 400,
  })
  return {
    title: 'Ferry',
    planId: null,
    technique: 'flip',
    techniqueName: 'Flip cup',
    bandS: [1, 1.5],
    heat: 'possible',
    waits: [],
    cautions: [],
    putOut: [],
    runOffShare: 0.4,
    runOffOf: 0,
    pieces: [piece(1), piece(2)],
    cups: [cup(1), cup(2)],
    coats: [{ id: 'base 1', role: 'base coat', piece: 'piece 1', bottle: 'white', ul: 5_000 }],
    bottles: ['teal', 'white', 'gold'].map((id) => ({ id, label: id, hex: '#808080', sheen: 'satin' })),
    rehearsed: [],
    ...more,
  }
}

/** Events as they are kept: numbered from 1, a second apart. */
export const happened = (...events: readonly RunEvent[]): Happened[] =>
  events.map((event, i) => ({ n: i + 1, at: 1_000_000 + 1000 * i, event }))

/** A layer that went into a cup. */
export const load = (cup: 1 | 2, layer: string, ul: number, more: object = {}): RunEvent => ({
  kind: 'load',
  cup: `cup ${cup}`,
  layer,
  way: 'side',
  piece: `piece ${cup}`,
  bottle: layer,
  ul,
  how: 'typed',
  ...more,
})
