import { mend } from '../../../../tests/support/colour'
import { BLACK, WHITE, inventPigments, labOf } from '../../../../tests/support/pigments'
import { random } from '../../../../tests/support/random'
import { deltaE00 } from '../deltaE00'
import { mixOptics, mixReflectance } from '../kubelkaMunk'
import { mixToLab } from '../mixColour'
import { opticsFromHex } from '../paintOptics'
import { reflectanceFromHex } from '../reflectance'
import { srgbToHex, type Triple } from '../srgb'
import { aimOf, match, matchSteps } from './match'
import { asSeen, mendSteps } from './mend'
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
  const targets = Array.from({ length: 200 }, () => hidden(sixty))
  const found = targets.map((t) => match(t.reflectance, sixty, { most: 3 }))
  it('≥ 99 % of 200 hidden 2–3-paint colours out of 60 paints within ΔE00 0.1', () => {
    expect(found.filter((f) => f.exact[0]!.deltaE <= 0.1).length).toBeGreaterThanOrEqual(198)
  })
  it('in whole parts of ten at most, ≥ 95 % within 0.5', () => {
    expect(found.filter((f) => f.whole[0]!.deltaE <= 0.5).length).toBeGreaterThanOrEqual(190)
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
      ...Array.from({ length: 20 }, () => reflectanceFromHex(srgbToHex([next(), next(), next()]))),
      ...Array.from({ length: 10 }, () => hidden(few).reflectance),
    ]
    const gaps = targets.map((t) => match(t, few, { most: 3 }).exact[0]!.deltaE - bruteForce(labOf(t)))
    expect(Math.max(...gaps)).toBeLessThanOrEqual(0.05)
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
  it('four paints come at least as near as three', () => {
    for (let i = 0; i < 5; i++) {
      const t = reflectanceFromHex(srgbToHex([next(), next(), next()]))
      expect(match(t, few, { most: 4 }).exact[0]!.deltaE).toBeLessThanOrEqual(
        match(t, few, { most: 3 }).exact[0]!.deltaE + 1e-3,
      )
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

describe('mending a cup', () => {
  const wish = { most: 2, tolerance: 1, cupUl: 100_000, roomUl: 400_000, dropUl: 50 } as const
  /** Least volume by which two of a few paints bring the cup within tolerance, and the nearest they come, by a grid. */
  function grid(cup: typeof WHITE.optics, lab: Triple) {
    const palette = paletteOf([cup, ...few])
    const amounts = [0, ...Array.from({ length: 24 }, (_, i) => Math.exp((i - 18) * 0.3))]
    let [nearest, volume] = [Infinity, Infinity]
    for (let a = 1; a <= few.length; a++)
      for (let b = a + 1; b <= few.length; b++)
        for (const x of amounts)
          for (const y of amounts) {
            if (x + y > 4) continue
            const d = deltaE00(labOfSet(palette, [0, a, b], [1, x, y]), lab)
            nearest = Math.min(nearest, d)
            if (d <= wish.tolerance) volume = Math.min(volume, x + y)
          }
    return { nearest, volume }
  }
  const cases = Array.from({ length: 40 }, (_, i) => {
    const cup = hidden(few)
    const optics = mixOptics(
      cup.set.map((k) => few[k]!),
      cup.amounts,
    )
    const total = cup.amounts.reduce((a, b) => a + b, 0)
    const perUnit = { k: optics.k.map((v) => v / total), s: optics.s.map((v) => v / total) }
    const wanted =
      i % 2
        ? hidden(few)
        : {
            ...cup,
            reflectance: mixReflectance([perUnit, few[i % 8]!, few[(3 * i + 1) % 8]!], [1, 0.4 * next(), 0.2 * next()]),
          }
    const result = mend(wanted.reflectance, perUnit, few, wish)
    return { cup: perUnit, lab: labOf(wanted.reflectance), result, brute: grid(perUnit, labOf(wanted.reflectance)) }
  })
  it('reaches the target whenever brute force can, with no more paint', () => {
    let reachable = 0
    for (const { result, brute } of cases) {
      if (brute.nearest > wish.tolerance) continue
      reachable += 1
      if (result.now <= wish.tolerance) continue
      expect(result.reached).toBe(true)
      expect(result.ways[0]!.deltaE).toBeLessThanOrEqual(wish.tolerance)
      expect(result.ways[0]!.addedUl).toBeLessThanOrEqual(1.15 * brute.volume * wish.cupUl + 4 * wish.dropUl)
    }
    expect(reachable).toBeGreaterThan(15)
  })
  it('where it cannot be reached says so, and names the nearest that can', () => {
    for (const { result, brute } of cases)
      if (!result.reached && result.now > wish.tolerance) {
        const best = result.ways[0]?.deltaE ?? result.now
        expect(best).toBeLessThanOrEqual(brute.nearest + 0.1)
      }
    const black = opticsFromHex('#101010', 'very strong')
    const hopeless = mend(reflectanceFromHex('#ffffff'), black, few, { ...wish, roomUl: 50_000 })
    expect(hopeless.reached).toBe(false)
    expect(hopeless.ways[0]!.deltaE).toBeGreaterThan(wish.tolerance)
  })
  it('only ever adds, in whole drops, no more than there is room for, and says what comes of it', () => {
    for (const { cup, lab, result } of cases)
      for (const way of result.ways) {
        expect(way.addedUl).toBeLessThanOrEqual(wish.roomUl)
        expect(way.additions.every((a) => Number.isInteger(a.drops) && a.drops > 0 && a.ul === a.drops * 50)).toBe(true)
        const amounts = [1, ...way.additions.map((a) => a.ul / wish.cupUl)]
        const mixed = mixToLab([cup, ...way.additions.map((a) => few[a.paint]!)], amounts)
        expect(deltaE00(mixed, lab)).toBeCloseTo(way.deltaE, 9)
        if (!result.reached) expect(way.deltaE).toBeLessThan(result.now)
      }
  })
  it('a cup that is there already needs nothing', () => {
    const { cup, lab } = cases[0]!
    const own = mixReflectance([cup], [1])
    expect(mend(own, cup, few, wish)).toMatchObject({ reached: true, ways: [] })
    expect(lab).toHaveLength(3)
  })
  it('refuses an empty cup and an empty shelf', () => {
    const target = reflectanceFromHex('#808080')
    expect(() => mend(target, few[0]!, few, { ...wish, cupUl: 0 })).toThrow('The cup is empty')
    expect(() => mend(target, few[0]!, [], wish)).toThrow('There is no paint to add')
  })
  it('a cup that does not look as it should is taken as it looks', () => {
    const computed = mixOptics([few[2]!, few[0]!], [1, 3])
    const seen = mixReflectance([few[2]!, few[0]!, few[1]!], [1, 3, 0.2])
    const bent = asSeen(computed, seen)
    mixReflectance([bent], [1]).forEach((v, i) => expect(v).toBeCloseTo(seen[i]!, 9))
    expect(bent.s).toEqual(computed.s)
  })
})
