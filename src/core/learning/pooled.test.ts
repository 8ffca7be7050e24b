import { gaussian, random } from '../../../tests/support/random'
import { pooledMeans } from './pooled'

describe('what works', () => {
  it('says nothing of fewer than three pieces, and only counts them', () => {
    const told = pooledMeans(
      [
        { key: 'ring', values: [5, 5] },
        { key: 'swipe', values: [3, 3, 4] },
        { key: 'flip', values: [] },
      ],
      0.9,
    )
    expect(told.groups.map((g) => g.key)).toEqual(['swipe'])
    expect(told.tooFew).toEqual([{ key: 'ring', n: 2 }])
    expect(pooledMeans([], 0.9)).toEqual({ mean: 0, n: 0, groups: [], tooFew: [] })
  })
  it('draws few pieces towards all, many hardly, and keeps the order by what is believed', () => {
    const told = pooledMeans(
      [
        { key: 'few', values: [5, 5, 5] },
        { key: 'many', values: Array.from({ length: 40 }, (_, i) => 4.4 + (i % 3) * 0.3) },
        { key: 'low', values: Array.from({ length: 20 }, (_, i) => 2 + (i % 3)) },
      ],
      0.9,
    )
    const by = new Map(told.groups.map((g) => [g.key, g]))
    expect(5 - by.get('few')!.mean).toBeGreaterThan(0.05)
    expect(Math.abs(by.get('many')!.mean - 4.7)).toBeLessThan(0.05)
    expect(by.get('few')!.high - by.get('few')!.low).toBeGreaterThan(by.get('many')!.high - by.get('many')!.low)
    expect(by.get('low')!.above).toBeLessThan(0.05)
    expect(told.groups.at(-1)!.key).toBe('low')
  })
  it('holds what it says nine times in ten, and is nearer to the truth than bare means', () => {
    const next = random(23)
    let [inside, all, ours, bare] = [0, 0, 0, 0]
    for (let world = 0; world < 60; world++) {
      const truth = Array.from({ length: 6 }, () => 3.2 + 0.5 * gaussian(next))
      const groups = truth.map((t, i) => ({
        key: String(i),
        values: Array.from({ length: 3 + Math.floor(6 * next()) }, () => t + 0.9 * gaussian(next)),
      }))
      for (const g of pooledMeans(groups, 0.9).groups) {
        const t = truth[Number(g.key)]!
        const values = groups[Number(g.key)]!.values
        all++
        if (g.low <= t && t <= g.high) inside++
        ours += (g.mean - t) ** 2
        bare += (values.reduce((s, v) => s + v, 0) / values.length - t) ** 2
      }
    }
    expect(inside / all).toBeGreaterThan(0.85)
    expect(inside / all).toBeLessThan(0.96)
    expect(ours).toBeLessThan(0.85 * bare)
  })
  it('where all groups are alike it pulls them together', () => {
    const next = random(4)
    const groups = Array.from({ length: 5 }, (_, i) => ({
      key: String(i),
      values: Array.from({ length: 5 }, () => 3 + gaussian(next)),
    }))
    const means = pooledMeans(groups, 1).groups.map((g) => g.mean)
    const bare = groups.map((g) => g.values.reduce((s, v) => s + v, 0) / 5)
    expect(Math.max(...means) - Math.min(...means)).toBeLessThan(0.7 * (Math.max(...bare) - Math.min(...bare)))
  })
})
