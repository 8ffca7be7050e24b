import { AMOUNT_WORLD, amountWorld } from '../../../tests/support/learning/amounts'
import { amountFor, learnAmounts, type EnoughWord, type PouredPiece } from './learnedAmount'

const poured = (technique: string, ofRule: number, enough: EnoughWord = 'as wanted', edges = 0): PouredPiece => ({
  technique,
  ofRule,
  edges,
  enough,
})
const many = (n: number, p: PouredPiece) => Array.from({ length: n }, () => p)

describe('how much paint, as learned', () => {
  it('starts from the rule itself, a little more for deep edges, and says it knows nothing', () => {
    const nothing = learnAmounts([])
    const flat = amountFor(nothing, 'ring', 0)
    expect(flat).toMatchObject({ pieces: 0, ofTechnique: 0 })
    expect(flat.middle).toBeCloseTo(1, 9)
    expect(flat.enough).toBeGreaterThan(1.4)
    expect(amountFor(nothing, 'ring', 0.5).middle).toBeGreaterThan(1.15)
  })
  it('comes to what pieces of a technique took, and another technique moves with it a little', () => {
    const learned = learnAmounts([...many(12, poured('swipe', 0.6)), ...many(2, poured('ring', 1))])
    expect(amountFor(learned, 'swipe', 0).middle).toBeCloseTo(0.6, 1)
    expect(amountFor(learned, 'ring', 0).middle).toBeGreaterThan(amountFor(learned, 'swipe', 0).middle)
    expect(amountFor(learned, 'flip', 0).middle).toBeLessThan(1)
    expect(amountFor(learned, 'swipe', 0).enough).toBeLessThan(amountFor(learned, 'flip', 0).enough)
  })
  it('takes a piece that came out short as more, one of plenty as less, and both by no fixed amount', () => {
    const middle = (enough: EnoughWord) => amountFor(learnAmounts(many(6, poured('ring', 1, enough))), 'ring', 0).middle
    expect(middle('as wanted')).toBeCloseTo(1, 1)
    expect(middle('short')).toBeGreaterThan(1.1)
    expect(middle('plenty')).toBeLessThan(0.9)
    // Short at half the rule says little where others took the whole of it.
    const both = learnAmounts([...many(8, poured('ring', 1)), poured('ring', 0.5, 'short')])
    expect(amountFor(both, 'ring', 0).middle).toBeCloseTo(
      amountFor(learnAmounts(many(8, poured('ring', 1))), 'ring', 0).middle,
      1,
    )
  })
  it('is nearer than the rule from a dozen pieces on, and its "enough" holds nine times in ten', () => {
    let [ours, rule, knowing, held, all] = [0, 0, 0, 0, 0]
    for (let seed = 1; seed <= 40; seed++) {
      const world = amountWorld(seed, 24)
      const learned = learnAmounts(world.pieces)
      const knows = learnAmounts(world.pieces, AMOUNT_WORLD)
      for (let i = 0; i < 10; i++) {
        const next = world.draw()
        const said = amountFor(learned, next.technique, next.edges)
        ours += Math.abs(Math.log(said.middle / next.need))
        knowing += Math.abs(Math.log(amountFor(knows, next.technique, next.edges).middle / next.need))
        rule += Math.abs(Math.log(next.need))
        if (said.enough >= next.need) held++
        all++
      }
    }
    expect(ours).toBeLessThan(0.65 * rule)
    // Hardly behind one who knows beforehand how far techniques and pieces of this studio lie apart.
    expect(ours).toBeLessThan(1.08 * knowing)
    expect(held / all).toBeGreaterThan(0.85)
    expect(held / all).toBeLessThan(0.96)
  })
  it('refuses amounts that are none', () => {
    expect(() => learnAmounts([poured('ring', Number.NaN)])).toThrow(/amount/i)
    expect(() => amountFor(learnAmounts([]), 'ring', -1)).toThrow(/edges/)
  })
})
