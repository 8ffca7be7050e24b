import { opticsFromTint } from '../../../tests/support/colour'
import { BLACK, WHITE, asPaint, inventPigments, labOf, readMix, type Pigment } from '../../../tests/support/pigments'
import { gaussian, random } from '../../../tests/support/random'
import { cholesky, invertSymmetric, solveCholesky } from '../linear/cholesky'
import { calibrate, type Calibrated, type MeasuredMix } from './calibrate'
import { deltaE00 } from './deltaE00'
import { mixToLab } from './mixColour'
import { opticsFromHex } from './paintOptics'
import { predict, type FormulaPaint } from './predict'

/** How a reader and a hand with a spoon err: half again the reader's noise, six per cent of a small share. */
const NOISE = 1.5
const about = (share: number, next: () => number) => share * (1 + 0.06 * gaussian(next))
const mixOf = (one: Pigment, two: Pigment, share: number, next: () => number): MeasuredMix => ({
  parts: [
    { paintId: one.id, share },
    { paintId: two.id, share: 1 - share },
  ],
  reflectance: readMix(
    [one, two],
    share > 0.5 ? [share, about(1 - share, next)] : [about(share, next), 1 - share],
    next,
    NOISE,
  ),
  from: 'reading',
})

/** A drawer of invented pigments as a studio gets to know it, and mixes of them nobody measured. */
function drawer(seed: number) {
  const next = random(seed)
  const pigments = inventPigments(24, next)
  const all = [WHITE, BLACK, ...pigments]
  const paints = all.map((p) => asPaint(p, next, p.strength, NOISE))
  const tints = [mixOf(BLACK, WHITE, 0.1, next), ...pigments.map((p) => mixOf(p, WHITE, 0.1, next))]
  const shades = pigments.map((p) => mixOf(p, BLACK, 0.8, next))
  const unseen = Array.from({ length: 300 }, () => {
    const mix = Array.from({ length: 2 + Math.floor(next() * 2) }, () => all[Math.floor(next() * all.length)]!)
    return { mix, amounts: mix.map(() => 0.1 + next()) }
  })
  return { all, paints, tints, shades, unseen }
}
const mean = (values: readonly number[]) => values.reduce((a, b) => a + b, 0) / values.length

function missOf({ unseen }: ReturnType<typeof drawer>, known: Map<string, Calibrated>) {
  const misses: number[] = []
  const said: number[] = []
  for (const { mix, amounts } of unseen) {
    const truth = mixToLab(
      mix.map((p) => p.optics),
      amounts,
    )
    const paints = mix.map(({ id }): FormulaPaint => {
      const { optics, sigma } = known.get(id)!
      return { optics, sigma, lab: [50, 0, 0], opacity: 'opaque', body: 'soft', sheen: 'satin', known: 'tint' }
    })
    const predicted = predict(paints, amounts)
    misses.push(deltaE00(truth, predicted.lab))
    said.push(predicted.sureness.plusMinus)
  }
  return { misses, said }
}

describe('calibration on invented pigments that obey the theory, read with noise', () => {
  const drawers = [1, 2, 3, 4, 5, 6].map(drawer)
  const steps = {
    'masstone only': drawers.map((d) =>
      missOf(
        d,
        calibrate(
          d.paints.map((p) => ({ ...p, strength: 'normal' })),
          [],
        ),
      ),
    ),
    'and strength class': drawers.map((d) => missOf(d, calibrate(d.paints, []))),
    'and a 10 % tint': drawers.map((d) => missOf(d, calibrate(d.paints, d.tints))),
    'and a 20 % shade': drawers.map((d) => missOf(d, calibrate(d.paints, [...d.tints, ...d.shades]))),
  }
  const errors = Object.values(steps).map((s) => mean(s.flatMap((d) => d.misses)))

  it('mean ΔE00 on unseen mixes falls with every measurement, to 2.5 or less', () => {
    expect(errors[0]!).toBeGreaterThan(errors[1]! * 1.2)
    expect(errors[1]!).toBeGreaterThan(errors[2]! * 2)
    expect(errors[2]!).toBeGreaterThan(errors[3]!)
    expect(errors[3]!).toBeLessThanOrEqual(2.5)
  })
  it('says how sure it is: what it claims to be off by is what it is off by, within a third', () => {
    const claims = Object.values(steps).map((s) => mean(s.flatMap((d) => d.said)))
    for (const i of [1, 2, 3]) {
      expect(claims[i]! / errors[i]!).toBeGreaterThan(0.67)
      expect(claims[i]! / errors[i]!).toBeLessThan(1.33)
    }
  })
})

