import { mustBeAmounts } from '../mustBe'
import { cholesky, invertSymmetric, solveCholesky } from '../linear/cholesky'
import { normalCdf, normalPdf, Z_90 } from '../probability/normal'

const { exp, log, max, sqrt } = Math

/** Whether what was poured was enough: as wanted, or more would have been needed, or less would have done. */
export const ENOUGH = ['as wanted', 'short', 'plenty'] as const
export type EnoughWord = (typeof ENOUGH)[number]

/** A piece that was poured: what of, its size, and how that came out. */
export interface PouredPiece {
  readonly technique: string
  /** What was poured ÷ what the rule of 28 asks of its face. */
  readonly ofRule: number
  /** Edges ÷ face. */
  readonly edges: number
  readonly enough: EnoughWord
}

/** What a technique needs, as a multiple of the rule of 28. */
export interface LearnedAmount {
  /** Pieces of this technique, and of all, it was learned from. */
  readonly ofTechnique: number
  readonly pieces: number
  /** In the middle, and what is enough nine times in ten. */
  readonly middle: number
  readonly enough: number
}

/** What is believed before the first piece, in ln need. */
export interface AmountPrior {
  /** How far all lie about the rule itself, and techniques and pieces about that; standard deviations. */
  readonly allSd: number
  readonly techniqueSd: number
  readonly pieceSd: number
  /** How edges count. */
  readonly edges: { readonly mean: number; readonly sd: number }
  /** The spreads of techniques and pieces move with this weight, in pieces. */
  readonly spreadWeight: number
}

/** Start values of Fika. */
const START: AmountPrior = {
  allSd: 0.3,
  techniqueSd: 0.3,
  pieceSd: 0.16,
  edges: { mean: 0.5, sd: 0.5 },
  spreadWeight: 8,
}
const ROUNDS = 40
/** Nobody calls a piece short that wanted less than this more, or paint plenty that was less than this over. Start values of Fika. */
const SHORT = 1.05
const PLENTY = 0.9
/** What was learned of all techniques at once. */
export interface Amounts {
  readonly techniques: readonly string[]
  /** Mean and covariance of (all, edges, each technique's own). */
  readonly mean: Float64Array
  readonly covariance: Float64Array
  readonly pieceSd: number
  readonly techniqueSd: number
  readonly counts: ReadonlyMap<string, number>
  readonly pieces: number
}

/**
 * Learns what techniques need: ln (need ÷ rule of 28) = all + technique + edges × ln (1 + edges ÷ face), techniques
 * pooled, by a normal linear model (Lindley & Smith 1972, from memory). A piece that came out short needed more than was
 * poured, one of plenty less: censored, taken by their expected values round by round (EM; Dempster, Laird & Rubin 1977).
 * @throws Invalid for amounts that are none
 */
