import { jStat } from 'jstat'
import { fisherTwoSided } from '../../../tests/support/learning/fisher'
import { normalCdf, normalPdf, Z_90 } from './normal'
import { betaCdf, logGamma, tCdf, tQuantile } from './studentT'

describe('distributions, beside jStat', () => {
  it('ln Γ', () => {
    for (const x of [0.1, 0.5, 1, 1.5, 3, 10, 50.5, 171]) expect(logGamma(x)).toBeCloseTo(jStat.gammaln(x), 9)
    expect(logGamma(0.5)).toBeCloseTo(Math.log(Math.sqrt(Math.PI)), 12)
  })
  it('the incomplete beta function', () => {
    for (const a of [0.5, 1, 2, 7.5, 40])
      for (const b of [0.5, 1, 3, 20])
        for (const x of [0, 0.01, 0.2, 0.5, 0.77, 0.999, 1])
          expect(betaCdf(x, a, b)).toBeCloseTo(jStat.beta.cdf(x, a, b), 6)
    // By symmetry, to the last digit: jStat stops at seven.
    for (const a of [0.5, 3, 20]) expect(betaCdf(0.5, a, a)).toBeCloseTo(0.5, 14)
    expect(betaCdf(0.3, 1, 4)).toBeCloseTo(1 - 0.7 ** 4, 14)
    expect(() => betaCdf(1.1, 1, 1)).toThrow(/between 0 and 1/)
    expect(() => betaCdf(0.5, 0, 1)).toThrow(/above 0/)
  })
  it('Student’s t, and back', () => {
    for (const nu of [1, 2, 4.5, 10, 60])
      for (const t of [-6, -1, 0, 0.3, 2.2]) {
        expect(tCdf(t, nu)).toBeCloseTo(jStat.studentt.cdf(t, nu), 6)
        expect(tQuantile(tCdf(t, nu), nu)).toBeCloseTo(t, 6)
      }
    expect(tCdf(Infinity, 3)).toBe(1)
    expect(tCdf(-Infinity, 3)).toBe(0)
    expect(() => tQuantile(1, 3)).toThrow(/between 0 and 1/)
    expect(() => tCdf(Number.NaN, 3)).toThrow(/number/)
  })
  it('the normal', () => {
    for (const x of [-4, -1, 0, 0.5, 2.7]) {
      expect(normalCdf(x)).toBeCloseTo(jStat.normal.cdf(x, 0, 1), 6)
      expect(normalPdf(x)).toBeCloseTo(jStat.normal.pdf(x, 0, 1), 12)
    }
    expect(Z_90).toBeCloseTo(jStat.normal.inv(0.9, 0, 1), 9)
  })
  it('Fisher’s test by its own worked example: eight cups of tea, all told right, one in seventy each way', () => {
    // R. A. Fisher, The Design of Experiments, 1935, ch. II: 1/70 for all right; two-sided twice that.
    expect(fisherTwoSided(4, 0, 0, 4)).toBeCloseTo(2 / 70, 12)
    const by = (k: number) => jStat.hypgeom.pdf(k, 30, 12, 9)
    const all = Array.from({ length: 10 }, (_, k) => by(k)).filter((p) => p <= by(7) * (1 + 1e-9))
    expect(fisherTwoSided(7, 2, 5, 16)).toBeCloseTo(
      all.reduce((s, p) => s + p, 0),
      9,
    )
  })
})