describe('what a calibration makes of its measurements', () => {
  const next = random(77)
  const [blue, yellow] = inventPigments(2, next) as [Pigment, Pigment]
  it('gives K and S back to 1e-6 from a masstone and a tint without noise', () => {
    for (const p of inventPigments(20, next)) {
      const found = opticsFromTint(readMix([p], [1]), readMix([p, WHITE], [0.1, 0.9]), 0.9, WHITE.optics)
      found.k.forEach((v, i) => expect(Math.abs(v / p.optics.k[i]! - 1)).toBeLessThan(1e-6))
      found.s.forEach((v, i) => expect(Math.abs(v / p.optics.s[i]! - 1)).toBeLessThan(1e-6))
    }
  })
  it('without mixes is the estimate by masstone and strength class', () => {
    const paint = asPaint(blue)
    const known = calibrate([paint], []).get(blue.id)!
    expect(known).toMatchObject({ mixes: 0, fit: null })
    expect(known.sigma).toBeGreaterThan(0.5)
    expect(mixToLab([known.optics], [1])).toEqual(expect.arrayContaining([expect.any(Number)]))
    expect(deltaE00(mixToLab([known.optics], [1]), labOf(paint.masstone))).toBeLessThan(0.01)
  })
  it('learns two unknown paints from mixes with each other and with white', () => {
    const paints = [WHITE, blue, yellow].map((p) => asPaint(p))
    const exact = (one: Pigment, two: Pigment, share: number): MeasuredMix => ({
      parts: [
        { paintId: one.id, share },
        { paintId: two.id, share: 1 - share },
      ],
      reflectance: readMix([one, two], [share, 1 - share]),
      from: 'reading',
    })
    const known = calibrate(paints, [exact(blue, yellow, 0.5), exact(blue, WHITE, 0.1), exact(yellow, WHITE, 0.3)])
    const truth = mixToLab([blue.optics, yellow.optics], [1, 4])
    const after = mixToLab([known.get(blue.id)!.optics, known.get(yellow.id)!.optics], [1, 4])
    expect(deltaE00(truth, after)).toBeLessThan(0.5)
    expect(known.get(blue.id)!.fit).toBeLessThan(0.2)
    expect(known.get(blue.id)!.mixes).toBe(2)
    expect(known.get(blue.id)!.sigma).toBeLessThan(0.15)
  })
  it('is not led astray by one mix that was measured on the wrong swatch', () => {
    const paints = [WHITE, blue].map((p) => asPaint(p))
    const at = (share: number, reflectance = readMix([blue, WHITE], [share, 1 - share])): MeasuredMix => ({
      parts: [
        { paintId: blue.id, share },
        { paintId: 'white', share: 1 - share },
      ],
      reflectance,
      from: 'reading',
    })
    const good = [at(0.05), at(0.1), at(0.3), at(0.5)]
    const wrong = at(0.2, readMix([yellow], [1]))
    const truth = mixToLab([blue.optics, WHITE.optics], [15, 85])
    const miss = (mixes: MeasuredMix[]) =>
      deltaE00(truth, mixToLab([calibrate(paints, mixes).get(blue.id)!.optics, WHITE.optics], [15, 85]))
    expect(miss(good)).toBeLessThan(0.3)
    expect(miss([...good, wrong])).toBeLessThan(2)
  })
  it('leans on held optics and leaves mixes with unknown paints out', () => {
    const tint: MeasuredMix = {
      parts: [
        { paintId: blue.id, share: 0.1 },
        { paintId: 'white', share: 0.9 },
      ],
      reflectance: readMix([blue, WHITE], [0.1, 0.9]),
      from: 'reading',
    }
    expect(calibrate([asPaint(blue)], [tint]).get(blue.id)!.mixes).toBe(0)
    const held = calibrate([asPaint(blue)], [tint], new Map([['white', WHITE.optics]])).get(blue.id)!
    expect(held.mixes).toBe(1)
    const truth = mixToLab([blue.optics, WHITE.optics], [1, 4])
    expect(deltaE00(truth, mixToLab([held.optics, WHITE.optics], [1, 4]))).toBeLessThan(0.5)
  })
  it('a swatch known by its hex only still tells how strong the paint is', () => {
    const strong = opticsFromHex('#1d4e9e', 'very strong')
    const weak = { ...asPaint({ ...blue, optics: strong }), from: 'hex' as const, strength: 'weak' as const }
    const tint: MeasuredMix = {
      parts: [
        { paintId: blue.id, share: 0.1 },
        { paintId: 'white', share: 0.9 },
      ],
      reflectance: readMix([{ ...blue, optics: strong }, WHITE], [0.1, 0.9]),
      from: 'hex',
    }
    const held = new Map([['white', WHITE.optics]])
    const truth = mixToLab([strong, WHITE.optics], [1, 19])
    const miss = (mixes: MeasuredMix[]) =>
      deltaE00(truth, mixToLab([calibrate([weak], mixes, held).get(blue.id)!.optics, WHITE.optics], [1, 19]))
    expect(miss([tint])).toBeLessThan(miss([]) / 4)
  })
})

describe('linear algebra under it', () => {
  it('solves and inverts by Cholesky, and refuses what is not positive definite', () => {
    const a = Float64Array.of(4, 2, 1, 2, 5, 3, 1, 3, 6)
    const x = solveCholesky(cholesky(a, 3)!, 3, [11, 21, 25])
    x.forEach((v, i) => expect(v).toBeCloseTo([1, 2, 3][i]!, 12))
    const inverse = invertSymmetric(a, 3)
    for (let i = 0; i < 3; i++)
      for (let j = 0; j < 3; j++) {
        const sum = [0, 1, 2].reduce((s, k) => s + a[3 * i + k]! * inverse[3 * k + j]!, 0)
        expect(sum).toBeCloseTo(i === j ? 1 : 0, 12)
      }
    expect(cholesky(Float64Array.of(1, 2, 2, 1), 2)).toBeUndefined()
    expect(() => invertSymmetric(Float64Array.of(0, 0, 0, 0), 2)).toThrow(RangeError)
  })
})