export function learnAmounts(pieces: readonly PouredPiece[], prior: AmountPrior = START): Amounts {
  mustBeAmounts(
    'An amount',
    pieces.flatMap((p) => [p.ofRule, p.edges]),
  )
  const used = pieces.filter((p) => p.ofRule > 0)
  const techniques = [...new Set(used.map((p) => p.technique))].sort()
  const size = 2 + techniques.length
  const weight = prior.spreadWeight
  const rows = used.map((p) => ({
    at: [0, 1, 2 + techniques.indexOf(p.technique)],
    by: [1, log(1 + p.edges), 1],
    seen: log(p.ofRule * (p.enough === 'short' ? SHORT : p.enough === 'plenty' ? PLENTY : 1)),
    enough: p.enough,
  }))
  let { pieceSd, techniqueSd } = prior
  let mean = new Float64Array(size)
  mean[1] = prior.edges.mean
  let covariance = new Float64Array(size * size)
  for (let round = 0; round < ROUNDS; round++) {
    const precision = new Float64Array(size * size)
    const right = new Float64Array(size)
    precision[0] = 1 / prior.allSd ** 2
    precision[size + 1] = 1 / prior.edges.sd ** 2
    right[1] = prior.edges.mean / prior.edges.sd ** 2
    for (let i = 2; i < size; i++) precision[i * size + i] = 1 / techniqueSd ** 2
    let squares = 0
    for (const row of rows) {
      const fitted = row.at.reduce((s, k, i) => s + mean[k]! * row.by[i]!, 0)
      const e = expected(fitted, pieceSd, row.seen, row.enough)
      row.at.forEach((k, i) => {
        right[k]! += (row.by[i]! * e.value) / pieceSd ** 2
        row.at.forEach((m, j) => (precision[k * size + m]! += (row.by[i]! * row.by[j]!) / pieceSd ** 2))
      })
      squares += (e.value - fitted) ** 2 + e.variance
    }
    const next = solveCholesky(cholesky(precision, size)!, size, right)
    const moved = next.reduce((m, x, i) => max(m, Math.abs(x - mean[i]!)), 0)
    mean = Float64Array.from(next)
    covariance = Float64Array.from(invertSymmetric(precision, size))
    if (round > 0) {
      pieceSd = sqrt((weight * prior.pieceSd ** 2 + squares) / (weight + max(0, rows.length - techniques.length)))
      const own = techniques.reduce((s, _, i) => s + mean[2 + i]! ** 2 + covariance[(2 + i) * size + 2 + i]!, 0)
      techniqueSd = sqrt((weight * prior.techniqueSd ** 2 + own) / (weight + techniques.length))
    }
    if (round > 2 && moved < 1e-6) break
  }
  const counts = new Map<string, number>()
  for (const p of used) counts.set(p.technique, (counts.get(p.technique) ?? 0) + 1)
  return { techniques, mean, covariance, pieceSd, techniqueSd, counts, pieces: used.length }
}

/** Mean and variance of what was needed: what was seen, or a normal cut off at it. */
function expected(fitted: number, sd: number, seen: number, enough: EnoughWord): { value: number; variance: number } {
  if (enough === 'as wanted') return { value: seen, variance: 0 }
  const way = enough === 'short' ? 1 : -1
  const z = (way * (seen - fitted)) / sd
  const tail = max(1e-9, 1 - normalCdf(z))
  // Mills' ratio; far out the tail's own slope takes over.
  const mills = z > 5 ? z + 1 / z : normalPdf(z) / tail
  return { value: fitted + way * sd * mills, variance: max(0, sd * sd * (1 + z * mills - mills * mills)) }
}

/** What a technique needs as a line in ln (1 + edges ÷ face), plain to send: ln need = a + b x, its variance with it. */
export interface AmountLine {
  readonly technique: string
  readonly ofTechnique: number
  readonly pieces: number
  readonly mean: readonly [a: number, b: number]
  readonly variance: readonly [a: number, ab: number, b: number]
}

/** What a technique needs by the edges of a surface. */
export function amountLine(learned: Amounts, technique: string): AmountLine {
  const size = 2 + learned.techniques.length
  const own = learned.techniques.indexOf(technique)
  const at = own < 0 ? [0] : [0, 2 + own]
  const sum = (f: (k: number) => number) => at.reduce((s, k) => s + f(k), 0)
  const covariance = (k: number, m: number) => learned.covariance[k * size + m] ?? 0
  return {
    technique,
    ofTechnique: learned.counts.get(technique) ?? 0,
    pieces: learned.pieces,
    mean: [sum((k) => learned.mean[k]!), learned.mean[1]!],
    variance: [
      learned.pieceSd ** 2 + (own < 0 ? learned.techniqueSd ** 2 : 0) + sum((k) => sum((m) => covariance(k, m))),
      sum((k) => covariance(k, 1)),
      covariance(1, 1),
    ],
  }
}

/** What it needs on a surface of so much edge. @throws Invalid for edges that are none */
export function readAmount(line: AmountLine, edges: number): LearnedAmount {
  mustBeAmounts('The share of the edges', [edges])
  const x = log(1 + edges)
  const middle = line.mean[0] + line.mean[1] * x
  const variance = line.variance[0] + 2 * line.variance[1] * x + line.variance[2] * x * x
  return {
    ofTechnique: line.ofTechnique,
    pieces: line.pieces,
    middle: exp(middle),
    enough: exp(middle + Z_90 * sqrt(variance)),
  }
}

/** What a technique needs on a surface of so much edge. @throws Invalid for edges that are none */
export const amountFor = (learned: Amounts, technique: string, edges: number): LearnedAmount =>
  readAmount(amountLine(learned, technique), edges)
