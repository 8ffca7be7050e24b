import { gaussian, random } from '../../../tests/support/random'
import { crackRisk, type DriedFilm } from './crackRisk'

const film = (wetMm: number, waterOfPaint = 0.2) => ({ wetMm, waterOfPaint })

describe('crack risk (start values of Fika)', () => {
  it('rises with the film and with water past 30 % of the paint, and nothing below that counts', () => {
    const risk = (mm: number, water?: number) => crackRisk(film(mm, water), []).risk
    // Between the start values as they stand and as unsure as they are.
    expect(risk(1.2)).toBeGreaterThan(1 / (1 + Math.exp(3.2)))
    expect(risk(1.2)).toBeLessThan(0.08)
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
  it('is what an integral over all weights gives, point by point of a grid', () => {
    const next = random(5)
    const own = Array.from({ length: 30 }, (): DriedFilm => ({
      wetMm: Math.exp(0.4 * gaussian(next)) * 1.4,
      waterOfPaint: 0.6 * next(),
      cracked: next() < 0.4,
    }))
    const [start, sd] = [
      [-3.2, 2.5, 1.5],
      [0.9, 0.9, 0.8],
    ]
    const logit = (w: readonly number[], f: { wetMm: number; waterOfPaint: number }) =>
      w[0]! + w[1]! * Math.log(f.wetMm / 1.2) + w[2]! * Math.max(0, f.waterOfPaint - 0.3)
    const points: { w: number[]; log: number }[] = []
    const line = (i: number) => Array.from({ length: 33 }, (_, k) => start![i]! + sd![i]! * (k / 4 - 4))
    for (const a of line(0))
      for (const b of line(1))
        for (const c of line(2)) {
          const w = [a, b, c]
          let log = -w.reduce((sum, x, i) => sum + ((x - start![i]!) / sd![i]!) ** 2 / 2, 0)
          for (const o of own) log -= Math.log(1 + Math.exp((o.cracked ? -1 : 1) * logit(w, o)))
          points.push({ w, log })
        }
    const top = Math.max(...points.map((p) => p.log))
    const all = points.reduce((s, p) => s + Math.exp(p.log - top), 0)
    for (const [mm, water] of [
      [1, 0.2],
      [2, 0.2],
      [1.5, 0.7],
    ] as const) {
      const mean = points.reduce((s, p) => s + Math.exp(p.log - top) / (1 + Math.exp(-logit(p.w, film(mm, water)))), 0)
      expect(Math.abs(crackRisk(film(mm, water), own).risk - mean / all)).toBeLessThan(0.015)
    }
  })
  it('is lower with anti-craze medium, higher with a weak binder or under heat, and says how unsure it is', () => {
    const plain = crackRisk(film(1.5), [])
    expect(crackRisk({ ...film(1.5), antiCraze: 0.3 }, []).risk).toBeLessThan(plain.risk)
    expect(crackRisk({ ...film(1.5), weakBinder: 0.5 }, []).risk).toBeGreaterThan(plain.risk)
    expect(crackRisk({ ...film(1.5), fastSkin: 1 }, []).risk).toBeGreaterThan(plain.risk)
    expect(plain.low).toBeLessThan(plain.risk)
    expect(plain.high).toBeGreaterThan(plain.risk)
    const held = Array.from({ length: 60 }, (): DriedFilm => ({ ...film(1.5), cracked: false }))
    expect(crackRisk(film(1.5), held).high - crackRisk(film(1.5), held).low).toBeLessThan(plain.high - plain.low)
  })
})
