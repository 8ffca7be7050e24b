import { planBottle, POUR_DAY } from '../../../tests/support/planBottle'
import { SHIPPED } from '../technique/techniques'
import { emptyThese, smallerBy, nearestReady, type Missing } from './short'

const missing: Missing = {
  hex: '#136a78',
  role: 'pour',
  needUl: 80_000,
  haveUl: 20_000,
  pourAt: POUR_DAY,
  technique: SHIPPED.of('straight'),
  look: 'as usual',
}
const free = (bottles: readonly { id: string; ul: number }[]) => (id: string) => bottles.find((b) => b.id === id)!.ul

describe('short of a colour', () => {
  it('the nearest ready bottle that holds enough, by colour, role and consistency', () => {
    const bottles = [
      planBottle('near but thick', { hex: '#176d7b', levelTimeS: 9 }),
      planBottle('near', { hex: '#176d7b' }),
      planBottle('another role', { hex: '#176d7b', role: 'swipe' }),
      planBottle('little', { hex: '#136a78', ul: 79_000 }),
      planBottle('resting', { restUntil: POUR_DAY + 1 }),
      planBottle('another colour', { hex: '#c22a2c' }),
      planBottle('farther', { hex: '#2a8090' }),
    ]
    const found = nearestReady(missing, bottles, free(bottles))
    expect(found[0]!.id).toBe('near')
    expect(found.map((f) => f.id).sort()).toEqual(['another role', 'farther', 'near', 'near but thick'])
    expect(found.map((f) => f.score)).toEqual([...found.map((f) => f.score)].sort((a, b) => a - b))
  })
  it('a smaller surface: sides by the root of what is there', () => {
    expect(smallerBy({ needUl: 80_000, haveUl: 20_000 })).toBe(0.5)
    expect(smallerBy({ needUl: 80_000, haveUl: 90_000 })).toBe(1)
  })
  it('ends that are emptied cover it, near the colour, with the least left over: as every set finds', () => {
    const ends = [30, 25, 18, 41, 12, 22, 9, 60].map((ml, i) =>
      planBottle(`end ${i}`, { ul: ml * 1000, hex: i === 7 ? '#c22a2c' : '#136a78' }),
    )
    const found = emptyThese(missing, ends, free(ends), 5)
    let least = Infinity
    const own = ends.filter((e) => e.hex === '#136a78')
    for (let mask = 1; mask < 2 ** own.length; mask++) {
      const set = own.filter((_, i) => mask & (2 ** i))
      const ul = set.reduce((s, b) => s + b.ul, 0)
      if (set.length <= 4 && ul >= 80_000) least = Math.min(least, ul - 80_000)
    }
    expect(found[0]!.overUl).toBe(least)
    for (const f of found) {
      expect(f.ul).toBe(f.bottles.reduce((s, b) => s + b.ul, 0))
      expect(f.deltaE).toBeLessThanOrEqual(5)
    }
  })
  it('a spoonful of another colour passes where the mix stays near enough; silicone never does', () => {
    const two = [planBottle('teal', { ul: 79_000 }), planBottle('blue', { ul: 3_000, hex: '#20708a' })]
    expect(emptyThese(missing, two, free(two), 3)[0]!.bottles).toHaveLength(2)
    expect(emptyThese(missing, two, free(two), 0.01)).toEqual([])
    expect(emptyThese(missing, [planBottle('oily', { hasAdditive: true })], () => 99_000, 3)).toEqual([])
  })
})
