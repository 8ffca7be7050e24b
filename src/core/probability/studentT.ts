import { Invalid } from '../errors'

/** Lanczos' coefficients (g = 7, n = 9; Godfrey 2001, from memory): relative error about 1e-15. */
// prettier-ignore
const LANCZOS = [
  0.99999999999980993, 676.5203681218851, -1259.1392167224028, 771.32342877765313, -176.61502916214059,
  12.507343278686905, -0.13857109526572012, 9.9843695780195716e-6, 1.5056327351493116e-7,
]

/** ln Γ(x), x > 0. */
export function logGamma(x: number): number {
  if (x < 0.5) return Math.log(Math.PI / Math.sin(Math.PI * x)) - logGamma(1 - x)
  const y = x - 1
  const t = y + 7.5
  const sum = LANCZOS.reduce((s, c, i) => (i === 0 ? c : s + c / (y + i)), 0)
  return 0.5 * Math.log(2 * Math.PI) + (y + 0.5) * Math.log(t) - t + Math.log(sum)
}

/**
 * Regularised incomplete beta function I_x(a, b), by its continued fraction (DLMF 8.17.22) in Lentz's way.
 * @throws Invalid outside 0 ≤ x ≤ 1, or for a, b that are not above 0
 */
export function betaCdf(x: number, a: number, b: number): number {
  if (!(x >= 0 && x <= 1 && a > 0 && b > 0 && a < Infinity && b < Infinity))
    throw new Invalid('A share must lie between 0 and 1, and its weights above 0.')
  if (x === 0 || x === 1) return x
  const front = Math.exp(logGamma(a + b) - logGamma(a) - logGamma(b) + a * Math.log(x) + b * Math.log1p(-x))
  // The fraction converges quickly only on its side of the mean.
  return x < (a + 1) / (a + b + 2) ? (front * fraction(x, a, b)) / a : 1 - (front * fraction(1 - x, b, a)) / b
}

const TINY = 1e-300

function fraction(x: number, a: number, b: number): number {
  const apart = (v: number) => (Math.abs(v) < TINY ? TINY : v)
  let c = 1
  let d = 1 / apart(1 - ((a + b) * x) / (a + 1))
  let h = d
  for (let m = 1; m <= 500; m++) {
    const even = (m * (b - m) * x) / ((a + 2 * m - 1) * (a + 2 * m))
    d = 1 / apart(1 + even * d)
    c = apart(1 + even / c)
    h *= d * c
    const odd = (-(a + m) * (a + b + m) * x) / ((a + 2 * m) * (a + 2 * m + 1))
    d = 1 / apart(1 + odd * d)
    c = apart(1 + odd / c)
    h *= d * c
    if (Math.abs(d * c - 1) < 1e-14) break
  }
  return h
}

/** Student's distribution function with `nu` degrees of freedom. @throws Invalid for what is no number, or nu ≤ 0 */
export function tCdf(t: number, nu: number): number {
  if (Number.isNaN(t)) throw new Invalid('A difference must be a number.')
  if (!Number.isFinite(t)) return t > 0 ? 1 : 0
  const tail = betaCdf(nu / (nu + t * t), nu / 2, 0.5) / 2
  return t > 0 ? 1 - tail : tail
}

/** The value that share `p` lies below, by halving. @throws Invalid outside 0 < p < 1 */
export function tQuantile(p: number, nu: number): number {
  if (!(p > 0 && p < 1)) throw new Invalid('A share must lie between 0 and 1.')
  let [low, high] = [-1, 1]
  while (tCdf(low, nu) > p) low *= 2
  while (tCdf(high, nu) < p) high *= 2
  for (let i = 0; i < 80; i++) {
    const middle = (low + high) / 2
    if (tCdf(middle, nu) < p) low = middle
    else high = middle
  }
  return (low + high) / 2
}
