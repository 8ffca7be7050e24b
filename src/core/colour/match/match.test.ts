import { BLACK, WHITE, inventPigments, labOf } from '../../../../tests/support/pigments'
import { random } from '../../../../tests/support/random'
import { drawn } from '../../../../tests/support/thorough'
import { deltaE00 } from '../deltaE00'
import { mixReflectance } from '../kubelkaMunk'
import { mixToHex, mixToLab } from '../mixColour'
import { opticsFromHex } from '../paintOptics'
import { reflectanceFromHex } from '../reflectance'
import { srgbToHex, type Triple } from '../srgb'
import { aimOf, match, matchSteps } from './match'
import { mendSteps } from './mend'
import { labOfSet, paletteOf, xyzAndSlope, xyzOfSet } from './palette'

const next = random(5)
const sixty = [WHITE, BLACK, ...inventPigments(58, next)].map((p) => p.optics)
const few = [WHITE, BLACK, ...inventPigments(6, next)].map((p) => p.optics)

/** A formula the search is not told. */
function hidden(paints: readonly (typeof WHITE.optics)[], most = 3) {
  const set = Array.from({ length: 2 + Math.floor(next() * (most - 1)) }, () => Math.floor(next() * paints.length))
  const amounts = set.map(() => 0.05 + next())
  return {
    set,
    amounts,
    reflectance: mixReflectance(
      set.map((i) => paints[i]!),
      amounts,
    ),
  }
}

describe('matching finds formulas again', () => {
  const targets = Array.from({ length: drawn(50, 200) }, () => hidden(sixty))
  const found = targets.map((t) => match(t.reflectance, sixty, { most: 3 }))
  it('≥ 99 % of hidden 2–3-paint colours out of 60 paints within ΔE00 0.1', () => {
    expect(found.filter((f) => f.exact[0]!.deltaE <= 0.1).length).toBeGreaterThanOrEqual(
      Math.floor(0.99 * targets.length),
    )
  })
  it('in whole parts of ten at most, ≥ 95 % within 0.5', () => {
    expect(found.filter((f) => f.whole[0]!.deltaE <= 0.5).length).toBeGreaterThanOrEqual(0.95 * targets.length)
    for (const { whole } of found)
      for (const w of whole.slice(0, 5)) {
        expect(Math.max(...w.parts)).toBeLessThanOrEqual(10)
        expect(w.parts.every((p) => Number.isInteger(p) && p >= 1)).toBe(true)
      }
  })
  it('says what the formula it found really gives', () => {
    for (const [i, { exact, whole }] of found.slice(0, 40).entries()) {
      const lab = labOf(targets[i]!.reflectance)
      const of = (set: readonly number[], amounts: ArrayLike<number>) =>
        deltaE00(
          mixToLab(
            set.map((p) => sixty[p]!),
            Array.from(amounts),
          ),
          lab,
        )
      expect(of(exact[0]!.set, exact[0]!.amounts)).toBeCloseTo(exact[0]!.deltaE, 9)
      expect(of(whole[0]!.set, whole[0]!.parts)).toBeCloseTo(whole[0]!.deltaE, 9)
      expect(exact[0]!.deltaE).toBeLessThanOrEqual(exact[1]!.deltaE)
      expect(exact[0]!.amounts.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9)
    }
  })
})

/** The best of every set of up to three of a few paints, by a grid and pattern search from its best point. */
function bruteForce(lab: Triple): number {
  const palette = paletteOf(few)
  const grid = Array.from({ length: 31 }, (_, i) => Math.exp((i - 15) * 0.45))
  let best = Infinity
  const of = (set: number[], amounts: number[]) => deltaE00(labOfSet(palette, set, amounts), lab)
  for (let a = 0; a < few.length; a++)
    for (let b = a + 1; b < few.length; b++)
      for (let c = b; c < few.length; c++) {
        const set = c === b ? [a, b] : [a, b, c]
        let here = Infinity
        let at: number[] = []
        for (const x of grid)
          for (const y of c === b ? [1] : grid) {
            const amounts = c === b ? [1, x] : [1, x, y]
            const d = of(set, amounts)
            if (d < here) [here, at] = [d, amounts]
          }
        for (let step = 0.3; step > 0.003;) {
          const moves = at.flatMap((_, j) =>
            [step, -step].map((w) => at.map((v, k) => (k === j ? v * Math.exp(w) : v))),
          )
          const better = moves.find((m) => of(set, m) < here - 1e-9)
          if (better) [here, at] = [of(set, better), better]
          else step /= 2
        }
        best = Math.min(best, here)
      }
  return best
}

