import { mixOptics, type Optics } from './kubelkaMunk'
import { opticsFromHex } from './paintOptics'
import { BANDS } from './observer'
import { asDeepAs } from './strength'

const flat = (k: number, s: number): Optics => ({
  k: new Float64Array(BANDS).fill(k),
  s: new Float64Array(BANDS).fill(s),
})
const WHITE = flat(0, 1)

describe('how much of a weak paint reaches the depth of a strong one', () => {
  it('is as much of itself', () => {
    expect(asDeepAs(flat(8, 1), flat(8, 1))).toBeCloseTo(1, 9)
  })
  // Worked by hand: 20 / (50 + 1) = 5 x / (50 + x) → x = 1000 / 235; with scattering 0 it is four times as much.
  it('goes with K, and what scatters along with it counts', () => {
    expect(asDeepAs(flat(5, 1), flat(20, 1))).toBeCloseTo(1000 / 235, 9)
    expect(asDeepAs(flat(5, 0), flat(20, 0))).toBeCloseTo(4, 9)
  })
  it('of a paint let down with three parts of white it takes four times as much and more, since white is in it already', () => {
    const strong = flat(20, 1)
    const letDown = mixOptics([strong, WHITE], [0.25, 0.75])
    const more = asDeepAs(letDown, strong)!
    expect(more).toBeGreaterThan(4)
    // The very cup: 51 parts that hold one of strong are 4 of the let-down paint in 47 of white; in 50 of white it is more.
    expect(more).toBeCloseTo((4 * 50) / 47, 9)
  })
  it('does the same as mixing with white and looking: the two tints are as deep', () => {
    const [weak, strong] = [flat(3, 0.4), flat(17, 0.9)]
    const x = asDeepAs(weak, strong)!
    const [a, b] = [mixOptics([weak, WHITE], [x, 50]), mixOptics([strong, WHITE], [1, 50])]
    expect(a.k[9]! / a.s[9]!).toBeCloseTo(b.k[9]! / b.s[9]!, 9)
  })
  // The trade: strength differs ten-fold, common practice, no published source.
  it('is ten-fold between the classes, and turned round where the strong one is asked for', () => {
    const blue = (strength: 'weak' | 'very strong') => opticsFromHex('#1d3f8a', strength)
    const times = asDeepAs(blue('weak'), blue('very strong'))!
    expect(times).toBeGreaterThan(8)
    expect(times).toBeLessThan(14)
    expect(asDeepAs(blue('very strong'), blue('weak'))!).toBeLessThan(0.15)
  })
  it('is never where the weak one alone is paler, and is refused for no number', () => {
    expect(asDeepAs(flat(0.3, 1), flat(20, 1))).toBeUndefined()
    expect(() => asDeepAs(flat(NaN, 1), flat(20, 1))).toThrow('K and S of a paint')
  })
})
