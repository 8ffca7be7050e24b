import { gaussian, random } from '../../../tests/support/random'
import { additionOf, leastAdditionG, removalOf, settled, steadyG, stillOn, type Weight } from './settle'

/** Readings ten times a second. */
const readings = (grams: readonly number[]): Weight[] =>
  grams.map((g, i) => ({ grams: g, atMs: 100 * i, stable: true }))
const flat = (g: number, n = 10) => new Array<number>(n).fill(g)

describe('a scale at rest', () => {
  it('is at rest when nothing moved for a while, whatever it says itself', () => {
    expect(settled(readings(flat(50)), 0.1)).toBe(50)
    expect(settled(readings(flat(50, 6)), 0.1)).toBeUndefined()
    expect(settled([], 0.1)).toBeUndefined()
    // Three steps of the scale are noise, a slow pour is not.
    expect(settled(readings([50, 50.1, 50, 50.2, 50.1, 50, 50.2, 50.1]), 0.1)).toBe(50.1)
    expect(settled(readings(Array.from({ length: 12 }, (_, i) => 50 + 0.1 * i)), 0.1)).toBeUndefined()
  })
  it('looks at the last moment only', () => {
    expect(settled(readings([...flat(0), 20, 40, ...flat(60, 8)]), 0.1)).toBe(60)
    expect(settled(readings([...flat(0), 20, 40, ...flat(60, 4)]), 0.1)).toBeUndefined()
  })
  it('allows a heavy load more', () => expect([steadyG(0.1, 20), steadyG(0.1, 2000)]).toEqual([0.30000000000000004, 2]))
  it('is not fooled by the noise of a kitchen scale', () => {
    const next = random(5)
    for (let i = 0; i < 200; i++) {
      const noisy = readings(flat(120, 12).map((g) => Math.round((g + 0.03 * gaussian(next)) * 10) / 10))
      expect(Math.abs(settled(noisy, 0.1)! - 120)).toBeLessThanOrEqual(0.1)
    }
  })
})

describe('an addition', () => {
  it('is what stands above what is booked', () => {
    expect(additionOf(settled(readings(flat(82.4)), 0.1), 0.1, 50)).toBeCloseTo(32.4, 9)
    expect(additionOf(settled(readings([...flat(50), 60, 70]), 0.1), 0.1, 50)).toBeUndefined()
  })
  it('is no touch of the cup, and nothing that was taken off', () => {
    expect(leastAdditionG(0.1)).toBeCloseTo(0.3, 9)
    expect(additionOf(settled(readings(flat(50.2)), 0.1), 0.1, 50)).toBeUndefined()
    expect(additionOf(settled(readings(flat(20)), 0.1), 0.1, 50)).toBeUndefined()
  })
})

describe('a weight to book up to', () => {
  it('is what stands, also a little less than before; not while it moves, nor where the cup was lifted', () => {
    expect(stillOn(182, 180)).toBe(182)
    expect(stillOn(177, 180)).toBe(177)
    expect(stillOn(90, 180)).toBe(90)
    expect(stillOn(89.9, 180)).toBeUndefined()
    expect(stillOn(null, 180)).toBeUndefined()
    expect(stillOn(0.1, null)).toBe(0.1)
  })
})

describe('what was taken out again', () => {
  it('is what is missing of what was booked: no touch, no lift, nothing while it moves', () => {
    expect(removalOf(170, 0.1, 180)).toBe(10)
    expect(removalOf(179.8, 0.1, 180)).toBeUndefined()
    expect(removalOf(182, 0.1, 180)).toBeUndefined()
    expect(removalOf(40, 0.1, 180)).toBeUndefined()
    expect(removalOf(null, 0.1, 180)).toBeUndefined()
    expect(removalOf(170, 0.1, null)).toBeUndefined()
    // A scale of a whole gram cannot tell two.
    expect(removalOf(178, 1, 180)).toBeUndefined()
  })
})
