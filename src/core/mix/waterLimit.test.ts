import fc from 'fast-check'
import { judgeWater, usualWater, WATER_SCHOOLS, type WaterAmount } from './waterLimit'

const paint = (ml: number, solids = 0.38, pigmentShare = 0.15): WaterAmount => ({
  kind: 'paint',
  ul: ml * 1000,
  waterShare: 0,
  solids,
  pigmentShare,
})
const medium = (ml: number, solids = 0.25, waterShare = 0): WaterAmount => ({
  kind: 'medium',
  ul: ml * 1000,
  waterShare,
  solids,
})
const water = (ml: number): WaterAmount => ({ kind: 'water', ul: ml * 1000, waterShare: 1, solids: 0 })
const roomMl = (list: WaterAmount[], school: (typeof WATER_SCHOOLS)[number] = 'paint-30') =>
  judgeWater(list, { school }).roomUl / 1000

describe('how much water is too much', () => {
  // Common practice, no published source.
  it('paint alone bears 30 % of it, or 40 %, whatever its make', () => {
    for (const tube of [paint(100), paint(100, 0.3, 0.35), paint(100, 0.32, 0.12)]) {
      expect(roomMl([tube])).toBeCloseTo(30, 3)
      expect(roomMl([tube], 'thinned-40')).toBeCloseTo(40, 3)
    }
    expect(judgeWater([paint(100), water(20)], { school: 'paint-30' })).toMatchObject({
      value: 0.2,
      limit: 0.3,
      within: true,
    })
    const over = judgeWater([paint(100), water(45)], { school: 'paint-30' })
    expect(over).toMatchObject({ within: false, waterUl: 45_000, roomUl: 0 })
    expect(over.sentence).toMatch(/^Water is 45 ml, 15 ml more than this mix bears \(30.%/)
  })
  // Worked by hand: (1 + 2 × 0.25 / (0.38 × 0.85)) × 0.30 and × 0.40.
  it('1 : 2 with conditioner bears 76 ml or 102 ml to 100 ml of paint: a part of water lies between the schools', () => {
    const mix = [paint(100), medium(200)]
    expect(roomMl(mix)).toBeCloseTo(76.4, 1)
    expect(roomMl(mix, 'thinned-40')).toBeCloseTo(101.9, 1)
    expect(judgeWater([...mix, water(100)], { school: 'paint-30' }).within).toBe(false)
    expect(judgeWater([...mix, water(100)], { school: 'thinned-40' }).within).toBe(true)
  })
  it('an own share of the studio', () => {
    expect(judgeWater([paint(100)], { school: 'own', value: 0.15 }).roomUl).toBe(15_000)
    expect(judgeWater([paint(100)], { school: 'own' }).limit).toBe(0.25)
  })
  it('counts the water inside thinned glue, and no oil as binder', () => {
    const v = judgeWater([paint(100), medium(50, 0.27, 0.4)], { school: 'paint-30' })
    expect(v.waterUl).toBe(20_000)
    const oil: WaterAmount = { kind: 'additive', ul: 30_000, waterShare: 0, solids: 1 }
    expect(roomMl([paint(100), oil])).toBeCloseTo(30, 3)
  })
  it('craft and house paint in much medium count by what binds in them', () => {
    const rich = (p: WaterAmount) => roomMl([p, medium(300)])
    expect(rich(paint(100, 0.3, 0.35))).toBeLessThan(rich(paint(100)))
  })
  it('a recipe starts with half of what it bears', () => {
    expect(usualWater(0, { school: 'paint-30' })).toBe(0.2)
    expect(usualWater(2, { school: 'paint-30' })).toBe(0.4)
    expect(usualWater(2, { school: 'thinned-40' })).toBe(0.5)
  })
  it('water without anything that binds is past every limit', () => {
    expect(judgeWater([water(10)], { school: 'thinned-40' }).sentence).toBe(
      'Water is 10 ml and there is nothing that binds. Add paint or medium.',
    )
    expect(judgeWater([], { school: 'thinned-40' })).toMatchObject({ within: true, value: 0, roomUl: 0 })
  })
})

describe('one rule for every mix', () => {
  const amount = fc.double({ min: 0, max: 500, noNaN: true })
  const solids = fc.double({ min: 0.1, max: 0.6, noNaN: true })
  const pigment = fc.double({ min: 0, max: 0.6, noNaN: true })
  const mix = fc
    .record({
      p: fc.double({ min: 1, max: 500, noNaN: true }),
      p2: amount,
      m: amount,
      m2: amount,
      solids,
      s2: solids,
      pigment,
      g2: pigment,
    })
    .map((r) => [paint(r.p, r.solids, r.pigment), paint(r.p2, r.s2, r.g2), medium(r.m), medium(r.m2, 0.35)])
  const school = fc.constantFrom(...WATER_SCHOOLS)
  const born = (list: readonly WaterAmount[], s: (typeof WATER_SCHOOLS)[number]) =>
    judgeWater(list, { school: s }).bornUl
  it('more of anything but water never bears less', () => {
    fc.assert(
      fc.property(mix, school, fc.nat(3), fc.double({ min: 0.01, max: 50, noNaN: true }), (list, s, which, more) => {
        const grown = list.map((a, i) => (i === which ? { ...a, ul: a.ul + 1000 * more } : a))
        expect(born(grown, s)).toBeGreaterThanOrEqual(born(list, s) - 1e-6)
      }),
    )
  })
  it('and nothing jumps: a little more bears a little more, also where the first medium goes in', () => {
    fc.assert(
      fc.property(mix, school, fc.nat(3), (list, s, which) => {
        const grown = list.map((a, i) => (i === which ? { ...a, ul: a.ul + 1 } : a))
        expect(born(grown, s) - born(list, s)).toBeLessThan(3)
      }),
    )
  })
  it('the school is felt in every mix', () => {
    fc.assert(
      fc.property(mix, (list) => {
        expect(born(list, 'thinned-40') / born(list, 'paint-30')).toBeCloseTo(4 / 3, 9)
      }),
    )
  })
  it('the room is the limit: so much water is within, and a little more is not', () => {
    fc.assert(
      fc.property(mix, school, (list, s) => {
        const { roomUl } = judgeWater(list, { school: s })
        expect(judgeWater([...list, water(roomUl / 1000)], { school: s }).within).toBe(true)
        expect(judgeWater([...list, water(roomUl / 1000 + 0.002)], { school: s }).within).toBe(false)
      }),
    )
  })
  it('what is offered as medium brings it exactly back to the limit', () => {
    fc.assert(
      fc.property(mix, school, fc.double({ min: 0.1, max: 800, noNaN: true }), (list, s, extra) => {
        const at = judgeWater(list, { school: s })
        const wet = [...list, water((at.roomUl + 1000 * extra) / 1000)]
        const over = judgeWater(wet, { school: s })
        expect(over.within).toBe(false)
        // As much as it holds already of what it holds, else pouring medium.
        const own = list.filter((a) => a.kind === 'medium' && a.ul > 0)
        const ul = own.reduce((sum, a) => sum + a.ul, 0)
        const offered = ul ? own.reduce((sum, a) => sum + (a.ul / ul) * a.solids, 0) : 0.3
        const back = (by: number) => judgeWater([...wet, medium((over.mediumUl + by) / 1000, offered)], { school: s })
        expect(back(0).within).toBe(true)
        expect(back(-3).within).toBe(false)
      }),
    )
  })
  it('lets student and craft paint bear less, by the factor of their grade (start values of Fika)', () => {
    const room = (grade: string | null) =>
      judgeWater([{ kind: 'paint', ul: 100_000, waterShare: 0, solids: 0.38, pigmentShare: 0.15, grade }], {
        school: 'paint-30',
      }).roomUl
    expect(room('artist')).toBe(30_000)
    expect(room('')).toBe(30_000)
    expect(room(null)).toBe(30_000)
    expect(room('student')).toBe(24_000)
    expect(room('craft')).toBe(21_000)
  })
})
