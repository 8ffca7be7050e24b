// Taken out of the global once: inner loops run where a look-up of `Math` is not free.
const { exp, sqrt, PI, abs } = Math

/** Standard normal distribution function (Abramowitz & Stegun 1964, 7.1.26; absolute error below 1.5e-7). */
export function normalCdf(x: number): number {
  const z = abs(x) / Math.SQRT2
  const t = 1 / (1 + 0.3275911 * z)
  const erf =
    1 - ((((1.061405429 * t - 1.453152027) * t + 1.421413741) * t - 0.284496736) * t + 0.254829592) * t * exp(-z * z)
  return x >= 0 ? (1 + erf) / 2 : (1 - erf) / 2
}

/** Standard normal density. */
export const normalPdf = (x: number) => exp((-x * x) / 2) / sqrt(2 * PI)

/** The standard normal value that one in ten lies above. */
export const Z_90 = 1.2815515655446004
