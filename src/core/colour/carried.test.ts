import { carriedContrast, paintFor, type CarriedPaint } from './carried'
import { FILM_THICKNESS, overCard, paintScatter } from './film'
import { opticsFromHex } from './paintOptics'

const violet = (more: Partial<CarriedPaint> = {}): CarriedPaint => ({
  optics: opticsFromHex('#6a4a9a', 'weak'),
  opacity: 'semi-transparent',
  body: 'soft',
  amount: 1,
  ...more,
})

describe('what medium does to hiding', () => {
  it('every part of medium takes from it', () => {
    const ratios = [0, 1, 2, 3, 5, 7, 10].map((k) => carriedContrast([violet()], k))
    for (const [i, r] of ratios.entries()) if (i) expect(r).toBeLessThan(ratios[i - 1]!)
    expect(ratios[0]!).toBeGreaterThan(0.95)
    expect(ratios.at(-1)!).toBeLessThan(0.7)
  })
  it('is the film of as much paint as a pour of 0.8 mm wet holds, against a drawdown of 0.15 mm', () => {
    const { optics } = violet()
    // By hand: 0.8 / 0.15 / 8 = 2/3 of the usual film at 7 : 1.
    const film = { optics, scatter: paintScatter(violet()), thickness: (2 / 3) * FILM_THICKNESS.soft }
    expect(carriedContrast([violet()], 7)).toBeCloseTo(overCard(film).contrastRatio, 9)
    // At 4.33 : 1 it is the drawdown itself, and hides as its class says.
    expect(carriedContrast([violet()], 0.8 / 0.15 - 1)).toBeCloseTo(0.8, 3)
  })
  it('says how much more paint brings it there', () => {
    const times = paintFor([violet()], 9)!
    expect(times).toBeGreaterThan(1.1)
    expect(carriedContrast([violet({ amount: times })], 9)).toBeCloseTo(0.7, 4)
    expect(paintFor([violet({ opacity: 'opaque' })], 1)).toBe(1)
    expect(paintFor([violet({ opacity: 'transparent', body: 'ink' })], 7, 0.99)).toBeUndefined()
    expect(() => carriedContrast([violet({ amount: 0 })], 7)).toThrow('no paint in it')
  })
})
