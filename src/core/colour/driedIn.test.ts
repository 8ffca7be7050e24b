import { driedInShift, driedInWords, type DriedPair } from './driedIn'
import { labToLch, lchToLab } from './lab'
import { shifted } from './mediumShift'
import type { Triple } from './srgb'

/** A world in which glue leaves a veil: 4 L* lighter and chroma × 0.8 for glue alone, in proportion to its share. */
const COLOURS: Triple[] = [
  [40, 30, -20],
  [60, -25, 15],
  [70, 5, 50],
  [35, 45, 30],
  [50, -10, -35],
]
const glued = (share: number, scatter = 0): DriedPair[] =>
  COLOURS.map((computed, i) => {
    const [l, c, h] = labToLch(computed)
    const noise = scatter * ((i % 3) - 1)
    return {
      computed,
      dried: lchToLab([l + 4 * share + noise, c * 0.8 ** share, h]),
      medium: 'glue',
      mediumShare: share,
    }
  })

describe('what a milky medium leaves in the dried film', () => {
  it('is nothing until a mix was painted out in it', () => {
    const start = driedInShift([], 'glue', 2 / 3)
    expect(start).toMatchObject({ darker: 0, chroma: 0, pairs: 0 })
    expect(driedInWords(start)).toBeUndefined()
  })
  it('is learned from mixes painted out, for their medium and by its share', () => {
    const pairs = [...glued(0.3, 0.5), ...glued(0.6, 0.5), ...glued(0.8, 0.5)]
    for (const share of [0.3, 0.5, 0.75]) {
      const said = driedInShift(pairs, 'glue', share)
      expect(said.darker).toBeCloseTo(-4 * share, 0)
      expect(Math.exp(said.chroma)).toBeCloseTo(0.8 ** share, 1)
    }
    expect(driedInShift(pairs, 'gloss medium', 0.6).darker).toBe(0)
    const [seen] = glued(0.6)
    const miss = (a: Triple, b: Triple) => Math.hypot(...a.map((v, k) => v - b[k]!))
    const guess = shifted(seen!.computed, driedInShift(pairs, 'glue', 0.6))
    expect(miss(guess, seen!.dried)).toBeLessThan(0.35 * miss(seen!.computed, seen!.dried))
  })
  it('is said in words a maker uses', () => {
    expect(driedInWords({ darker: -2.4, chroma: Math.log(0.9), sigma: 1, pairs: 4 })).toBe(
      '2.4 lighter and 10 % duller',
    )
    expect(driedInWords({ darker: 0.6, chroma: 0, sigma: 1, pairs: 4 })).toBe('0.6 darker')
    expect(driedInWords({ darker: 0.2, chroma: 0.1, sigma: 1, pairs: 4 })).toBe('11 % more vivid')
  })
})
