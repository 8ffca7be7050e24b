import { random } from '../random'
import { components } from './components'

/** Areas by flooding from each pixel: slow, and plain to see. */
function flooded(labels: readonly number[], width: number, height: number, isEightWay: boolean): number[] {
  const of = labels.map(() => -1)
  let n = 0
  for (let start = 0; start < labels.length; start++) {
    if (of[start]! >= 0 || labels[start]! < 0) continue
    const stack = [start]
    of[start] = n
    while (stack.length) {
      const i = stack.pop()!
      const [x, y] = [i % width, Math.floor(i / width)]
      for (let dy = -1; dy <= 1; dy++)
        for (let dx = -1; dx <= 1; dx++) {
          if (!isEightWay && dx !== 0 && dy !== 0) continue
          const [u, v] = [x + dx, y + dy]
          const j = v * width + u
          if (u < 0 || v < 0 || u >= width || v >= height || of[j]! >= 0 || labels[j] !== labels[i]) continue
          of[j] = n
          stack.push(j)
        }
    }
    n += 1
  }
  return of
}

describe('connected areas', () => {
  it('are those of a plain flood, in pictures of every grain, by four neighbours and by eight', () => {
    const next = random(7)
    for (let round = 0; round < 200; round++) {
      const [width, height] = [1 + Math.floor(14 * next()), 1 + Math.floor(14 * next())]
      const kinds = 1 + Math.floor(3 * next())
      const labels = Array.from({ length: width * height }, () => Math.floor((kinds + 1) * next()) - 1)
      for (const isEightWay of [false, true]) {
        const { of, list } = components(labels, width, height, { isEightWay })
        expect([...of]).toEqual(flooded(labels, width, height, isEightWay))
        list.forEach((c, k) => {
          const mine = [...of.keys()].filter((i) => of[i] === k)
          const [xs, ys] = [mine.map((i) => i % width), mine.map((i) => Math.floor(i / width))]
          expect(c).toEqual({
            label: labels[mine[0]!],
            area: mine.length,
            x0: Math.min(...xs),
            x1: Math.max(...xs),
            y0: Math.min(...ys),
            y1: Math.max(...ys),
          })
        })
      }
    }
  })
})
