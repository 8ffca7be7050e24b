import { levelTimeOfRun } from './run'

describe('a run down a card', () => {
  it('is a level time: twice as far is half as long', () => {
    expect(levelTimeOfRun(60, [])).toBeCloseTo(0.4, 9)
    expect(levelTimeOfRun(120, [])).toBeCloseTo(0.2, 9)
  })
  it('is learned from mixes that were read both ways', () => {
    const pairs = Array.from({ length: 60 }, () => ({ levelTimeS: 0.6, runMm: 80 }))
    expect(levelTimeOfRun(80, pairs)).toBeCloseTo(0.6, 1)
    expect(levelTimeOfRun(160, pairs)).toBeCloseTo(0.3, 1)
  })
  it('refuses what is none', () => {
    for (const mm of [0, -3, NaN, 401, Infinity]) expect(() => levelTimeOfRun(mm, [])).toThrow('between 5 and 400 mm')
  })
})
