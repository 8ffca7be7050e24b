import { happened, load, runPlan } from '../../../tests/support/run'
import type { RunEvent } from './events'
import { isOver, loadedCups, nextLayer, squeezeOf } from './loading'
import { runState } from './runState'

const plan = runPlan()
const cups = (...events: RunEvent[]) => loadedCups(plan, runState(plan, happened(...events)))
const next = (...events: RunEvent[]) => {
  const n = nextLayer(cups(...events))
  return n && [n.cup.cup.id, n.at.layer.id, n.at.leftUl]
}

describe('loading cups', () => {
  it('goes layer by layer through cups that are alike: one bottle in the hand for both', () => {
    expect(next()).toEqual(['cup 1', 'teal', 20_000])
    expect(next(load(1, 'teal', 12_000))).toEqual(['cup 1', 'teal', 8_000])
    expect(next(load(1, 'teal', 19_800))).toEqual(['cup 2', 'teal', 20_000])
    expect(next(load(1, 'teal', 20_000), load(2, 'teal', 20_000))).toEqual(['cup 1', 'white', 10_000])
    const all = [load(1, 'teal', 20_000), load(2, 'teal', 20_000), load(1, 'white', 9_800), load(2, 'white', 13_000)]
    expect(next(...all)).toBeUndefined()
    expect(cups(...all)[1]!.layers.map((l) => isOver(l))).toEqual([false, true])
    expect(cups(...all)[1]).toMatchObject({ inUl: 33_000, isFull: true })
  })
  it('goes cup by cup where they are not', () => {
    const other = runPlan({ cups: plan.cups.map((c, i) => (i ? { ...c, layers: [...c.layers].reverse() } : c)) })
    const at = (...e: RunEvent[]) => nextLayer(loadedCups(other, runState(other, happened(...e))))
    expect(at(load(1, 'teal', 20_000))!.at.layer.id).toBe('white')
    expect(at(load(1, 'teal', 20_000))!.cup.cup.id).toBe('cup 1')
  })
  it('an order that was changed is the one that counts, and an unplanned bottle or cup is simply in it', () => {
    const [one, , another] = cups(
      load(1, 'white', 10_000),
      load(1, 'gold', 2_000, { layer: null }),
      load(1, 'teal', 20_000),
      load(2, 'gold', 7_000, { layer: null, cup: 'cup 9' }),
    )
    expect(one!.given.map((g) => g.bottle)).toEqual(['white', 'gold', 'teal'])
    expect(one).toMatchObject({ inUl: 32_000, isFull: true })
    expect(another).toMatchObject({ inUl: 7_000, cup: { title: 'Another cup', piece: 'piece 2' } })
  })
  it('a squeeze is what squeezes of that very bottle gave, and a start value before', () => {
    expect(squeezeOf('teal', [])).toEqual({ ul: 4_000, learnedFrom: 0 })
    const squeezed = [
      { bottle: 'white', squeezes: 2, ul: 9_000 },
      { bottle: 'teal', squeezes: 3, ul: 10_000 },
    ]
    expect(squeezeOf('teal', squeezed)).toEqual({ ul: 3_333, learnedFrom: 3 })
  })
})
