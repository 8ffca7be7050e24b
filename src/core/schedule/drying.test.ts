import { dryingHours, evaporation, USUAL_CLIMATE } from './drying'

describe('drying', () => {
  it('1.2 mm with 70 % water is touch-dry in some 10 h at 20 °C and 50 % (start value 0.08 kg/m²h)', () => {
    expect(dryingHours(1.2, 0.3).touch).toBeCloseTo(10.5, 9)
  })
  it('then through its skin in 24 to 72 h, as the trade has it', () => {
    const { touch, least, through, most } = dryingHours(1.2, 0.3)
    expect([least - touch, through - touch, most - touch].map((h) => Math.round(h))).toEqual([24, 48, 72])
    // t ∝ h²: half the film, a quarter of the hours.
    expect(dryingHours(0.6, 0.3).through - dryingHours(0.6, 0.3).touch).toBeCloseTo(12, 9)
  })
  it('warm and dry air is quicker: vapour held by saturated air 9.40, 17.3 and 30.4 g/m³ at 10, 20 and 30 °C (handbook tables, from memory)', () => {
    const at = (celsius: number, humidity = 0.5) => evaporation({ celsius, humidity })
    expect(at(20)).toBeCloseTo(0.08, 12)
    expect(at(10) / at(20)).toBeCloseTo(9.4 / 17.3, 2)
    expect(at(30) / at(20)).toBeCloseTo(30.4 / 17.3, 2)
    expect(at(20, 0.75)).toBeCloseTo(0.04, 12)
  })
  it('air that is full of water dries slowly, and not never', () => {
    expect(evaporation({ celsius: 20, humidity: 1 })).toBeCloseTo(0.008, 12)
    expect(dryingHours(0, 0.3, USUAL_CLIMATE).through).toBe(0)
    expect(() => dryingHours(-1, 0.3)).toThrow('A film')
  })
})
