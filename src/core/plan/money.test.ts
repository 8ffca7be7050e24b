import { planMoney } from './money'

describe('money of a plan', () => {
  const facts = {
    paint: [
      { ul: 300_000, costPerMl: 8, poured: true },
      { ul: 50_000, costPerMl: 4, poured: false },
    ],
    surfaces: [{ eachMinor: 750, count: 3 }],
    finishMinor: 400,
    disposablesMinor: 150,
    runOffShare: 0.25,
    savedShare: 0.6,
    priceMinor: 12_000,
  }
  it('hand-worked: paint, surfaces, finish and disposables, less what comes back of the run-off', () => {
    // 300 ml × 8 + 50 ml × 4 = 2600; 3 × 750 = 2250; of 2400 poured a quarter runs off and 60 % of it comes back: 360.
    expect(planMoney(facts)).toEqual({
      paint: 2600,
      surfaces: 2250,
      finish: 400,
      disposables: 150,
      returned: 360,
      total: 5040,
      pieces: 3,
      each: 1680,
      left: 6960,
    })
  })
  it('no price, nothing left of it; a price that is too low says by how much', () => {
    expect(planMoney({ ...facts, priceMinor: null }).left).toBeNull()
    expect(planMoney({ ...facts, priceMinor: 5000 }).left).toBe(-40)
  })
  it('refuses what is no number', () =>
    expect(() => planMoney({ ...facts, finishMinor: NaN })).toThrow('must be a number'))
})
