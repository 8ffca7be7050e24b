import { judgeWater, type WaterAmount } from './waterLimit'

const paint = (ml: number): WaterAmount => ({ kind: 'paint', ul: ml * 1000, waterShare: 0, solids: 0.38 })
const medium = (ml: number, waterShare = 0, solids = 0.3): WaterAmount => ({
  kind: 'medium',
  ul: ml * 1000,
  waterShare,
  solids,
})
const water = (ml: number): WaterAmount => ({ kind: 'water', ul: ml * 1000, waterShare: 1, solids: 0 })

describe('water limits', () => {
  it('30 % of the paint', () => {
    const ok = judgeWater([paint(100), water(20)], { school: 'paint-30' })
    expect(ok).toMatchObject({ school: 'paint-30', value: 0.2, limit: 0.3, within: true, roomUl: 10_000 })
    const over = judgeWater([paint(100), water(45)], { school: 'paint-30' })
    expect(over.within).toBe(false)
    expect(over.sentence).toBe('Water is 45 % of the paint, 15 ml past the limit of 30 %. Thin with medium instead.')
  })
  it('40 % where water alone thins', () => {
    expect(judgeWater([paint(100), water(40)], { school: 'thinned-40' }).within).toBe(true)
    expect(judgeWater([paint(100), water(41)], { school: 'thinned-40' }).within).toBe(false)
  })
  it('an own share of the whole', () => {
    const v = judgeWater([paint(60), medium(20), water(10)], { school: 'share', value: 0.2 })
    expect(v.within).toBe(true)
    // (10 + x) / (90 + x) = 0.2 → x = 10
    expect(v.roomUl).toBe(10_000)
    expect(judgeWater([paint(60), medium(20), water(21)], { school: 'share', value: 0.2 }).within).toBe(false)
  })
  it('judges a mix rich in medium by its binder', () => {
    // 50 % of the paint in water, and fine: 100·0.38 + 200·0.3 = 98 of 350 = 28 %.
    const v = judgeWater([paint(100), medium(200), water(50)], { school: 'paint-30' })
    expect(v).toMatchObject({ school: 'binder', within: true })
    expect(v.value).toBeCloseTo(0.28, 10)
    expect(v.roomUl).toBe(194_444)
  })
  it('offers the medium that brings a weak mix back', () => {
    const mix = [paint(50), medium(60), water(150)]
    const v = judgeWater(mix, { school: 'binder' })
    expect(v.within).toBe(false)
    const mended = judgeWater([...mix, medium(v.mediumUl / 1000)], { school: 'binder' })
    expect(mended.within).toBe(true)
    expect(judgeWater([...mix, medium(v.mediumUl / 1000 - 1)], { school: 'binder' }).within).toBe(false)
  })
  it('counts the water inside thinned glue', () => {
    // 100 ml paint, 50 ml glue 60/40: 20 ml of water are in it already.
    const v = judgeWater([paint(100), medium(50, 0.4, 0.27), water(10)], { school: 'paint-30' })
    expect(v.value).toBeCloseTo(0.3, 10)
    expect(v.roomUl).toBe(0)
  })
  it('water without any paint is past every limit by paint', () => {
    expect(judgeWater([water(10)], { school: 'thinned-40' }).sentence).toMatch(
      /^Binder is 0 % of the whole, below 18 %/,
    )
  })
})
