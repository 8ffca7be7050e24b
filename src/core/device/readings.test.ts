import { hexToLab } from '../colour/lab'
import { reflectanceFromHex } from '../colour/reflectance'
import type { Triple } from '../colour/srgb'
import { averageReadings, labOfReading, type Reading } from './readings'

const teal = hexToLab('#136a78')
const near = (d: number): Reading => ({ lab: [teal[0] + d, teal[1] - d, teal[2]] as Triple })

describe('readings of one spot', () => {
  it('are averaged, and one beside the swatch is left out', () => {
    const result = averageReadings([near(0.1), near(-0.1), near(0.05), near(-0.05), { lab: [95, 0, 2] }])
    expect(result).toMatchObject({ used: 4, rejected: 1, reflectance: null })
    result.lab.forEach((v, k) => expect(v).toBeCloseTo(teal[k]!, 9))
    expect(result.spread).toBeLessThan(0.2)
  })
  it('keeps small differences: a reader’s own repeatability is no outlier', () => {
    expect(averageReadings([near(0), near(0), near(0), near(0.15)]).used).toBe(4)
  })
  it('averages spectra where all have one, and colour follows from them', () => {
    const r = [...reflectanceFromHex('#136a78')]
    const up = r.map((v) => v * 1.01)
    const down = r.map((v) => v * 0.99)
    const result = averageReadings([up, down].map((reflectance) => ({ lab: [0, 0, 0], reflectance })))
    result.reflectance!.forEach((v, i) => expect(v).toBeCloseTo(r[i]!, 9))
    result.lab.forEach((v, k) => expect(v).toBeCloseTo(teal[k]!, 1))
    expect(labOfReading(near(0))).toEqual(teal)
  })
  it('refuses nothing, and readings that scatter', () => {
    expect(() => averageReadings([])).toThrow('The reader gave nothing')
    expect(() => averageReadings([{ lab: [20, 0, 0] }, { lab: [60, 0, 0] }])).toThrow('scatter too much')
  })
})
