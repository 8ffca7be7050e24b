import { random } from '../../../tests/support/random'
import { BUFFER_COST, EXACT_LAYERS, findOrder, type OrderTask } from './cupOrder'

const costOf = (costs: OrderTask['costs'], order: readonly number[]) =>
  order.slice(1).reduce((sum, c, i) => sum + costs[order[i]!]![c]!, 0)

/** Every order of the layers, and between any two every buffer or none: nothing of the programme is used. */
function bruteForce(task: OrderTask): number {
  let best = Infinity
  const go = (left: readonly number[], order: readonly number[], cost: number, inserted: number) => {
    if (left.every((n) => n === 0)) {
      if (task.last === null || order.at(-1) === task.last) best = Math.min(best, cost)
      return
    }
    left.forEach((n, c) => {
      if (n === 0 || (order.length === 0 && task.first !== null && c !== task.first)) return
      const next = left.map((x, i) => (i === c ? x - 1 : x))
      if (order.length === 0) return go(next, [c], 0, 0)
      const top = order.at(-1)!
      go(next, [...order, c], cost + task.costs[top]![c]!, inserted)
      if (inserted < task.mostBuffers)
        for (const b of task.buffers)
          if (b !== top && b !== c)
            go(next, [...order, b, c], cost + task.costs[top]![b]! + BUFFER_COST + task.costs[b]![c]!, inserted + 1)
    })
  }
  go(task.layers, [], 0, 0)
  return best
}

function palette(next: () => number, colours: number): number[][] {
  return Array.from({ length: colours }, (_, a) =>
    Array.from({ length: colours }, (_, b) => (a === b ? 10 : next() < 0.3 ? 2 * next() : 0.4 * next() - 0.2)),
  )
}

describe('the order of layers', () => {
  it('costs what every order at its cheapest costs, with ends fixed, repeats and buffers, to eight layers', () => {
    const next = random(7)
    for (let i = 0; i < 60; i++) {
      const colours = 2 + Math.floor(next() * 4)
      const layers = Array.from({ length: colours }, () => Math.floor(next() * 3))
      layers[0] = Math.max(1, layers[0]!)
      while (layers.reduce((a, b) => a + b, 0) > (i < 12 ? 8 : 6))
        layers[layers.findLastIndex((n, k) => n > (k === 0 ? 1 : 0))]! -= 1
      const present = layers.flatMap((n, c) => (n > 0 ? [c] : []))
      const pick = () => (next() < 0.5 ? null : present[Math.floor(next() * present.length)]!)
      const task: OrderTask = {
        costs: palette(next, colours),
        layers,
        first: pick(),
        last: pick(),
        buffers: i % 2 ? [colours - 1] : [],
        mostBuffers: 2,
      }
      const brute = bruteForce(task)
      if (brute === Infinity) {
        expect(() => findOrder(task)).toThrow()
        continue
      }
      const found = findOrder(task)
      expect(found.exact).toBe(true)
      expect(found.cost).toBeCloseTo(brute, 9)
      // And it is the cost of the very order it gives.
      const inserted = found.inserted.filter(Boolean).length
      expect(costOf(task.costs, found.order) + inserted * BUFFER_COST).toBeCloseTo(found.cost, 9)
      const laid = layers.map((_, c) => found.order.filter((o, k) => o === c && !found.inserted[k]).length)
      expect(laid).toEqual(layers)
    }
  })
  it('eight different colours: as all 40,320 orders', () => {
    const next = random(8)
    const task = {
      costs: palette(next, 8),
      layers: Array<number>(8).fill(1),
      first: null,
      last: null,
      buffers: [],
      mostBuffers: 0,
    }
    expect(findOrder(task).cost).toBeCloseTo(bruteForce(task), 9)
  })
  it('keeps fixed ends, and lets one buffer do where one is allowed', () => {
    const costs = [
      [10, 2, 0],
      [2, 10, 0],
      [0, 0, 10],
    ]
    const task = { costs, layers: [2, 1, 0], first: 0, last: 0, buffers: [2], mostBuffers: 2 }
    expect(findOrder(task)).toMatchObject({ order: [0, 2, 1, 2, 0], inserted: [false, true, false, true, false] })
    expect(findOrder({ ...task, mostBuffers: 1 }).cost).toBeCloseTo(2 + BUFFER_COST, 9)
    expect(findOrder({ ...task, mostBuffers: 0 }).order).toEqual([0, 1, 0])
  })
  it('one layer alone is an order', () =>
    expect(findOrder({ costs: [[10]], layers: [1], first: 0, last: 0, buffers: [], mostBuffers: 0 })).toMatchObject({
      order: [0],
      cost: 0,
    }))
  it('beyond twelve layers it is exact while a table holds it', () => {
    const next = random(9)
    const costs = palette(next, 14)
    const found = findOrder({
      costs,
      layers: Array<number>(14).fill(1),
      first: null,
      last: null,
      buffers: [],
      mostBuffers: 0,
    })
    expect(found.exact).toBe(true)
    expect(costOf(costs, found.order)).toBeCloseTo(found.cost, 9)
    // No swap of two layers makes it cheaper.
    for (let a = 0; a < 14; a++)
      for (let b = a + 1; b < 14; b++) {
        const swapped = found.order.map((c, i) => (i === a ? found.order[b]! : i === b ? found.order[a]! : c))
        expect(costOf(costs, swapped)).toBeGreaterThanOrEqual(found.cost - 1e-9)
      }
  })
  it('with very many it says that it may not be the cheapest, keeps the ends, and is better than as they come', () => {
    const next = random(10)
    const costs = palette(next, 24)
    const layers = Array<number>(24).fill(1)
    const found = findOrder({ costs, layers, first: 3, last: 5, buffers: [7], mostBuffers: 1 })
    expect(found.exact).toBe(false)
    expect([found.order[0], found.order.at(-1)]).toEqual([3, 5])
    expect(found.order.filter((_, i) => !found.inserted[i]).sort((a, b) => a - b)).toEqual(layers.map((_, i) => i))
    expect(found.cost).toBeLessThan(
      costOf(
        costs,
        layers.map((_, i) => i),
      ),
    )
    expect(EXACT_LAYERS).toBe(12)
  })
  it.each([
    [{ layers: [0, 0] }, 'at least one layer'],
    [{ layers: [1, 0], first: 1 }, 'not in this cup'],
    [{ layers: [1, 1], first: 0, last: 0 }, 'first and last'],
  ])('refuses %j', (more, sentence) =>
    expect(() =>
      findOrder({
        costs: [
          [10, 1],
          [1, 10],
        ],
        first: null,
        last: null,
        buffers: [],
        mostBuffers: 0,
        ...more,
      }),
    ).toThrow(sentence),
  )
})
