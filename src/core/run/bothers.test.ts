import { BOTHERS, offersFor, REMEDIES_FOR, type LeftBottle } from './bothers'

const bottle = (id: string, ul: number, more: Partial<LeftBottle> = {}): LeftBottle => ({
  id,
  label: id,
  ul,
  isOwn: false,
  isSwipe: false,
  ...more,
})
const rack = [
  bottle('teal', 30_000, { isOwn: true }),
  bottle('white', 80_000),
  bottle('swipe', 20_000, { isSwipe: true }),
]

describe('what can be done about it now', () => {
  it('has something for everything that bothers, even with nothing left', () => {
    for (const b of BOTHERS) {
      expect(offersFor(b, rack, true, []).map((o) => o.key)).toEqual(REMEDIES_FOR[b])
      for (const o of offersFor(b, [], false, [])) expect(o).toMatchObject({ bottle: null, ul: 0 })
    }
    expect(offersFor('dull patch', [], false, [])).toEqual([])
  })
  it('names the bottle and how much: own colours first, a swipe colour for the swipe, never more than there is', () => {
    const [leftover, , solid] = offersFor('empty corner', rack, false, [])
    expect(leftover).toMatchObject({ key: 'leftover', bottle: { id: 'teal' }, ul: 4_000 })
    expect(solid).toMatchObject({ key: 'solid colour', bottle: { id: 'teal' } })
    expect(offersFor('dull patch', rack, false, [])[1]).toMatchObject({ key: 'swipe', bottle: { id: 'swipe' } })
    expect(offersFor('empty corner', [bottle('teal', 900, { isOwn: true })], false, [])[0]).toMatchObject({ ul: 900 })
  })
  it('puts first what worked here, but not after one lucky try over what works well', () => {
    const fared = (remedy: 'heat' | 'straw' | 'swipe', worked: number, tried: number) => ({
      bother: 'no cells here' as const,
      remedy,
      worked,
      tried,
    })
    const order = (...f: ReturnType<typeof fared>[]) => offersFor('no cells here', rack, false, f).map((o) => o.key)
    expect(order(fared('straw', 4, 5), fared('heat', 1, 5))).toEqual(['straw', 'swipe', 'heat'])
    expect(order(fared('heat', 8, 9), fared('straw', 1, 1))).toEqual(['heat', 'straw', 'swipe'])
    expect(offersFor('no cells here', rack, false, [fared('heat', 8, 9)])[0]).toMatchObject({
      worked: 8,
      tried: 9,
      caution: 'torch',
    })
  })
})
