import { random } from '../random'
import { opened, squaredDepth, squaredDistance } from './distance'

/** Nearest of all pixels that `isGoal`, by looking at each. */
function nearest(width: number, height: number, i: number, isGoal: (j: number) => boolean): number {
  const [x, y] = [i % width, Math.floor(i / width)]
  let best = 1e9
  for (let j = 0; j < width * height; j++)
    if (isGoal(j)) best = Math.min(best, (x - (j % width)) ** 2 + (y - Math.floor(j / width)) ** 2)
  return best
}

describe('distances', () => {
  it('are exact: to the nearest empty pixel, and to the nearest of another label (exhaustive search)', () => {
    const next = random(3)
    for (let round = 0; round < 60; round++) {
      const [width, height] = [1 + Math.floor(17 * next()), 1 + Math.floor(17 * next())]
      const sparse = next() ** 3
      const labels = Array.from({ length: width * height }, () => (next() < sparse ? Math.floor(3 * next()) : 1))
      const [empty, depth] = [squaredDistance(labels, width, height), squaredDepth(labels, width, height)]
      labels.forEach((l, i) => {
        expect(empty[i]).toBe(nearest(width, height, i, (j) => labels[j] === 0))
        expect(depth[i]).toBe(nearest(width, height, i, (j) => labels[j] !== l))
      })
    }
  })

  it('tell where a disc fits: a band of 5 holds one of radius 2.4, a band of 3 does not', () => {
    const [width, height] = [40, 30]
    const labels = Array.from({ length: width * height }, (_, i) => {
      const x = i % width
      return x < 5 ? 0 : x < 8 ? 1 : 2
    })
    const wide = opened(squaredDepth(labels, width, height), width, height, 2.4)
    const row = [...wide.slice(15 * width, 15 * width + 12)]
    expect(row).toEqual([1, 1, 1, 1, 1, 0, 0, 0, 1, 1, 1, 1])
  })
})
