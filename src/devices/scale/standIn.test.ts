import { random } from '../../../tests/support/random'
import { Plate } from './standIn'

describe('the plate of the stand-in', () => {
  function plate(noise = 0, resolutionG = 0.1) {
    let now = 0
    const p = new Plate({ capacityG: 500, resolutionG, noise, random: random(1), clock: () => now })
    const after = (ms: number) => {
      now += ms
      return p.reading()
    }
    return { p, after }
  }
  it('follows a weight with its inertia, and says when it stands', () => {
    const { p, after } = plate()
    void p.do({ do: 'place', grams: 100 })
    // One time constant later it shows 1 − 1/e of it.
    expect(after(120).grams).toBeCloseTo(63.2, 1)
    expect(after(10).stable).toBe(false)
    expect(after(2_000)).toMatchObject({ grams: 100, overload: false })
    expect(after(500).stable).toBe(true)
  })
  it('is poured upon at a rate, and stops', async () => {
    const { p, after } = plate()
    const done = p.do({ do: 'pour', grams: 50, rate: 20 })
    after(1_000)
    expect(after(0).stable).toBe(false)
    const half = after(0).grams
    expect(half).toBeGreaterThan(15)
    expect(half).toBeLessThan(21)
    after(5_000)
    await done
    expect(after(2_000).grams).toBeCloseTo(50, 1)
    void p.do({ do: 'pour', grams: 50, rate: 20 })
    after(500)
    void p.do({ do: 'stop' })
    const left = after(3_000).grams
    expect(left).toBeCloseTo(60, 0)
  })
  it('tares, and says what it took off', () => {
    const { p, after } = plate()
    void p.do({ do: 'place', grams: 32 })
    after(3_000)
    void p.do({ do: 'tare' })
    void p.do({ do: 'place', grams: 10 })
    expect(after(3_000)).toMatchObject({ grams: 10, tare: 32 })
  })
  it('gives no weight over its capacity', () => {
    const { p, after } = plate()
    void p.do({ do: 'place', grams: 501 })
    expect(after(3_000)).toMatchObject({ overload: true, stable: false, grams: 0 })
    void p.do({ do: 'place', grams: -2 })
    expect(after(3_000).overload).toBe(false)
  })
  it('has the noise and the drift of a real one', () => {
    const { p, after } = plate(1, 0.01)
    void p.do({ do: 'place', grams: 100 })
    after(3_000)
    const seen = Array.from({ length: 200 }, () => after(100).grams)
    expect(new Set(seen).size).toBeGreaterThan(5)
    for (const g of seen) expect(Math.abs(g - 100)).toBeLessThan(0.3)
    const later = Array.from({ length: 50 }, () => Math.abs(after(3_600_000).grams - 100))
    expect(Math.max(...later)).toBeGreaterThan(0.3)
  })
})
