import { jStat } from 'jstat'
import { gaussian, random } from '../../../tests/support/random'
import { CRITERION_SCALE, METRIC_SCALE, pairVerdict, RATING_SCALE, verdictOf } from './pairVerdict'

describe('what pairs say', () => {
  it('says nothing before four pairs, however far apart they are', () => {
    expect(pairVerdict([4, 4, 4], RATING_SCALE)).toMatchObject({ verdict: 'open', pairs: 3 })
    expect(pairVerdict([4], RATING_SCALE).more).toBe(3)
    expect(pairVerdict([], RATING_SCALE)).toMatchObject({ verdict: 'open', pairs: 0, gap: 0, more: 4 })
    expect(pairVerdict([4, 4, 4, 4], RATING_SCALE).verdict).toBe('first')
    expect(pairVerdict([-4, -4, -4, -4], RATING_SCALE).verdict).toBe('second')
  })
  it('is a t test of a paired difference where there is much to go by', () => {
    const next = random(3)
    const d = Array.from({ length: 400 }, () => 0.4 + 0.9 * gaussian(next))
    const mean = d.reduce((s, x) => s + x, 0) / d.length
    const sd = Math.sqrt(d.reduce((s, x) => s + (x - mean) ** 2, 0) / (d.length - 1))
    const told = pairVerdict(d, RATING_SCALE)
    expect(told.gap).toBeCloseTo(mean, 2)
    expect(told.first).toBeCloseTo(1 - jStat.studentt.cdf((0.25 - mean) / (sd / Math.sqrt(d.length)), d.length - 1), 2)
    expect(told.high - told.gap).toBeCloseTo((1.6487 * sd) / Math.sqrt(d.length), 2)
  })
  it('takes first and second alike, and probabilities that sum to one', () => {
    const d = [1, 0, 2, -1, 1]
    const [one, other] = [
      pairVerdict(d, RATING_SCALE),
      pairVerdict(
        d.map((x) => -x),
        RATING_SCALE,
      ),
    ]
    expect(other.second).toBeCloseTo(one.first, 12)
    expect(one.first + one.second + one.alike).toBeCloseTo(1, 12)
  })
  it('calls two alike only when many say so, and asks for about as many as then decide', () => {
    const alike = (n: number) =>
      pairVerdict(
        Array.from({ length: n }, (_, i) => (i % 2 ? 0.5 : -0.5)),
        RATING_SCALE,
      )
    expect(alike(6).verdict).toBe('open')
    expect(alike(40).verdict).toBe('alike')
    const d = [1.7, -0.7, 1.7, -0.7]
    const { more } = pairVerdict(d, RATING_SCALE)
    expect(more).toBeGreaterThan(0)
    const longer = Array.from({ length: 4 + more! }, (_, i) => (i % 2 ? -0.7 : 1.7))
    expect(pairVerdict(longer, RATING_SCALE).verdict).toBe('first')
    expect(pairVerdict(longer.slice(0, 4 + Math.floor(more! / 3)), RATING_SCALE).verdict).toBe('open')
  })
  it('decides as often as such studios should, and seldom wrongly', () => {
    // A hand's rating scatters by 0.75. Floors as they were reached when this was written; `npm run bench -- learning`.
    const next = random(17)
    const decided = (gap: number, pairs: number) => {
      let [first, second] = [0, 0]
      for (let i = 0; i < 300; i++) {
        const d = Array.from({ length: pairs }, () => gap + 0.75 * (gaussian(next) - gaussian(next)))
        const { verdict } = pairVerdict(d, RATING_SCALE)
        if (verdict === 'first') first++
        if (verdict === 'second') second++
      }
      return [first / 300, second / 300]
    }
    expect(decided(1, 8)[0]).toBeGreaterThan(0.62)
    expect(decided(1.5, 6)[0]).toBeGreaterThan(0.85)
    for (const wrong of decided(0, 12)) expect(wrong).toBeLessThan(0.08)
  })
  it('averages several people’s words on one pair before it compares, and leaves out what was seen on one side', () => {
    const words = [
      { arm: 'a', repeat: 1, value: 3 },
      { arm: 'a', repeat: 1, value: 1 },
      { arm: 'b', repeat: 1, value: 1 },
      { arm: 'a', repeat: 2, value: 3 },
      { arm: 'c', repeat: 2, value: 3 },
    ]
    const told = verdictOf(words, 'a', 'b', CRITERION_SCALE)
    expect(told.pairs).toBe(1)
    // One pair of 1 beside a fifth of a pair of none.
    expect(told.gap).toBeCloseTo(1 / 1.2, 12)
    expect(verdictOf(words, 'a', 'c', CRITERION_SCALE).pairs).toBe(1)
    expect(() => verdictOf(words, 'a', 'a', CRITERION_SCALE)).toThrow(/two different arms/)
  })
  it('takes metrics by their ratio: half as much again in each pair is decided', () => {
    expect(pairVerdict([0.4, 0.45, 0.35, 0.5, 0.4], METRIC_SCALE).verdict).toBe('first')
    expect(() => pairVerdict([Number.NaN], METRIC_SCALE)).toThrow(/number/)
  })
})
