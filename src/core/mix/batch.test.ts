import fc from 'fast-check'
import { batchAmounts, type ContainerAmounts } from './batch'

const plan = {
  paintUl: 400_000,
  containers: 2,
  sizeUl: 1_000_000,
  samplePaintUl: 0,
  sampleMediumUl: 0,
  medium: 2,
  water: 0.25,
}
const sum = (list: readonly ContainerAmounts[], key: keyof ContainerAmounts) => list.reduce((s, c) => s + c[key], 0)

describe('a large batch in several containers', () => {
  it('splits paints, medium and water evenly, and sums to the batch exactly', () => {
    const list = batchAmounts({ ...plan, containers: 3, paintUl: 400_001 })
    expect(list).toHaveLength(3)
    expect([sum(list, 'paintUl'), sum(list, 'mediumUl'), sum(list, 'waterUl')]).toEqual([400_001, 800_002, 100_000])
  })
  it('counts the sample’s paint and the medium it already holds', () => {
    const [one] = batchAmounts({ ...plan, samplePaintUl: 20_000, sampleMediumUl: 40_000 })
    expect(one).toEqual({
      samplePaintUl: 10_000,
      sampleMediumUl: 20_000,
      paintUl: 190_000,
      mediumUl: 380_000,
      waterUl: 50_000,
      totalUl: 650_000,
    })
  })
  it('whatever is asked for: the whole is the batch, and no container is more than a drop ahead', () => {
    const ul = fc.integer({ min: 1, max: 3e6 })
    fc.assert(
      fc.property(
        ul,
        ul,
        ul,
        fc.integer({ min: 1, max: 12 }),
        fc.double({ min: 0, max: 8, noNaN: true }),
        (paintUl, a, b, containers, medium) => {
          const mediumUl = Math.round(paintUl * medium)
          const batch = {
            ...plan,
            paintUl,
            containers,
            medium,
            sizeUl: 1e9,
            samplePaintUl: a % paintUl,
            sampleMediumUl: b % (mediumUl + 1),
          }
          const list = batchAmounts(batch)
          expect(sum(list, 'samplePaintUl') + sum(list, 'paintUl')).toBe(paintUl)
          expect(sum(list, 'sampleMediumUl') + sum(list, 'mediumUl')).toBe(mediumUl)
          expect(sum(list, 'totalUl')).toBe(paintUl + mediumUl + Math.round(paintUl * plan.water))
          const totals = list.map((c) => c.totalUl)
          expect(Math.max(...totals) - Math.min(...totals)).toBeLessThanOrEqual(5)
        },
      ),
    )
  })
  it('refuses containers too small, and a sample larger than the batch', () => {
    expect(() => batchAmounts({ ...plan, sizeUl: 500_000 })).toThrow(/Each container would hold 650.ml, and 500.ml fit/)
    expect(() => batchAmounts({ ...plan, samplePaintUl: 400_000 })).toThrow('The sample alone is more than the batch')
    expect(() => batchAmounts({ ...plan, sampleMediumUl: 900_000 })).toThrow(/holds 900.ml of medium already/)
  })
})
