import type { Design, Layer } from '@/core/plan/design'
import type { CupKind } from '@/core/technique/technique'
import type { Point } from '@/core/surface/polygon'
import { heldPath, type Lean } from '@/core/tilt/hand'

/** How a piece of the demo was poured and tilted; its pictures are made from it. */
interface Hand {
  readonly kind?: CupKind
  /** Layers go in so many times over. */
  readonly repeat: number
  /** Where the cups stood, mm from the middle; one in the middle where nothing is said. */
  readonly cups?: readonly Point[]
  /** The way of a line or a traveling cup, mm. */
  readonly path?: readonly Point[]
  readonly downOneSide?: boolean
  /** Leans in degrees, to the right and towards the maker, with the seconds each was held. */
  readonly holds: readonly (readonly [x: number, y: number, seconds: number])[]
}

// prettier-ignore
export const HANDS: Readonly<Record<string, Hand>> = {
  'Night Ferries 1': { kind: 'open ring', repeat: 4, cups: [[-12, 8]], holds: [[0, 0, 3], [-9, -6, 4], [10, -5, 4], [6, 10, 5], [-8, 8, 4]] },
  'Night Ferries 2': { kind: 'open ring', repeat: 6, cups: [[8, -6]], holds: [[0, 0, 4], [8, -8, 5], [-9, -7, 5], [-7, 9, 5], [8, 9, 4]] },
  'Night Ferries 3': { kind: 'poured line', repeat: 2, path: [[-70, -50], [60, 55]], holds: [[0, 0, 2], [12, -10, 6], [-12, 10, 7], [10, 10, 3]] },
  'Night Ferries 4': { kind: 'poured line', repeat: 3, path: [[-60, 40], [0, -50], [65, 30]], holds: [[0, 0, 2], [0, 12, 5], [-11, -9, 5], [12, -6, 4]] },
  'Night Ferries 5': { kind: 'open ring', repeat: 5, cups: [[-34, -30], [36, 34]], holds: [[0, 0, 3], [7, -9, 4], [-8, 8, 5], [9, 8, 4]] },
  'Night Ferries 6': { kind: 'flipped', repeat: 2, downOneSide: true, holds: [[0, 0, 2], [13, 0, 5], [0, 13, 5], [-14, -2, 6], [0, -13, 4]] },
  'Harbour sketch': { kind: 'puddles', repeat: 2, cups: [[-60, -20], [50, 40]], holds: [[0, 0, 3], [13, 4, 6], [9, -11, 5], [-10, 9, 4]] },
  'Swipe test A': { kind: 'poured line', repeat: 2, path: [[-50, -45], [50, -30]], holds: [[0, 0, 1], [0, 16, 5], [0, -6, 2]] },
  'Swipe test B': { kind: 'poured line', repeat: 2, path: [[-50, -40], [48, -42]], holds: [[0, 0, 1], [2, 15, 6], [-4, -7, 3]] },
  'Lantern study': { kind: 'open ring', repeat: 3, cups: [[-30, -22], [34, -18], [0, 36]], holds: [[0, 0, 3], [8, 0, 4], [-4, 8, 4], [-5, -8, 4]] },
  'Sluice wall': { kind: 'open ring', repeat: 4, cups: [[-70, -90], [60, -10], [-40, 110]], holds: [[0, 0, 3], [-10, -9, 5], [9, -10, 5], [9, 10, 6], [-9, 9, 4]] },
  'Copper moon': { kind: 'open ring', repeat: 5, cups: [[-14, -10]], holds: [[0, 0, 4], [9, 2, 5], [-5, 9, 5], [-6, -8, 4]] },
  'Bakery sketch, rings': { kind: 'open ring', repeat: 5, cups: [[0, -30], [10, 60]], holds: [[0, 0, 3], [6, -9, 4], [-7, 8, 5], [6, 8, 3]] },
  'Bakery sketch, petals': { kind: 'open ring', repeat: 2, cups: [[-38, -60], [36, -44], [44, 40], [-30, 56], [0, 0]], holds: [[0, 0, 3], [8, -8, 4], [-9, 7, 4], [7, 9, 4]] },
}

/** A plan with its cups as they were set, and each filled as it was. @param newId makes ids */
export function setAsPoured(design: Design, title: string, newId: () => string): Design {
  const hand = HANDS[title]
  if (!hand) return design
  const [cup] = design.cups
  const times = (): Layer[] =>
    Array.from({ length: hand.repeat }, () => cup!.layers.map((l) => ({ ...l, id: newId(), how: way(hand) }))).flat()
  return {
    ...design,
    cups: (hand.cups ?? [[0, 0]]).map((at, i) => ({
      ...cup!,
      id: newId(),
      kind: hand.kind ?? cup!.kind,
      at,
      turnDeg: 35 * i,
      path: hand.path ?? [],
      layers: times(),
    })),
  }
}

const way = ({ downOneSide }: Hand) => (downOneSide ? ('side' as const) : ('middle' as const))

/** The hand of a piece, or of a plan that was rehearsed, as a path. */
export const handOf = (title: string): Lean[] =>
  heldPath((HANDS[title]?.holds ?? REHEARSED[title] ?? []).map(([x, y, seconds]) => ({ x, y, seconds })))

/** Plans still to be poured that were rehearsed, with the hand. */
export const REHEARSED: Readonly<Record<string, Hand['holds']>> = {
  'Bakery commission': [
    [0, 0, 3],
    [-9, -6, 5],
    [10, -6, 6],
    [8, 9, 6],
    [-10, 8, 6],
  ],
}
