import { planBatch } from './plan'
import { stateSchema } from '@/db/formulas/batchSchema'

const formula = [
  { id: 'teal', parts: 3, pull: 6 },
  { id: 'navy', parts: 1, pull: 8 },
]
const state = stateSchema.cast({
  paintUl: 400_000,
  containers: 2,
  sizeUl: 1_000_000,
  medium: 2,
  water: 0.25,
  keptHex: '#136a78',
})

describe('a large batch in several containers', () => {
  it('splits paints, medium and water evenly, and sums to the batch exactly', () => {
    const plan = planBatch(formula, { ...state, containers: 3, paintUl: 400_001 })
    expect(plan).toHaveLength(3)
    const paint = plan.flatMap((c) => c.steps).reduce((s, x) => s + x.ul, 0)
    expect(paint).toBe(400_001)
    expect(plan.reduce((s, c) => s + c.mediumUl, 0)).toBe(800_002)
    expect(plan.reduce((s, c) => s + c.waterUl, 0)).toBe(100_000)
    expect(Math.max(...plan.map((c) => c.totalUl)) - Math.min(...plan.map((c) => c.totalUl))).toBeLessThanOrEqual(3)
  })
  it('counts the sample’s paint and the medium it already holds', () => {
    const [one] = planBatch(formula, { ...state, samplePaintUl: 20_000, sampleMediumUl: 40_000 })
    expect(one!.sampleUl).toBe(30_000)
    expect(one!.steps.reduce((s, x) => s + x.ul, 0)).toBe(190_000)
    expect(one!.mediumUl).toBe(380_000)
    expect(one!.totalUl).toBe(650_000)
  })
  it('refuses containers too small, and a sample larger than the batch', () => {
    expect(() => planBatch(formula, { ...state, sizeUl: 500_000 })).toThrow(
      /Each container would hold 650.ml, and 500.ml fit/,
    )
    expect(() => planBatch(formula, { ...state, samplePaintUl: 400_000 })).toThrow(
      'The sample alone is more than the batch',
    )
    expect(() => planBatch(formula, { ...state, sampleMediumUl: 900_000 })).toThrow(/holds 900.ml of medium already/)
  })
})
