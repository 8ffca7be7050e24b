import type { Point } from '@/core/surface/polygon'

/** Where an arrow key leads, right and down, by a step; undefined for any other key. */
export function arrowMove(key: string, by: number): Point | undefined {
  const moves: Readonly<Record<string, Point>> = {
    ArrowLeft: [-by, 0],
    ArrowRight: [by, 0],
    ArrowUp: [0, -by],
    ArrowDown: [0, by],
  }
  return moves[key]
}
