import { addMaterials } from './materialNeeds'

describe('materials a mix takes', () => {
  it('hand-worked: 1 : 2 : 0.5 with two paints 3 : 1, 350 ml', () => {
    const needs = new Map([['blue', 1_000]])
    addMaterials(
      needs,
      {
        paints: [
          { materialId: 'blue', parts: 3 },
          { materialId: 'white', parts: 1 },
        ],
        paintParts: 1,
        mediums: [{ materialId: 'conditioner', parts: 2 }],
        water: { materialId: 'water', parts: 0.5 },
      },
      350_000,
    )
    // 100 ml of paint, 200 of medium; water is from the tap.
    expect([...needs]).toEqual([
      ['blue', 76_000],
      ['white', 25_000],
      ['conditioner', 200_000],
    ])
  })
  it('a recipe of nothing takes nothing', () => {
    const needs = new Map<string, number>()
    addMaterials(needs, { paints: [], paintParts: 0, mediums: [], water: null }, 100)
    expect(needs.size).toBe(0)
  })
})
