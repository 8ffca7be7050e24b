import { extendTo, fluidOunceError, scaledAmounts } from './amounts'
import type { Ingredient } from './recipe'

describe('amounts', () => {
  const list: Ingredient[] = [
    { materialId: 'teal', kind: 'paint', parts: 1 },
    { materialId: 'flow', kind: 'medium', parts: 2 },
  ]
  it('are scaled by total, by one ingredient, by what is left of one, and by cups', () => {
    expect(scaledAmounts(list, { by: 'total', ul: 300 })).toEqual([100, 200])
    expect(scaledAmounts(list, { by: 'ingredient', materialId: 'flow', ul: 50 })).toEqual([25, 50])
    expect(scaledAmounts(list, { by: 'left', materialId: 'teal', leftUl: 40 })).toEqual([40, 80])
    expect(scaledAmounts(list, { by: 'cups', cups: 1.5, cupUl: 200 })).toEqual([100, 200])
  })
  it('say what to type where they cannot be', () => {
    expect(() => scaledAmounts(list, { by: 'cups', cups: 0, cupUl: 90 })).toThrow('how many cups')
    expect(() => scaledAmounts(list, { by: 'ingredient', materialId: 'x', ul: 1 })).toThrow('Choose the ingredient')
    expect(() => scaledAmounts(list, { by: 'left', materialId: 'teal', leftUl: null })).toThrow('Nobody has counted')
    expect(() => scaledAmounts(list, { by: 'left', materialId: 'teal', leftUl: 0 })).toThrow('Nothing is left')
  })
  it('extend a bottle in the ratio of what it holds', () => {
    const content = [
      { materialId: 'a', ul: 100_000 },
      { materialId: 'b', ul: 199_999 },
      { materialId: 'c', ul: 1 },
    ]
    const more = extendTo(content, 400_000)
    expect(more.reduce((s, m) => s + m.ul, 0)).toBe(100_000)
    expect(more).toEqual([
      { materialId: 'a', ul: 33_333 },
      { materialId: 'b', ul: 66_667 },
    ])
    expect(() => extendTo(content, 300_000)).toThrow('that much already')
    expect(() => extendTo([], 10)).toThrow('empty')
  })
  it('know how far a scale in fluid ounces is off', () => {
    // 29.57 g, which the scale calls 1 fl oz, are 23.66 ml of a paint of 1.25 g/ml.
    expect(fluidOunceError(1.25)).toBeCloseTo(0.2, 12)
    expect(fluidOunceError(0.8)).toBeCloseTo(-0.25, 12)
    expect(fluidOunceError(1)).toBe(0)
  })
})