describe('matching against brute force', () => {
  it('on 8 paints is never more than 0.05 behind, reachable or not', () => {
    const targets = [
      ...Array.from({ length: drawn(7, 20) }, () => reflectanceFromHex(srgbToHex([next(), next(), next()]))),
      ...Array.from({ length: drawn(3, 10) }, () => hidden(few).reflectance),
    ]
    const gaps = targets.map((t) => match(t, few, { most: 3 }).exact[0]!.deltaE - bruteForce(labOf(t)))
    expect(Math.max(...gaps)).toBeLessThanOrEqual(0.05)
  })
})

/** The nearest of every ratio of up to three paints in parts of ten at most. */
function everyRatio(lab: Triple, paints: typeof few): number {
  const palette = paletteOf(paints)
  const n = paints.length
  let best = Infinity
  for (let a = 0; a < n; a++)
    for (let b = a + 1; b < n; b++)
      for (let c = b + 1; c < n; c++)
        for (let ratio = 1; ratio < 11 ** 3; ratio++) {
          const parts = [ratio % 11, Math.floor(ratio / 11) % 11, Math.floor(ratio / 121)]
          best = Math.min(best, deltaE00(labOfSet(palette, [a, b, c], parts), lab))
        }
  return best
}

describe('whole parts against every ratio there is', () => {
  it.each([
    [6, drawn(13, 40)],
    [8, drawn(4, 8)],
    [14, drawn(1, 5)],
  ])('of %i paints are never more than 0.1 behind', (count, targets) => {
    const next = random(160 + count)
    const paints = [WHITE, BLACK, ...inventPigments(count - 2, next)].map((p) => p.optics)
    for (let i = 0; i < targets; i++) {
      const target = reflectanceFromHex(srgbToHex([next(), next(), next()]))
      const gap = match(target, paints, { most: 3 }).whole[0]!.deltaE - everyRatio(labOf(target), paints)
      expect(gap).toBeLessThanOrEqual(0.1)
    }
  })
  it('two paints that must be in it always make a formula, however strong one of them is', () => {
    const next = random(33)
    const paints = [WHITE, BLACK, ...inventPigments(10, next)].map((p) => p.optics)
    for (let i = 0; i < 12; i++) {
      const target = reflectanceFromHex(srgbToHex([next(), next(), next()]))
      const musts = [i % 4, 4 + (i % 7)]
      for (const most of [2, 3] as const) {
        const { whole } = match(target, paints, { most, musts })
        expect(whole.length).toBeGreaterThan(0)
        for (const w of whole) for (const m of musts) expect(w.parts[w.set.indexOf(m)]).toBeGreaterThanOrEqual(1)
      }
    }
  })
})

