import { planBottle, POUR_DAY } from '../../../tests/support/planBottle'
import { SHIPPED } from '../technique/techniques'
import type { PlanBottle } from './bottle'
import { readiness, type Asked } from './readiness'

const DAY = 86_400_000
const straight = SHIPPED.of('straight')
const say = (bottle: Partial<PlanBottle> = {}, asked: Partial<Asked> = {}) =>
  readiness(
    planBottle('Teal', bottle),
    {
      uses: ['cup'],
      needUl: 60_000,
      elsewhereUl: 0,
      pourAt: POUR_DAY,
      technique: straight,
      look: 'as usual',
      finish: 'none',
      ...asked,
    },
    (ms) => new Date(ms).toISOString().slice(0, 10),
    50,
  )
const kinds = (...args: Parameters<typeof say>) => say(...args).map((c) => c.kind)

describe('whether a bottle is ready for this plan', () => {
  it('says nothing of one that is', () => expect(say()).toEqual([]))
  it('counts what other open plans want of it', () => {
    expect(kinds({}, { elsewhereUl: 40_000 })).toEqual([])
    const [short] = say({}, { elsewhereUl: 70_000 })
    expect(short).toMatchObject({ kind: 'short', mixUl: 30_000 })
    expect(short!.todo).toMatch(/other open plans want 70\sml; .* Mix 30\sml more\.$/)
  })
  it('rested, and not past its date, by then', () => {
    expect(kinds({ restUntil: POUR_DAY + 1 })).toEqual(['resting'])
    expect(kinds({ keepUntil: POUR_DAY - 1 })).toEqual(['past'])
    expect(kinds({ restUntil: POUR_DAY, keepUntil: POUR_DAY })).toEqual([])
  })
  it('by the band of this plan and not of its own technique', () => {
    expect(kinds({ technique: 'ring', levelTimeS: 1.4 })).toEqual([])
    expect(kinds({ levelTimeS: 4 })).toEqual(['thick'])
    expect(kinds({ levelTimeS: 4 }, { technique: SHIPPED.of('ring') })).toEqual([])
    expect(kinds({ levelTimeS: 0.5 })).toEqual(['thin'])
    // Twice the factor for lines kept.
    expect(kinds({ levelTimeS: 2.6 }, { look: 'lines kept' })).toEqual([])
  })
  it('as thick as it will be on the day', () => {
    expect(kinds({ levelTimeS: 2, thickens: 0 })).toEqual([])
    expect(kinds({ levelTimeS: 2, thickens: 0.03, readAt: POUR_DAY - 10 * DAY })).toEqual(['thick'])
  })
  it('offers water that really brings it into the band, and medium where the limit is near', () => {
    const [thick] = say({ levelTimeS: 4 })
    // ln t falls by b per unit of water ÷ the rest; 100 ml at w 0.2 hold 83.3 ml of rest.
    const after = 4 * Math.exp((-12 * thick!.waterUl!) / (100_000 / 1.2))
    expect(after).toBeGreaterThan(1)
    expect(after).toBeLessThan(2)
    const [near] = say({ levelTimeS: 4, roomUl: 1_000 })
    expect(near!.waterUl).toBe(1_000)
    expect(near!.todo).toContain('of medium')
    expect(say({ levelTimeS: 4, roomUl: 0 })[0]!.waterUl).toBeNull()
  })
  it('one that was never timed is to be timed', () =>
    expect(kinds({ levelTimeS: null, readW: null })).toEqual(['unread']))
  it('silicone against the role, the technique and the finish, said now', () => {
    expect(kinds({ hasAdditive: true })).toEqual([])
    expect(kinds({ hasAdditive: true }, { finish: 'resin' })).toEqual(['silicone'])
    expect(kinds({ hasAdditive: true }, { technique: { ...straight, silicone: 'never' } })).toEqual(['silicone'])
    expect(kinds({ hasAdditive: true }, { uses: ['cup', 'base coat'] })).toContain('barred')
    expect(kinds({}, { technique: { ...straight, silicone: 'needed' } })).toEqual(['no silicone'])
  })
  it('a colour that is only computed wants a swatch', () => {
    expect(kinds({ off: 8 })).toEqual(['unsure'])
    expect(kinds({ off: 6 })).toEqual([])
  })
  it('says that a bottle was mixed from a container that was flagged, and what to do', () => {
    const [found] = say({ badLots: [{ name: 'Lamp Soot', flag: 'made craters' }] })
    expect(found!.kind).toBe('bad container')
    expect(found!.todo).toMatch(/Lamp Soot.*flagged: made craters\. Try it on card first/)
  })
})
