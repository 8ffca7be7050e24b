import { seeded } from './seeded'

describe('numbers from a seed', () => {
  it('are the same again, others for another, and spread evenly', () => {
    const draw = (seed: number) => {
      const next = seeded(seed)
      return Array.from({ length: 2000 }, next)
    }
    expect(draw(7)).toEqual(draw(7))
    expect(draw(7)).not.toEqual(draw(8))
    const all = draw(1)
    expect(Math.min(...all)).toBeGreaterThanOrEqual(0)
    expect(Math.max(...all)).toBeLessThan(1)
    expect(all.reduce((a, b) => a + b, 0) / all.length).toBeCloseTo(0.5, 1)
  })
})
