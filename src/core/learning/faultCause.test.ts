import { fisherTwoSided } from '../../../tests/support/learning/fisher'
import { faultWorld } from '../../../tests/support/learning/faults'
import { causeWord, enoughToTell, traceFault, type Factor, type TracedPiece } from './faultCause'

const piece = (isFaulty: boolean, ...keys: string[]): TracedPiece => ({
  isFaulty,
  strengths: new Map(keys.map((k) => [k, 1])),
})
const many = (n: number, p: TracedPiece) => Array.from({ length: n }, () => p)
const paints = (...keys: string[]) => keys.map((key): Factor => ({ key, group: 'material' }))

describe('what causes a fault', () => {
  it('is the paint that the faulty pieces share, with how often it was', () => {
    const trace = traceFault(
      [
        ...many(8, piece(true, 'black', 'white')),
        ...many(2, piece(false, 'black')),
        ...many(12, piece(false, 'white')),
      ],
      paints('black', 'white', 'teal'),
    )
    const [first] = trace.causes
    expect(first).toMatchObject({ keys: ['black'], withFaulty: 8, withAll: 10, withoutFaulty: 0, withoutAll: 12 })
    expect(causeWord(first!.probability, first!)).toBe('likely')
    expect(first!.base).toBeLessThan(0.15)
    expect(first!.reach).toBeGreaterThan(0.5)
    expect(trace.causes.reduce((s, c) => s + c.probability, trace.none)).toBeCloseTo(1, 9)
  })
  it('names together what was always used together, and favours no order of the list', () => {
    const pieces = [...many(8, piece(true, 'black', 'flow')), ...many(12, piece(false, 'white'))]
    const factors = paints('black', 'flow', 'white')
    const one = traceFault(pieces, factors)
    expect(one.causes[0]!.keys).toEqual(['black', 'flow'])
    const turned = traceFault([...pieces].reverse(), [...factors].reverse())
    expect(turned.causes[0]!.probability).toBeCloseTo(one.causes[0]!.probability, 12)
  })
  it('says nothing of under three pieces, and nothing likely of fewer than three faulty ones', () => {
    const two = traceFault([piece(true, 'black'), piece(false)], paints('black'))
    expect(causeWord(two.causes[0]!.probability, two.causes[0]!)).toBe('not enough yet')
    expect(causeWord(0.99, { withFaulty: 2, withAll: 3, withoutFaulty: 0, withoutAll: 90 })).toBe('suspect')
    expect(causeWord(0.99, { withFaulty: 1, withAll: 1, withoutFaulty: 0, withoutAll: 90 })).toBe('not enough yet')
    expect(causeWord(0.59, { withFaulty: 5, withAll: 5, withoutFaulty: 0, withoutAll: 9 })).toBe('suspect')
    expect(causeWord(0.29, { withFaulty: 5, withAll: 5, withoutFaulty: 0, withoutAll: 9 })).toBe('not enough yet')
  })
  it('weighs how strongly something was at work: a film past all others outweighs one that was everywhere', () => {
    const filmed = (isFaulty: boolean, film: number): TracedPiece => ({
      isFaulty,
      strengths: new Map([['film', film]]),
    })
    const graded = traceFault(
      [...many(6, filmed(true, 1)), ...many(6, filmed(false, 0.25)), ...many(6, filmed(false, 0))],
      paints('film'),
    )
    const flat = traceFault(
      [...many(6, filmed(true, 1)), ...many(6, filmed(false, 1)), ...many(6, filmed(false, 0))],
      paints('film'),
    )
    expect(graded.causes[0]!.probability).toBeGreaterThan(flat.causes[0]!.probability)
  })
  it('finds what Fisher’s exact test finds, and does not need his correction for how many were asked', () => {
    // R. A. Fisher, Statistical Methods for Research Workers, 1934, 21.02: the exact probability of a 2 × 2 table.
    let [ours, his] = [0, 0]
    for (let seed = 1; seed <= 40; seed++) {
      const world = faultWorld(seed, 40, 0.05, 0.8)
      const [first] = traceFault(world.pieces, world.factors).causes
      if (first!.keys.includes('m0') && causeWord(first!.probability, first!) === 'likely') ours++
      const m0 = traceFault(world.pieces, world.factors).causes.find((c) => c.keys.includes('m0'))!
      const p = fisherTwoSided(
        m0.withFaulty,
        m0.withAll - m0.withFaulty,
        m0.withoutFaulty,
        m0.withoutAll - m0.withoutFaulty,
      )
      if (p * world.factors.length < 0.05) his++
    }
    expect(ours).toBeGreaterThanOrEqual(33)
    expect(ours).toBeGreaterThanOrEqual(his)
  })
  it('hardly ever accuses where there is no cause', () => {
    let wrong = 0
    for (let seed = 1; seed <= 60; seed++) {
      const world = faultWorld(1000 + seed, 20, 0.25, null)
      const [first] = traceFault(world.pieces, world.factors).causes
      if (causeWord(first!.probability, first!) === 'likely') wrong++
    }
    expect(wrong).toBeLessThanOrEqual(6)
  })
  it('asks for as many as tell eight times in ten: fewer pairs than pieces, and what it asks for does tell', () => {
    const pieces = [...many(2, piece(true, 'black')), ...many(2, piece(false, 'black')), ...many(8, piece(false))]
    const trace = traceFault(pieces, paints(...'abcdefghijk', 'black'))
    const cause = trace.causes[0]!
    expect(causeWord(cause.probability, cause)).not.toBe('likely')
    const { pairs, pieces: more } = enoughToTell(cause, trace)
    expect(pairs).toBeGreaterThanOrEqual(2)
    expect(pairs!).toBeLessThan(more!)
    // A pair is a piece with and one without, faulty as often as it is believed; played out whole with every other factor.
    let told = 0
    const games = 60
    for (let game = 0; game < games; game++) {
      const dice = (k: number, i: number) => ((Math.imul(game * 97 + k * 31 + i + 7, 2654435761) >>> 8) % 1000) / 1000
      const [pWith, pWithout] = [1 - (1 - cause.base) * (1 - cause.reach), cause.base]
      const poured = Array.from({ length: pairs! }, (_, i) => [
        piece(dice(1, i) < pWith, 'black'),
        piece(dice(2, i) < pWithout),
      ]).flat()
      const after = traceFault([...pieces, ...poured], paints(...'abcdefghijk', 'black'))
      const found = after.causes.find((c) => c.keys.includes('black'))!
      if (causeWord(found.probability, found) === 'likely') told++
    }
    expect(told / games).toBeGreaterThan(0.65)
  })
  it('refuses strengths that are no share, and a factor named twice', () => {
    expect(() => traceFault([{ isFaulty: true, strengths: new Map([['a', 2]]) }], paints('a'))).toThrow(/from 0 to 1/)
    expect(() => traceFault([], paints('a', 'a'))).toThrow(/named twice/)
  })
})
