import { waviness } from './waviness'

describe('the unevenness of a hand', () => {
  it('is the same for the same seed, another for another, about a millimetre high, and smooth', () => {
    const [a, again, b] = [waviness(5), waviness(5), waviness(6)]
    const places = Array.from({ length: 2000 }, (_, n) => [(n % 50) * 8, Math.floor(n / 50) * 8] as const)
    const heights = places.map(([x, y]) => a(x, y))
    expect(places.map(([x, y]) => again(x, y))).toEqual(heights)
    expect(b(10, 10)).not.toBe(a(10, 10))
    const spread = Math.sqrt(heights.reduce((sum, h) => sum + h * h, 0) / heights.length)
    expect(spread).toBeGreaterThan(0.7)
    expect(spread).toBeLessThan(1.6)
    for (const [x, y] of places) expect(Math.abs(a(x + 0.5, y) - a(x, y))).toBeLessThan(0.6)
  })
})