describe('what one may ask of a match', () => {
  const target = mixReflectance([sixty[0]!, sixty[5]!, sixty[9]!], [3, 1, 1])
  it('musts are in every formula, and the number of paints is kept', () => {
    for (const most of [1, 2, 3, 4] as const) {
      const { exact, whole } = match(target, sixty, { most, musts: [7] })
      expect(exact.length).toBeGreaterThan(0)
      for (const f of [...exact, ...whole]) {
        expect(f.set).toContain(7)
        expect(f.set.length).toBeLessThanOrEqual(most)
      }
    }
  })
  it.each([60, 120])('three or four musts among %i paints are all in what is found', (count) => {
    const next = random(41)
    const paints = [WHITE, BLACK, ...inventPigments(count - 2, next)].map((p) => p.optics)
    for (const musts of [
      [3, 50, 17],
      [59, 3, 8, 21],
    ]) {
      const { exact, whole } = match(target, paints, { most: 4, musts })
      expect(exact[0]!.set).toEqual(expect.arrayContaining(musts))
      expect(whole[0]!.set).toEqual(expect.arrayContaining(musts))
    }
  })
  it('allowing one paint more is never worse, whatever must be in it', () => {
    const next = random(77)
    for (const [paints, times] of [
      [few, drawn(2, 8)],
      [sixty, drawn(1, 2)],
    ] as const) {
      for (let i = 0; i < times; i++) {
        const t = reflectanceFromHex(srgbToHex([next(), next(), next()]))
        for (const musts of [[], [4], [2, 3, 5]]) {
          let [exact, whole] = [Infinity, Infinity]
          for (const most of ([1, 2, 3, 4] as const).filter((n) => n >= musts.length)) {
            const found = match(t, paints, { most, musts })
            expect(found.exact[0]!.deltaE).toBeLessThanOrEqual(exact)
            expect(found.whole[0]!.deltaE).toBeLessThanOrEqual(whole)
            ;[exact, whole] = [found.exact[0]!.deltaE, found.whole[0]!.deltaE]
          }
        }
      }
    }
  })
  it('with two musts, four of eight paints come as near as the best of every set there is', () => {
    const next = random(78)
    for (let i = 0; i < drawn(2, 8); i++) {
      const t = reflectanceFromHex(srgbToHex([next(), next(), next()]))
      const all = few.flatMap((_, c) =>
        few.flatMap((_, d) =>
          c < d && c > 1 ? [match(t, [few[0]!, few[1]!, few[c]!, few[d]!], { most: 4, musts: [0, 1] })] : [],
        ),
      )
      const best = Math.min(...all.map((f) => f.exact[0]!.deltaE))
      expect(match(t, few, { most: 4, musts: [0, 1] }).exact[0]!.deltaE).toBeLessThanOrEqual(best + 0.05)
    }
  })
  it('larger parts come nearer', () => {
    const strong = mixReflectance([sixty[0]!, sixty[5]!], [37, 1])
    const near = (largestPart: number) => match(strong, sixty.slice(0, 6), { most: 2, largestPart }).whole[0]!.deltaE
    expect(near(40)).toBeLessThan(0.05)
    expect(near(10)).toBeGreaterThan(near(40))
  })
  it('refuses what cannot be asked', () => {
    expect(() => match(target, [], { most: 2 })).toThrow('There is no paint to match with')
    expect(() => match(target, few, { most: 2, musts: [0, 1, 2] })).toThrow('3 paints must be in it and at most 2 may')
    for (const gone of [-1, few.length, 0.5, NaN])
      expect(() => match(target, few, { most: 2, musts: [gone] })).toThrow('not among those allowed')
    for (const largestPart of [1e18, 101, 0, -3, 2.5, NaN, Infinity])
      expect(() => match(target, few, { most: 2, largestPart })).toThrow('Parts go from 1 to 100')
  })
  const told = <T>(steps: Generator<number, T>) => {
    const shares: number[] = []
    for (let s = steps.next(); !s.done; s = steps.next()) shares.push(s.value)
    return shares
  }
  it('reports how far it is between slices, so that it can be stopped', () => {
    const seen = told(matchSteps(target, sixty, { most: 3 }))
    expect(seen.length).toBeGreaterThan(20)
    expect(Math.max(...seen)).toBeLessThanOrEqual(1)
  })
  it('never tells less than it told before, also where it has to look anew', () => {
    // Greener than any of these: the search comes out far off and starts again from there.
    const far = reflectanceFromHex('#00ff40')
    expect(match(far, few, { most: 3 }).exact[0]!.deltaE).toBeGreaterThan(5)
    const wish = { most: 2, tolerance: 0.5, cupUl: 1e5, roomUl: 1e5, dropUl: 50 } as const
    for (const shares of [
      told(matchSteps(far, sixty, { most: 4 })),
      told(matchSteps(far, few, { most: 3 })),
      told(matchSteps(target, sixty, { most: 3 })),
      told(mendSteps(far, few[2]!, sixty, wish)),
    ]) {
      expect(shares.length).toBeGreaterThan(1)
      expect(shares).toEqual([...shares].sort((a, b) => a - b))
    }
  })
})

describe('the slope the search goes by', () => {
  it('is that of the mix, by differences', () => {
    const palette = paletteOf(few)
    const by = new Float64Array(12)
    const [xyz, up, down]: [Triple, Triple, Triple] = [
      [0, 0, 0],
      [0, 0, 0],
      [0, 0, 0],
    ]
    const [set, amounts] = [
      [0, 3, 5],
      [0.5, 0.2, 0.3],
    ]
    xyzAndSlope(palette, set!, amounts!, xyz, by)
    for (let j = 0; j < 3; j++) {
      const at = (d: number) => amounts!.map((v, i) => (i === j ? v + d : v))
      xyzOfSet(palette, set!, at(1e-6), up)
      xyzOfSet(palette, set!, at(-1e-6), down)
      for (let c = 0; c < 3; c++) expect(by[3 * j + c]).toBeCloseTo((up[c]! - down[c]!) / 2e-6, 5)
    }
    expect(aimOf(mixReflectance([few[0]!], [1])).xyz[1]).toBeGreaterThan(0.8)
  })
})

describe('black as a target', () => {
  it('is matched as any other: by the black where there is one, by the darkest where there is none', () => {
    const black = reflectanceFromHex('#000000')
    const withBlack = [opticsFromHex('#000000', 'strong'), ...few]
    const best = match(black, withBlack, { most: 3 })
    expect(best.exact[0]!.deltaE).toBeLessThan(0.5)
    expect(best.whole[0]!.set).toContain(0)
    const { exact, whole } = match(new Float64Array(36), few, { most: 3 })
    for (const f of [...exact, ...whole]) expect(Number.isFinite(f.deltaE)).toBe(true)
    const darkest = Math.min(...few.map((p) => mixToLab([p], [1])[0]))
    expect(exact[0]!.deltaE).toBeLessThanOrEqual(darkest + 1)
    expect(mixToHex([few[whole[0]!.set[0]!]!], [1])).toMatch(/^#[0-9a-f]{6}$/)
  })
})
