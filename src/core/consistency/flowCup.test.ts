import { cupFor, FLOW_CUPS, kinematicViscosity, secondsPerNu, START_SECONDS_PER_NU } from './flowCup'

describe('flow cups', () => {
  // Limits of use as the standards print them (from memory): ASTM D1200 for Ford no. 4, ISO 2431 for 3, 4 and 6 mm.
  it.each([
    ['ford-4', 20, 59.65],
    ['ford-4', 100, 367.33],
    ['ford-2', 40, 31.68],
    ['ford-2', 100, 118.1],
    ['ford-3', 20, 31],
    ['ford-3', 100, 215.8],
    ['iso-3', 30, 6.62],
    ['iso-3', 100, 42.3],
    ['iso-4', 30, 34.43],
    ['iso-4', 100, 135],
    ['iso-6', 30, 188],
    ['iso-6', 100, 684.3],
  ] as const)('%s: %d s is %d mm²/s', (cup, seconds, nu) => expect(kinematicViscosity(cup, seconds)).toBeCloseTo(nu, 1))
  it('meets the ranges ISO 2431 gives for its cups, 7–42, 34–135 and 188–684 mm²/s', () => {
    const range = (key: string) =>
      FLOW_CUPS.find((c) => c.key === key)!.rangeS.map((t) => Math.round(kinematicViscosity(key, t)))
    expect([range('iso-3'), range('iso-4'), range('iso-6')]).toEqual([
      [7, 42],
      [34, 135],
      [188, 684],
    ])
  })
  it('says which cup to take when the time is outside', () => {
    expect(() => kinematicViscosity('iso-4', 20)).toThrow('narrower')
    expect(() => kinematicViscosity('iso-4', 101)).toThrow('wider')
    expect(() => kinematicViscosity('iso-4', NaN)).toThrow('good for 30 to 100 s')
    expect(() => kinematicViscosity('spoon', 50)).toThrow('Choose a flow cup')
  })
  it('there is a cup for the thinnest and for the thickest', () => {
    // 0.1 s to 4 s of level time by the start value.
    for (const nu of [12, 40, 60, 125, 250, 500]) {
      const [least, most] = cupFor(nu).rangeS.map((t) => cupFor(nu).viscosity(t))
      expect(least).toBeLessThan(nu)
      expect(most).toBeGreaterThan(nu)
    }
    expect(cupFor(12).key).toBe('iso-3')
  })
  it('becomes a level time by the studio’s own pairs', () => {
    expect(secondsPerNu([])).toBeCloseTo(START_SECONDS_PER_NU, 12)
    const pairs = Array.from({ length: 50 }, () => ({ levelTimeS: 2, nu: 100 }))
    expect(secondsPerNu(pairs)).toBeCloseTo(0.02, 3)
  })
})
