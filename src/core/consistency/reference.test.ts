import { type Belief } from './dilution'
import { besideReference, undiluted, wAfter, wAfterMixing } from './reference'
import { MEDIUM_THINS } from './waterAdvice'

const sure = (a: number, b: number): Belief => ({ a, b, varA: 1e-8, covAb: 0, varB: 1e-8 })

describe('beside the reference', () => {
  const bottle = (id: string, seconds: number, w = 0, roomUl = 100_000) => ({
    id,
    belief: sure(Math.log(seconds) + 10 * w, 10),
    w,
    undilutedUl: 100_000,
    roomUl,
  })
  it('says who is thicker and how much water makes them agree', () => {
    const [thick, like, thin] = besideReference(bottle('r', 2), [bottle('a', 4, 0.1), bottle('b', 2.2), bottle('c', 1)])
    expect(thick).toMatchObject({ verdict: 'thicker' })
    expect(thick!.thicker).toBeCloseTo(2, 6)
    // ln 2 / 10 of 100 ml.
    expect(thick!.waterUl).toBeCloseTo(6931, -1)
    expect(like).toMatchObject({ verdict: 'alike', waterUl: 0 })
    expect(thin).toMatchObject({ verdict: 'thinner', waterUl: 0 })
  })
  it('never asks for more water than the limit lets in, and says how much medium does the rest', () => {
    const one = (roomUl: number) => besideReference(bottle('r', 2), [bottle('a', 4, 0.1, roomUl)])[0]!
    expect(one(100_000)).toMatchObject({ waterUl: 6_931, mediumUl: 0 })
    expect(one(6_931)).toMatchObject({ waterUl: 6_931, mediumUl: 0 })
    expect(one(2_000)).toMatchObject({ waterUl: 2_000, mediumUl: Math.round(4_931 / MEDIUM_THINS) })
    expect(one(-50)).toMatchObject({ waterUl: 0, mediumUl: Math.round(6_931 / MEDIUM_THINS) })
  })
  it('counts water in a bottle that is partly used: w is of the undiluted mix', () => {
    expect(undiluted(0.25, 125_000)).toBe(100_000)
    // 125 ml at 0.25 are 100 + 25; five more make 30 of 100.
    expect(wAfter(0.25, 125_000, 5_000)).toBeCloseTo(0.3, 9)
    expect(wAfter(0.3, 130_000, -5_000)).toBeCloseTo(0.25, 9)
    expect(wAfter(0.1, 0, 5)).toBe(0.1)
    expect(wAfter(0, 100, -99_999)).toBe(-0.9)
  })
  it('mixed into in its own ratio it stays as watered; with fresh mix it is as much less as there is more of it', () => {
    // 100 ml of a mix that is itself a tenth water, with another ten: w is 0.1.
    const before = { ul: 110_000, waterUl: 20_000 }
    expect(wAfterMixing(0.1, before, { ul: 220_000, waterUl: 40_000 })).toBeCloseTo(0.1, 9)
    const fresh = { ul: 210_000, waterUl: 30_000 }
    expect(wAfterMixing(0.1, before, fresh)).toBeCloseTo(0.05, 9)
    // And back, when it is undone.
    expect(wAfterMixing(0.05, fresh, before)).toBeCloseTo(0.1, 9)
    // Water alone is what `wAfter` says.
    expect(wAfterMixing(0.1, before, { ul: 115_000, waterUl: 25_000 })).toBeCloseTo(wAfter(0.1, 110_000, 5_000), 9)
    expect(wAfterMixing(0.3, { ul: 0, waterUl: 0 }, before)).toBe(0.3)
    expect(wAfterMixing(0.3, before, { ul: 5, waterUl: 5 })).toBe(0.3)
  })
})
