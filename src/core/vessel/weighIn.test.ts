import { contentUl } from './content'
import { weighIn, type Loss } from './weighIn'

describe('weighing in', () => {
  // 100 ml paint at 1.2, 180 ml medium at 1.05, 20 ml water at 1.0: 329 g net.
  const content = [
    { lotId: 'paint', ul: 100_000, isWater: false, densityGPerMl: 1.2, solids: 0.4 },
    { lotId: 'medium', ul: 180_000, isWater: false, densityGPerMl: 1.05, solids: 0.3 },
    { lotId: 'water', ul: 20_000, isWater: true, densityGPerMl: 1, solids: 0 },
  ]
  const at = (netG: number, named?: Loss) => weighIn({ grossMg: (netG + 30) * 1000, tareMg: 30_000, content, named })
  it('books nothing when the scale agrees', () =>
    expect(at(329)).toEqual({ measuredUl: 300_000, evaporated: [], waterUl: 0, lost: [], gained: [] }))
  it('books a loss as evaporated water first', () =>
    expect(at(324)).toEqual({
      measuredUl: 295_000,
      evaporated: [{ lotId: 'water', ul: 5_000 }],
      waterUl: 5_000,
      lost: [],
      gained: [],
    }))
  it('asks what happened to more than the water', () => {
    expect(() => at(250)).toThrow(
      'lost 73.5\u00a0ml, and only 20\u00a0ml water was added that could evaporate. Say whether',
    )
    const r = at(250, 'spilled')
    expect(r.evaporated).toEqual([{ lotId: 'water', ul: 20_000 }])
    // 59 g of 309 g that are left after the water: 280 ml × 59 / 309.
    expect(contentUl(r.lost)).toBe(Math.round((280_000 * 59) / 309))
    expect(r.measuredUl).toBe(280_000 - contentUl(r.lost))
  })
  it('books what dried out of paint and medium by what in them is no solid, as much as weighs what is missing', () => {
    // After the water 309 − 12 g are left: 60 ml of the paint and 126 ml of the medium can dry, 1.098 g a ml of them.
    const r = at(297, 'dried')
    expect(r.waterUl).toBe(32_000)
    expect(r.lost).toEqual([])
    const ul = Math.round((12_000 * 186) / (60 * 1.2 + 126 * 1.05))
    expect(contentUl(r.evaporated)).toBe(20_000 + ul)
    expect(r.evaporated.find((p) => p.lotId === 'paint')!.ul).toBe(Math.round((ul * 60) / 186))
    expect(r.measuredUl).toBe(280_000 - ul)
    const left = content.map((p) => ({ ...p, ul: p.ul - (r.evaporated.find((e) => e.lotId === p.lotId)?.ul ?? 0) }))
    // So that the next weight finds it as booked.
    expect(Math.abs(left.reduce((s, p) => s + p.ul * p.densityGPerMl, 0) - 297_000)).toBeLessThan(2)
  })
  it('lets no more dry than there is water in it', () => {
    expect(contentUl(at(309 - 186, 'dried').evaporated)).toBeLessThanOrEqual(206_000)
    expect(() => at(309 - 187, 'dried')).toThrow('no more than 186\u00a0ml of water in its paint and medium')
    const dry = [{ lotId: 'oil', ul: 10_000, isWater: false, densityGPerMl: 1, solids: 1 }]
    const weigh = (named?: Loss) => weighIn({ grossMg: 39_000, tareMg: 30_000, content: dry, named })
    expect(() => weigh()).toThrow('and no water was added')
    expect(() => weigh('dried')).toThrow('no more than 0\u00a0ml')
  })
  it('books what is too much as a gain in proportion', () => {
    const r = at(329 * 1.1)
    expect(contentUl(r.gained)).toBe(30_000)
    expect(r.gained.map((g) => g.ul)).toEqual([10_000, 18_000, 2_000])
  })
  it('refuses a scale that shows less than the bottle', () => expect(() => at(-1)).toThrow('Check the tare'))
  it('can find the bottle empty', () => expect(contentUl(at(0, 'spilled').lost)).toBe(280_000))
})
