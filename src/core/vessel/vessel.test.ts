import fc from 'fast-check'
import { contentUl, takeFrom } from './content'
import { bottleState, level } from './bottleState'
import { weighIn } from './weighIn'

const bottle = (...uls: number[]) => ({
  id: 'b1',
  label: 'Teal 3',
  content: uls.map((ul, i) => ({ lotId: `l${i}`, ul })),
})

describe('taking from a vessel', () => {
  it('takes every lot in proportion, exactly', () => {
    expect(takeFrom(bottle(100_000, 200_000, 33_333), 100_000).map((p) => p.ul)).toEqual([30_000, 60_000, 10_000])
  })
  it('names the bottle and what to do when it holds too little', () => {
    expect(() => takeFrom(bottle(40_000), 60_000)).toThrow(
      'Teal 3 holds 40\u00a0ml and 60\u00a0ml is wanted. Mix 20\u00a0ml more, or take less.',
    )
  })
  it('never takes more of a lot than there is', () => {
    const uls = fc.array(fc.integer({ min: 1, max: 2_000_000 }), { minLength: 1, maxLength: 8 })
    fc.assert(
      fc.property(uls, fc.double({ min: 0, max: 1, noNaN: true }), (content, share) => {
        const vessel = bottle(...content)
        const ul = Math.floor(contentUl(vessel.content) * share)
        const taken = takeFrom(vessel, ul)
        expect(contentUl(taken)).toBe(ul)
        for (const p of taken) expect(p.ul).toBeLessThanOrEqual(vessel.content.find((c) => c.lotId === p.lotId)!.ul)
      }),
    )
  })
})

describe('weighing in', () => {
  // 100 ml paint at 1.2, 180 ml medium at 1.05, 20 ml water at 1.0: 329 g net.
  const content = [
    { lotId: 'paint', ul: 100_000, isWater: false, densityGPerMl: 1.2 },
    { lotId: 'medium', ul: 180_000, isWater: false, densityGPerMl: 1.05 },
    { lotId: 'water', ul: 20_000, isWater: true, densityGPerMl: 1 },
  ]
  const at = (netG: number, named?: 'spilled') =>
    weighIn({ grossMg: (netG + 30) * 1000, tareMg: 30_000, content, named })
  it('books nothing when the scale agrees', () =>
    expect(at(329)).toEqual({ measuredUl: 300_000, evaporated: [], lost: [], gained: [] }))
  it('books a loss as evaporated water first', () =>
    expect(at(324)).toEqual({ measuredUl: 295_000, evaporated: [{ lotId: 'water', ul: 5_000 }], lost: [], gained: [] }))
  it('asks what happened to more than the water', () => {
    expect(() => at(250)).toThrow('more than its water (20\u00a0ml) can explain. Say whether')
    const r = at(250, 'spilled')
    expect(r.evaporated).toEqual([{ lotId: 'water', ul: 20_000 }])
    // 59 g of 309 g that are left after the water: 280 ml × 59 / 309.
    expect(contentUl(r.lost)).toBe(Math.round((280_000 * 59) / 309))
    expect(r.measuredUl).toBe(280_000 - contentUl(r.lost))
  })
  it('books what is too much as a gain in proportion', () => {
    const r = at(329 * 1.1)
    expect(contentUl(r.gained)).toBe(30_000)
    expect(r.gained.map((g) => g.ul)).toEqual([10_000, 18_000, 2_000])
  })
  it('refuses a scale that shows less than the bottle', () => expect(() => at(-1)).toThrow('Check the tare'))
  it('can find the bottle empty', () => expect(contentUl(at(0, 'spilled').lost)).toBe(280_000))
})

describe('what a bottle needs', () => {
  const now = new Date('2026-05-10T12:00:00Z')
  const days = (n: number) => new Date(now.getTime() - n * 86_400_000)
  const facts = { ul: 100_000, capacityUl: 240_000, mixedAt: days(3), restUntil: days(2) }
  it.each([
    [facts, 'ready'],
    [{ ...facts, ul: 0 }, 'empty'],
    [{ ...facts, restUntil: days(-0.5) }, 'resting'],
    [{ ...facts, mixedAt: days(31) }, 'check'],
    [{ ...facts, ul: 35_999 }, 'low'],
    [{ ...facts, ul: 36_000 }, 'ready'],
  ] as const)('%j is %s', (f, state) => expect(bottleState(f, now)).toBe(state))
  it('is drawn with its real level', () => {
    expect(level({ ul: 60_000, capacityUl: 240_000 })).toBe(0.25)
    expect(level({ ul: 500_000, capacityUl: null })).toBe(1)
  })
})
