import fc from 'fast-check'
import { START_DROPS } from '../quantity/dropSizes'
import { amountsWithDrops, dropsUl } from './drops'
import type { Ingredient } from './recipe'

const list: Ingredient[] = [
  { materialId: 'paint', kind: 'paint', parts: 1 },
  { materialId: 'medium', kind: 'medium', parts: 2 },
]
const DROP_UL = START_DROPS.oil
const oil = { materialId: 'oil', per100Ml: 2, dropUl: DROP_UL }

describe('drops of an additive', () => {
  it('are whole, one at least, and so many to 100 ml', () => {
    expect(dropsUl(oil, 240_000)).toBe(5 * DROP_UL)
    expect(dropsUl(oil, 100)).toBe(DROP_UL)
  })
  it('stand within a wanted total, to the last microlitre', () => {
    const { plannedUl, dropsUl: counted } = amountsWithDrops(list, [oil], { by: 'total', ul: 240_000 })
    expect(counted).toEqual([75])
    expect(plannedUl).toEqual([79_975, 159_950])
    fc.assert(
      fc.property(
        fc.integer({ min: 20_000, max: 3_000_000 }),
        fc.double({ min: 0.1, max: 20, noNaN: true }),
        (ul, per100Ml) => {
          const made = amountsWithDrops(list, [{ ...oil, per100Ml }, oil], { by: 'total', ul })
          expect([...made.plannedUl, ...made.dropsUl].reduce((a, b) => a + b, 0)).toBe(ul)
        },
      ),
    )
    const six = amountsWithDrops(list, [oil], { by: 'cups', cups: 6, cupUl: 90_000 })
    expect([...six.plannedUl, ...six.dropsUl].reduce((a, b) => a + b, 0)).toBe(540_000)
  })
  it('come on top where one ingredient sets the scale', () => {
    const made = amountsWithDrops(list, [oil], { by: 'ingredient', materialId: 'paint', ul: 50_000 })
    expect(made).toEqual({ plannedUl: [50_000, 100_000], dropsUl: [3 * DROP_UL] })
  })
  it('are refused where they alone are more than the mix', () => {
    expect(() => amountsWithDrops(list, [oil], { by: 'total', ul: 12 })).toThrow('The drops alone are more')
  })
})
