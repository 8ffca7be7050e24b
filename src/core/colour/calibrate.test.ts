import { opticsFromTint } from '../../../tests/support/colour'
import {
  BLACK,
  WHITE,
  asPaint,
  inventOtherPigments,
  inventPigments,
  labOf,
  readMix,
  type Pigment,
} from '../../../tests/support/pigments'
import { gaussian, random } from '../../../tests/support/random'
import { cholesky, invertSymmetric, solveCholesky } from '../linear/cholesky'
import { calibrate, type Calibrated, type MeasuredMix } from './calibrate'
import { deltaE00 } from './deltaE00'
import { mixToLab } from './mixColour'
import { hexOfReflectance, spectrumOf, STANDARD_BLACK, STANDARD_WHITE, STANDARDS } from './paintedOut'
import { opticsFromHex } from './paintOptics'
import { sureOf } from './predict'

/** What is known, and how well: the world a studio's first measurements are made in. */
interface World {
  readonly pigments?: typeof inventPigments
  /** Colours from a screen or a photo, no reader. */
  readonly hex?: true
  /** How a hand with a spoon errs in the small share. */
  readonly spoon?: number
  /** Every strength class one off. */
  readonly classOff?: true
  /** White and black as they are, against the usual ones. */
  readonly strongBlack?: number
  /** Painted out with a white and a black nobody named. */
  readonly unnamed?: true
}

/** Half again the reader's noise. */
const NOISE = 1.5
const CLASSES = ['weak', 'normal', 'strong', 'very strong'] as const
const oneOff = (s: (typeof CLASSES)[number], next: () => number) => {
  const [at, way] = [CLASSES.indexOf(s), next() < 0.5 ? -1 : 1]
  return CLASSES[at + way] ?? CLASSES[at - way]!
}

/** A drawer of invented pigments as a studio gets to know it, and mixes of them nobody measured. */
function drawer(seed: number, world: World) {
  const next = random(seed)
  const pigments = (world.pigments ?? inventPigments)(24, next)
  const factor = world.strongBlack ?? 1
  const black = { ...BLACK, optics: { k: BLACK.optics.k.map((v) => v * factor), s: BLACK.optics.s } }
  const all = [WHITE, black, ...pigments]
  const seen = (r: Float64Array) =>
    world.hex ? spectrumOf(hexOfReflectance(r), null) : { reflectance: r, from: 'reading' as const }
  const paintedOut = (one: Pigment, two: Pigment, share: number): MeasuredMix => {
    const about = (small: number) => small * (1 + (world.spoon ?? 0.06) * gaussian(next))
    const poured = share > 0.5 ? [share, about(1 - share)] : [about(share), 1 - share]
    const standard = two === WHITE ? STANDARD_WHITE.id : STANDARD_BLACK.id
    return {
      parts: [
        { paintId: one.id, share },
        { paintId: world.unnamed ? standard : two.id, share: 1 - share },
      ],
      ...seen(readMix([one, two], poured, next, NOISE)),
      assumed: world.unnamed ?? false,
    }
  }
  const paints = all.map((p) => {
    const strength = world.classOff && pigments.includes(p) ? oneOff(p.strength, next) : p.strength
    const paint = asPaint(p, next, strength, NOISE)
    const { reflectance, from } = seen(paint.masstone)
    return { ...paint, masstone: reflectance, lab: labOf(reflectance), from }
  })
  const tints = [paintedOut(black, WHITE, 0.1), ...pigments.map((p) => paintedOut(p, WHITE, 0.1))]
  const shades = pigments.map((p) => paintedOut(p, black, 0.8))
  const unseen = Array.from({ length: 125 }, () => {
    const mix = Array.from({ length: 2 + Math.floor(next() * 2) }, () => all[Math.floor(next() * all.length)]!)
    return { mix, amounts: mix.map(() => 0.1 + next()) }
  })
  return { paints, tints, shades, unseen }
}
const mean = (values: readonly number[]) => values.reduce((a, b) => a + b, 0) / values.length

