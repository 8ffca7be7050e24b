import { needs, planParts } from './amounts'

describe('amounts of a plan', () => {
  const cup = [
    { vesselId: 'teal', parts: 2 },
    { vesselId: 'white', parts: 1 },
    { vesselId: 'none', parts: 0 },
  ]
  it('splits the cup exactly and adds what is planned apart', () => {
    const parts = planParts(100_000, cup, [
      { use: 'base coat', vesselId: 'white', ul: 50_000 },
      { use: 'reserve', vesselId: 'teal', ul: 0 },
    ])
    expect(parts).toEqual([
      { use: 'cup', vesselId: 'teal', parts: 2, ul: 66_667 },
      { use: 'cup', vesselId: 'white', parts: 1, ul: 33_333 },
      { use: 'base coat', vesselId: 'white', parts: null, ul: 50_000 },
    ])
    expect(
      needs(
        parts,
        new Map([
          ['teal', 70_000],
          ['white', 60_000],
        ]),
      ),
    ).toEqual([
      { vesselId: 'teal', needUl: 66_667, shortUl: 0 },
      { vesselId: 'white', needUl: 83_333, shortUl: 23_333 },
    ])
  })
  it('plans nothing without a cup, and counts an unknown bottle as empty', () => {
    expect(planParts(0, cup, [])).toEqual([])
    expect(planParts(10, [], [])).toEqual([])
    expect(needs(planParts(9, cup, []), new Map())[0]).toEqual({ vesselId: 'teal', needUl: 6, shortUl: 6 })
  })
})
