/** What the tests take of jStat. */
declare module 'jstat' {
  interface Law {
    cdf(x: number, a: number, b: number): number
    pdf(x: number, a: number, b: number, c?: number): number
    inv(p: number, a: number, b: number): number
  }
  export const jStat: {
    gammaln(x: number): number
    beta: Law
    normal: Law
    hypgeom: { pdf(k: number, population: number, successes: number, draws: number): number }
    studentt: { cdf(t: number, nu: number): number }
  }
}
