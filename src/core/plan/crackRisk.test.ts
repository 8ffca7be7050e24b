import { gaussian, random } from '../../../tests/support/random'
import { crackRisk, type DriedFilm } from './crackRisk'

const film = (wetMm: number, waterOfPaint = 0.2) => ({ wetMm, waterOfPaint })

describe('crack risk (start values of Fika)', () => {
  it('rises with the film and with water past 30 % of the paint, and nothing below that counts', () => {
    const risk = (mm: number, water?: number) => crackRisk(film(mm, water), []).risk
    expect(risk(1.2)).toBeCloseTo(1 / (1 + Math.exp(3.2)), 12)
    expect(risk(2.4)).toBeGreaterThan(3 * risk(1.2))
    expect(risk(1.2, 0.3)).toBe(risk(1.2, 0))
    expect(risk(1.2, 0.8)).toBeGreaterThan(risk(1.2, 0.4))
  })
  it('names the thickest film that keeps it under one in ten', () => {
    const { safeMm } = crackRisk(film(3, 0.5), [])
    expect(crackRisk(film(safeMm, 0.5), []).risk).toBeCloseTo(0.1, 9)
  })
  it('learns from the studio’s own: a studio whose thin films crack is warned, one whose thick ones hold is not', () => {
    const pieces = (cracked: boolean) =>
      Array.from({ length: 20 }, (_, i): DriedFilm => ({ ...film(1 + i / 20), cracked }))
    const start = crackRisk(film(1.5), []).risk
    expect(crackRisk(film(1.5), pieces(true)).risk).toBeGreaterThan(0.6)
    expect(crackRisk(film(1.5), pieces(false)).risk).toBeLessThan(start)
    expect(crackRisk(film(1.5), pieces(true)).pieces).toBe(20)
  })
  it('finds the weights that nothing near them beats, by looking about', () => {
    // The posterior by hand, over a grid of weights; Newton's answer must be its highest point.
    const next = random(5)
    const own = Array.from({ length: 30 }, (): DriedFilm => ({
      wetMm: Math.exp(0.4 * gaussian(next)) * 1.4,
      waterOfPaint: 0.6 * next(),
      cracked: next() < 0.4,
    }))
    const start = [-3.2, 2.5, 1.5]
    const density = (w: readonly number[]) =>
      own.reduce(
        (sum, o) => {
          const z = w[0]! + w[1]! * Math.log(o.wetMm / 1.2) + w[2]! * Math.max(0, o.waterOfPaint - 0.3)
          return sum - Math.log(1 + Math.exp(o.cracked ? -z : z))
        },
        -w.reduce((sum, x, i) => sum + ((x - start[i]!) / 0.8) ** 2 / 2, 0),
      )
    const at = [0, 1, 2].map(() => 0)
    let best = [...start]
    for (let width = 4; width > 1e-4; width /= 1.5) {
      const around = best
      for (at[0] = -2; at[0]! <= 2; at[0]!++)
        for (at[1] = -2; at[1]! <= 2; at[1]!++)
          for (at[2] = -2; at[2]! <= 2; at[2]!++) {
            const w = around.map((x, i) => x + (at[i]! * width) / 2)
            if (density(w) > density(best)) best = w
          }
    }
    const logit = (mm: number, water: number) =>
      best[0]! + best[1]! * Math.log(mm / 1.2) + best[2]! * Math.max(0, water - 0.3)
    for (const [mm, water] of [
      [1, 0.2],
      [2, 0.2],
      [1.5, 0.7],
    ] as const)
      expect(crackRisk(film(mm, water), own).risk).toBeCloseTo(1 / (1 + Math.exp(-logit(mm, water))), 3)
  })
})
