import { mend } from '../../../../tests/support/colour'
import { BLACK, WHITE, inventPigments, labOf } from '../../../../tests/support/pigments'
import { random } from '../../../../tests/support/random'
import { drawn } from '../../../../tests/support/thorough'
import { deltaE00 } from '../deltaE00'
import { mixOptics, mixReflectance, type Optics } from '../kubelkaMunk'
import { mixToLab } from '../mixColour'
import { opticsFromHex } from '../paintOptics'
import { reflectanceFromHex } from '../reflectance'
import type { Triple } from '../srgb'
import { asSeen } from './mend'
import { labOfSet, paletteOf } from './palette'

const next = random(5)
const few = [WHITE, BLACK, ...inventPigments(6, next)].map((p) => p.optics)

/** A mix of two or three of some paints, a unit of it. */
function someMix(paints: readonly Optics[], next: () => number) {
  const set = Array.from({ length: 2 + Math.floor(next() * 2) }, () => Math.floor(next() * paints.length))
  const amounts = set.map(() => 0.05 + next())
  const total = amounts.reduce((a, b) => a + b, 0)
  return mixOptics(
    set.map((i) => paints[i]!),
    amounts.map((a) => a / total),
  )
}

/** Every count of whole drops of one or two paints there is room for: the fewest within tolerance, and the nearest. */
function exhaustive(cup: Optics, paints: readonly Optics[], lab: Triple, tolerance: number, one: number, most: number) {
  const palette = paletteOf([cup, ...paints])
  let [fewest, nearest] = [Infinity, Infinity]
  for (let a = 1; a <= paints.length; a++)
    for (let b = a + 1; b <= paints.length; b++)
      for (let i = 0; i <= most; i++)
        for (let j = 0; i + j <= most; j++) {
          const d = deltaE00(labOfSet(palette, [0, a, b], [1, i * one, j * one]), lab)
          nearest = Math.min(nearest, d)
          if (d <= tolerance) fewest = Math.min(fewest, i + j)
        }
  return { fewest, nearest }
}

/** A cup of some of six paints, the room above it, and a colour somebody wants of it. */
function someCup(next: () => number, drops: number) {
  const six = [WHITE, BLACK, ...inventPigments(4, next)].map((p) => p.optics)
  const cup = someMix(six, next)
  // From a bottle nearly full to a cup with three times its content to spare.
  const room = 0.2 * 15 ** next()
  const cupUl = ((50 * drops) / room) * (0.5 + 0.5 * next())
  const [a, b] = [six[Math.floor(next() * 6)]!, six[Math.floor(next() * 6)]!]
  const wanted =
    next() < 0.4
      ? mixReflectance([someMix(six, next)], [1])
      : mixReflectance([cup, a, b], [1, room * next() * 0.6, room * next() * 0.4])
  const wish = { most: 2, tolerance: 1, cupUl, roomUl: room * cupUl, dropUl: 50 } as const
  return { six, cup, wanted, wish }
}

describe('mending against an exhaustive search over whole drops', () => {
  const next = random(300)
  const cups = [
    ...Array.from({ length: drawn(99, 296) }, () => someCup(next, 20)),
    ...Array.from({ length: drawn(1, 4) }, () => someCup(next, 100)),
  ]
  const compared = cups.map(({ six, cup, wanted, wish }) => {
    const most = Math.floor(wish.roomUl / wish.dropUl)
    return {
      found: mend(wanted, cup, six, wish),
      best: exhaustive(cup, six, labOf(wanted), wish.tolerance, wish.dropUl / wish.cupUl, most),
      dropUl: wish.dropUl,
    }
  })
  const reachable = compared.filter((c) => c.best.fewest < Infinity && c.found.now > 1)
  it('mends every cup that can be mended, with no more than a tenth above the least', () => {
    expect(reachable.length).toBeGreaterThan(0.4 * cups.length)
    for (const { found, best, dropUl } of reachable) {
      expect(found.reached).toBe(true)
      expect(found.ways[0]!.deltaE).toBeLessThanOrEqual(1)
      expect(found.ways[0]!.addedUl / dropUl).toBeLessThanOrEqual(1.1 * best.fewest)
    }
  })
  it('comes within 0.1 of the nearest where none is within tolerance', () => {
    const out = compared.filter((c) => c.best.fewest === Infinity)
    expect(out.length).toBeGreaterThan(0.13 * cups.length)
    for (const { found, best } of out) {
      expect(found.reached).toBe(false)
      expect((found.ways[0]?.deltaE ?? found.now) - Math.min(best.nearest, found.now)).toBeLessThanOrEqual(0.1)
    }
  })
})

describe('mending a cup', () => {
  const wish = { most: 2, tolerance: 1, cupUl: 100_000, roomUl: 400_000, dropUl: 50 } as const
  /** Least volume by which two of a few paints bring the cup within tolerance, and the nearest they come, by a grid. */
  function grid(cup: Optics, lab: Triple) {
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
  const cases = Array.from({ length: 24 }, (_, i) => {
    const cup = someMix(few, next)
    const wanted =
      i % 2
        ? mixReflectance([someMix(few, next)], [1])
        : mixReflectance([cup, few[i % 8]!, few[(3 * i + 1) % 8]!], [1, 0.4 * next(), 0.2 * next()])
    return { cup, lab: labOf(wanted), result: mend(wanted, cup, few, wish), brute: grid(cup, labOf(wanted)) }
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
    expect(reachable).toBeGreaterThan(9)
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
  it('black is a colour to mend to like any other', () => {
    const { cup } = cases[0]!
    const result = mend(reflectanceFromHex('#000000'), cup, few, wish)
    expect(result.now).toBeGreaterThan(1)
    expect(result.ways.length).toBeGreaterThan(0)
    for (const way of result.ways) expect(way.deltaE).toBeLessThan(result.now)
  })
  it('may add one paint more and is never worse for it: no more volume where it is reached, no further off where not', () => {
    const next = random(88)
    for (let i = 0; i < drawn(2, 5); i++) {
      const paints = [WHITE, BLACK, ...inventPigments(58, next)].map((p) => p.optics)
      const cup = someMix(paints, next)
      const wanted = mixReflectance([cup, someMix(paints, next)], [1, 0.2])
      let [volume, off] = [Infinity, Infinity]
      for (const most of [1, 2, 3] as const) {
        const found = mend(wanted, cup, paints, { most, tolerance: 1, cupUl: 60_000, roomUl: 30_000, dropUl: 50 })
        const [first] = found.ways
        if (volume < Infinity) expect(found.reached).toBe(true)
        if (found.reached) {
          expect(first?.addedUl ?? 0).toBeLessThanOrEqual(volume)
          volume = first?.addedUl ?? 0
        } else {
          expect(first?.deltaE ?? found.now).toBeLessThanOrEqual(off)
          off = first?.deltaE ?? found.now
        }
      }
    }
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
