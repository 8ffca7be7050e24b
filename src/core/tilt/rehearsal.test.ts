import { cupOf, startTask } from '../../../tests/support/tilt'
import { slopeOf } from './film'
import { beforeTilting } from './keeper'
import { Rehearsal } from './rehearsal'

const LEVEL = () => slopeOf(0, 0)
const sum = (list: readonly number[]) => list.reduce((a, b) => a + b, 0)

describe('a rehearsed pour', () => {
  it('tells what stays and what runs off, together what was poured', () => {
    const r = new Rehearsal(startTask(), 4)
    r.advance(2, LEVEL)
    r.advance(6, () => slopeOf(18, 0))
    const now = r.readings()
    expect(now.seconds).toBeCloseTo(8, 6)
    expect(now.leftUl + sum(now.offUl)).toBeCloseTo(42_000, 3)
    expect(now.offUl[1]).toBeGreaterThan(3_000)
    expect(now.offUl[0]).toBeLessThan(1)
    expect(now.meanMm).toBeCloseTo(now.leftUl / 40_000, 6)
    now.kept.forEach((share, c) => {
      expect(share).toBeGreaterThan(0)
      expect(share).toBeLessThan(1)
      expect(share * r.pouredUl[c]!).toBeLessThan(r.pouredUl[c]!)
    })
    expect(sum(now.seen)).toBeCloseTo(1, 2)
    expect(now.edgeWet).toBeGreaterThan(0.1)
    expect(now.edgeUl).toBeGreaterThan(0)
  })
  it('says which corners are bare, and how much is covered, without a base coat', () => {
    const r = new Rehearsal(startTask({ coats: [], cups: [cupOf([[1, 30]], { at: [-60, -60] })] }), 4)
    r.advance(1, LEVEL)
    expect(r.readings().bareCorners).toEqual(['top right', 'bottom left', 'bottom right'])
    expect(r.readings().covered).toBeLessThan(0.5)
    r.advance(12, () => slopeOf(14, 0))
    expect(r.readings().bareCorners).not.toContain('top right')
  })
  it('is the same again with the same seed, and another with another, with no less paint', () => {
    const told = (seed: number) => {
      const r = new Rehearsal(startTask(), 5, { seed })
      r.advance(4, () => slopeOf(12, 8))
      return r.readings()
    }
    expect(told(3)).toEqual(told(3))
    expect(told(4).leftUl).not.toBe(told(3).leftUl)
    expect(new Rehearsal(startTask(), 5, { seed: 9 }).readings().leftUl).toBeCloseTo(42_000, 6)
  })
  it('goes back to a moment as if nothing had been done since', () => {
    const r = new Rehearsal(startTask(), 5)
    r.advance(2, () => slopeOf(10, 0))
    const moment = r.moment()
    const before = r.readings()
    r.advance(4, () => slopeOf(-18, 12))
    expect(r.readings().leftUl).toBeLessThan(before.leftUl)
    r.goBackTo(moment)
    expect(r.readings()).toEqual(before)
  })
  it('comes to nearly the same on finer cells: what is left within a point', () => {
    const left = (cellMm: number) => {
      const r = new Rehearsal(startTask(), cellMm)
      r.advance(8, (t) => (t < 4 ? slopeOf(14, 3) : slopeOf(-6, 14)))
      return r.readings().leftUl / 42_000
    }
    expect(left(4)).toBeLessThan(0.95)
    expect(Math.abs(left(4) - left(2))).toBeLessThan(0.01)
  })
})

describe('a keeper', () => {
  it('stays whole where nothing moves, goes along with the paint, and is gone when it has run off', () => {
    const r = new Rehearsal(startTask(), 4)
    r.advance(3, LEVEL)
    r.keep([0, 0], 20)
    const [still] = r.readings().keepers
    expect(still!.share).toBeCloseTo(1, 6)
    expect(Math.hypot(...still!.at!)).toBeLessThan(2)
    expect(still!.stretch).toBeLessThan(1.1)
    r.advance(2.5, () => slopeOf(14, 0))
    const [moved] = r.readings().keepers
    expect(moved!.at![0]).toBeGreaterThan(15)
    expect(Math.abs(moved!.at![1])).toBeLessThan(3)
    expect(moved!.share).toBeGreaterThan(0.9)
    r.advance(30, () => slopeOf(30, 0))
    expect(r.readings().keepers[0]!.share).toBeLessThan(0.3)
  })
  it('is found again on finer cells, and told where it lay before', () => {
    const [coarse, fine] = [new Rehearsal(startTask(), 8), new Rehearsal(startTask(), 4)]
    for (const r of [coarse, fine]) r.advance(3, () => slopeOf(8, 0))
    const keeper = coarse.keep([10, 0], 24)
    fine.keepers.push(keeper)
    expect(fine.readings().keepers[0]!.share).toBeCloseTo(1, 1)
    const { at, radiusMm } = beforeTilting(keeper)
    expect(at[0]).toBeLessThan(8)
    expect(Math.abs(at[1])).toBeLessThan(1)
    expect(radiusMm).toBeGreaterThan(5)
    expect(radiusMm).toBeLessThan(26)
  })
})