/** Mean ΔE00 on mixes nobody measured, and what was said it would be. */
function missOf({ unseen }: ReturnType<typeof drawer>, known: Map<string, Calibrated>) {
  const [misses, said]: [number[], number[]] = [[], []]
  for (const { mix, amounts } of unseen) {
    const optics = mix.map(({ id }) => known.get(id)!)
    misses.push(
      deltaE00(
        mixToLab(
          mix.map((p) => p.optics),
          amounts,
        ),
        mixToLab(
          optics.map((o) => o.optics),
          amounts,
        ),
      ),
    )
    const paints = optics.map((o) => ({ ...o, sheen: 'satin', known: 'tint' }) as const)
    said.push(sureOf(paints, amounts).sureness.plusMinus)
  }
  return { misses, said }
}
/** Off, and said ÷ off, over some drawers of a world. @param use which of its measurements are there */
function inWorld(world: World, use: (d: ReturnType<typeof drawer>) => MeasuredMix[], seeds = [1, 2, 3]) {
  const results = seeds.map((seed) => {
    const d = drawer(seed, world)
    return missOf(d, calibrate(d.paints, use(d), STANDARDS))
  })
  const off = mean(results.flatMap((r) => r.misses))
  return { off, honest: mean(results.flatMap((r) => r.said)) / off }
}
const tintOnly = (d: ReturnType<typeof drawer>) => d.tints
const both = (d: ReturnType<typeof drawer>) => [...d.tints, ...d.shades]

describe('calibration on invented pigments that obey the theory, read with noise', () => {
  it('every measurement brings unseen mixes nearer', () => {
    const none = inWorld({}, () => []).off
    const tint = inWorld({}, tintOnly).off
    expect(inWorld({ classOff: true }, () => []).off).toBeGreaterThan(none * 1.2)
    expect(none).toBeGreaterThan(tint * 2)
    expect(tint).toBeGreaterThan(inWorld({}, both).off)
  })
  // The goals of mean ΔE00, each in a world of its own; what is said to be off is off within a third.
  it.each<[string, World, number]>([
    ['read, tint and shade', {}, 0.8],
    ['read, pigments of another make', { pigments: inventOtherPigments }, 0.8],
    ['read, a black twice as strong', { strongBlack: 2.2 }, 0.8],
    ['from hex, the studio’s own white and black', { hex: true }, 2],
    ['from hex, a weak black', { hex: true, strongBlack: 0.4 }, 2.1],
    ['read, shares ± 15 %', { spoon: 0.15 }, 2.5],
    ['from hex, shares ± 15 %', { hex: true, spoon: 0.15 }, 2.5],
    ['read, strength class one off', { classOff: true }, 2.5],
    ['from hex, strength class one off', { hex: true, classOff: true }, 2.5],
  ])('%s', (_, world, most) => {
    const { off, honest } = inWorld(world, both)
    expect(off).toBeLessThanOrEqual(most)
    expect(honest).toBeGreaterThan(0.75)
    expect(honest).toBeLessThan(1.33)
  })
  it.each<[string, World]>([
    ['read', { unnamed: true, strongBlack: 2.2 }],
    ['from hex', { unnamed: true, hex: true, strongBlack: 0.4 }],
  ])('%s, with a white nobody named, it is said to be less sure and is still honest', (_, world) => {
    const [unnamed, named] = [inWorld(world, tintOnly), inWorld({ ...world, unnamed: undefined } as World, tintOnly)]
    expect(unnamed.off * unnamed.honest).toBeGreaterThan(named.off * named.honest)
    expect(unnamed.honest).toBeGreaterThan(0.75)
    expect(unnamed.honest).toBeLessThan(1.4)
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
    // Dark bands are taken with their neighbours: less than a reader repeats.
    expect(deltaE00(mixToLab([known.optics], [1]), labOf(paint.masstone))).toBeLessThan(0.25)
    const swatch = { ...paint, ...spectrumOf(hexOfReflectance(paint.masstone), null) }
    const rebuilt = calibrate([{ ...swatch, masstone: swatch.reflectance }], []).get(blue.id)!
    expect(deltaE00(mixToLab([rebuilt.optics], [1]), labOf(swatch.reflectance))).toBeLessThan(0.01)
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
