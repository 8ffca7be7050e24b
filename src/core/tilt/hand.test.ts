import { checkPath, heldPath, leanAt, slopesOf, thinned, type Lean } from './hand'

const path: Lean[] = [
  { t: 0, x: 0, y: 0 },
  { t: 2, x: 10, y: -4 },
  { t: 4, x: 10, y: -4 },
]

describe('a hand that tilts', () => {
  it('leans in straight lines between what was noted, and stays at its ends', () => {
    expect(leanAt(path, 1)).toEqual({ x: 5, y: -2 })
    expect(leanAt(path, 3)).toEqual({ x: 10, y: -4 })
    expect(leanAt(path, 99)).toMatchObject({ x: 10, y: -4 })
    expect(leanAt(path, -1)).toMatchObject({ x: 0, y: 0 })
    expect(leanAt([], 1)).toEqual({ x: 0, y: 0 })
    expect(slopesOf(path)(2).sx).toBeCloseTo(Math.sin(Math.PI / 18), 12)
  })
  it('is kept by its corners alone, and leans the same', () => {
    const long = Array.from({ length: 401 }, (_, n) => ({ t: n / 100, ...leanAt(path, n / 100) }))
    const kept = thinned(long)
    expect(kept.length).toBeLessThan(6)
    for (const p of long) {
      const at = leanAt(kept, p.t)
      expect(Math.hypot(at.x - p.x, at.y - p.y)).toBeLessThan(0.3)
    }
  })
  it('refuses what no hand does', () => {
    expect(checkPath(path)).toBe(path)
    expect(() => checkPath([path[1]!, path[0]!])).toThrow(/back in time/)
    expect(() => checkPath([{ t: 0, x: 30, y: 30 }])).toThrow(/leans by 40° at most/)
    expect(() => checkPath([{ t: 0, x: Number.NaN, y: 0 }])).toThrow(/must be a number/)
    expect(() => checkPath([{ t: 700, x: 0, y: 0 }])).toThrow(/up to 10 minutes/)
  })
  it('holds each lean for its seconds, level before and after', () => {
    const held = heldPath([{ x: 8, y: 0, seconds: 3 }])
    expect(held[0]).toEqual({ t: 0, x: 0, y: 0 })
    expect(leanAt(held, 2)).toMatchObject({ x: 8, y: 0 })
    expect(held.at(-1)).toMatchObject({ x: 0, y: 0 })
    expect(held.at(-1)!.t).toBeCloseTo(4.6, 9)
  })
})
