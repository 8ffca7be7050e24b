import { countedDropUl, dropOf, START_DROPS } from './dropSizes'

describe('the size of a drop', () => {
  it('goes with the liquid: water in bigger ones than paint, paint in bigger ones than oil', () => {
    expect(['water', 'paint', 'medium', 'additive'].map((k) => dropOf(START_DROPS, k as 'water'))).toEqual([
      50, 30, 30, 15,
    ])
  })
  // Tate's law, m g = 2 π r γ (Tate 1864), with about 0.6 of it falling at this size (Harkins & Brown 1919, from memory):
  // a tip of 3 mm, water 72 mN/m, silicone oil 21 mN/m and 0.96 g/ml.
  it('is of the order of what surface tension lets fall from a dropper of 3 mm', () => {
    const fallenUl = (gamma: number, density: number) => (0.6 * 2 * Math.PI * 1.5e-3 * gamma) / 9.81 / (density * 1e-6)
    for (const [drip, ul] of [
      ['water', fallenUl(0.072, 1)],
      ['oil', fallenUl(0.021, 0.96)],
    ] as const) {
      expect(START_DROPS[drip] / ul).toBeGreaterThan(0.7)
      expect(START_DROPS[drip] / ul).toBeLessThan(1.5)
    }
  })
  it('is counted into a weighed cup', () => {
    expect(countedDropUl(50, 2_250, 1)).toBe(45)
    expect(countedDropUl(40, 1_300, 1.3)).toBeCloseTo(25, 9)
  })
  it('asks for enough drops, and for a weight drops have', () => {
    expect(() => countedDropUl(19, 900, 1)).toThrow('Count at least 20 drops')
    expect(() => countedDropUl(20.5, 900, 1)).toThrow('Count at least 20 drops')
    for (const [mass, density] of [
      [0, 1],
      [-3, 1],
      [30, 1],
      [7_000, 1],
      [900, 0],
      [NaN, 1],
    ] as const)
      expect(() => countedDropUl(20, mass, density)).toThrow(/Check the weight and the count/)
  })
})
