import { amountsForPart, amountsForTotal, ingredients, rescale } from './recipe'

const recipe = {
  paints: [
    { materialId: 'blue', parts: 3 },
    { materialId: 'white', parts: 1 },
  ],
  paintParts: 1,
  mediums: [{ materialId: 'flow', parts: 2 }],
  water: { materialId: 'water', parts: 0.2 },
}

describe('recipe by parts', () => {
  it('scales the colour formula into the paint part', () => {
    expect(ingredients(recipe).map((i) => i.parts)).toEqual([0.75, 0.25, 2, 0.2])
  })
  it('3 : 1 is a quarter of paint, not a third', () => {
    const list = ingredients({ ...recipe, mediums: [{ materialId: 'flow', parts: 3 }], water: undefined })
    expect(amountsForTotal(list, 400_000)).toEqual([75_000, 25_000, 300_000])
  })
  it('scales from what is left in a tube', () => {
    expect(amountsForPart(ingredients(recipe), 0, 30_000)).toEqual([30_000, 10_000, 80_000, 8_000])
    expect(() => amountsForPart(ingredients(recipe), 9, 1)).toThrow('has no parts')
  })
  it('refuses an empty recipe and parts below zero', () => {
    expect(() => ingredients({ paints: [], paintParts: 1, mediums: [] })).toThrow('The recipe is empty')
    expect(() => ingredients({ ...recipe, mediums: [{ materialId: 'flow', parts: -1 }] })).toThrow('below zero')
  })
})

describe('overshoot', () => {
  const list = ingredients(recipe)
  const planned = amountsForTotal(list, 320_000)
  it('plans 75, 25, 200 and 20 ml', () => expect(planned).toEqual([75_000, 25_000, 200_000, 20_000]))
  it('raises every other target in ratio and says how much more it becomes', () => {
    const rescued = rescale(list, planned, [75_000, 30_000, undefined, undefined])
    expect(rescued.targetsUl).toEqual([90_000, 30_000, 240_000, 24_000])
    expect(rescued.extraUl).toBe(64_000)
  })
  it('takes the largest of two overshoots', () => {
    expect(rescale(list, planned, [90_000, 26_000, undefined, undefined]).targetsUl).toEqual([
      90_000, 30_000, 240_000, 24_000,
    ])
  })
  it('changes nothing for what was poured short', () => {
    expect(rescale(list, planned, [70_000, undefined, undefined, undefined])).toEqual({
      targetsUl: planned,
      totalUl: 320_000,
      extraUl: 0,
    })
  })
  it('never goes below what is in the cup', () => {
    const rescued = rescale(list, planned, [75_000, 30_000, 250_000, undefined])
    rescued.targetsUl.forEach((t, i) => expect(t).toBeGreaterThanOrEqual([75_000, 30_000, 250_000, 0][i]!))
    expect(rescued.targetsUl[2]).toBe(250_000)
  })
  it('says when the cup cannot hold it', () => {
    const cup = { vesselId: 'cup', capacityUl: 350_000 }
    expect(() => rescale(list, planned, [75_000, 30_000, undefined, undefined], cup)).toThrow(
      'the batch grows to 384\u00a0ml, and the cup holds 350\u00a0ml',
    )
    expect(rescale(list, planned, [], cup).totalUl).toBe(320_000)
  })
})
