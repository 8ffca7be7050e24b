import { cholesky, invertSymmetric, solveCholesky } from '../linear/cholesky'
import { mustBeAmounts } from '../mustBe'

/** What a film is judged by. */
export interface FilmFacts {
  /** Wet film left on the surface, mm. */
  readonly wetMm: number
  /** Water ÷ paint by volume. */
  readonly waterOfPaint: number
  /** Share of anti-craze medium in the mix, 0–1. */
  readonly antiCraze?: number | undefined
  /** How much of the binder of a firm mix is missing, 0–1. */
  readonly weakBinder?: number | undefined
  /** How fast its skin forms: 0 as usual, 1 much heat or very dry air. */
  readonly fastSkin?: number | undefined
}

/** A piece of the studio's own: its film, and whether it cracked or crazed. */
export interface DriedFilm extends FilmFacts {
  readonly cracked: boolean
}

export interface CrackRisk {
  /** 0–1, with what is not known of the weights counted in. */
  readonly risk: number
  /** Bounds it lies between nine times in ten. */
  readonly low: number
  readonly high: number
  /** Own pieces it was learned from; 0: start values of Fika alone. */
  readonly pieces: number
  /** The thickest wet film that keeps it under one in ten, mm. */
  readonly safeMm: number
}

/** Water past this share of the paint counts (common practice: 30 %). */
const WATER_BORNE = 0.3
const USUAL_MM = 1.2
/**
 * Logit of the risk: at 1.2 mm, per e-fold of film, per unit of water ÷ paint past 0.3, per unit of anti-craze medium, of
 * missing binder, of a fast skin; and how sure. Start values of Fika.
 */
const START = [-3.2, 2.5, 1.5, -3, 1.5, 1] as const
const START_SD = [0.9, 0.9, 0.8, 1.5, 1, 0.8] as const
const SIZE = START.length
const SAFE = 0.1
const ROUNDS = 30
/** Films a safe one is looked for between, mm. */
const THINNEST = 0.05
const THICKEST = 20

const traits = (f: FilmFacts): readonly number[] => [
  1,
  Math.log(Math.max(1e-3, f.wetMm) / USUAL_MM),
  Math.max(0, f.waterOfPaint - WATER_BORNE),
  f.antiCraze ?? 0,
  f.weakBinder ?? 0,
  f.fastSkin ?? 0,
]
const dot = (a: ArrayLike<number>, b: readonly number[]) => b.reduce((sum, x, i) => sum + x * a[i]!, 0)
const logistic = (x: number) => 1 / (1 + Math.exp(-x))

/** What the studio's own pieces say of the weights: the most likely ones, and how sure they are (Laplace). */
interface Weights {
  readonly mean: Float64Array
  readonly covariance: Float64Array
}

/**
 * How likely a film cracks: a logistic in ln film, water past what paint bears, anti-craze medium, weak binder and fast
 * skin, from start values of Fika and moved by the studio's own pieces (normal prior, Laplace's approximation; the mean
 * over what is not known of the weights by MacKay 1992, from memory).
 * @throws Invalid for what is no number
 */
export function crackRisk(film: FilmFacts, own: readonly DriedFilm[]): CrackRisk {
  mustBeAmounts(
    'A film',
    [film, ...own].flatMap((f) => [f.wetMm, f.waterOfPaint, f.antiCraze, f.weakBinder, f.fastSkin]),
  )
  const weights = learned(own)
  const at = (wetMm: number) => judged(weights, { ...film, wetMm })
  let [low, high] = [Math.log(THINNEST), Math.log(THICKEST)]
  // The risk need not rise all the way where little is known of thick films: the first film past it counts.
  const steps = 60
  for (let i = 0; i <= steps; i++) {
    const x = Math.log(THINNEST) + (i / steps) * Math.log(THICKEST / THINNEST)
    if (at(Math.exp(x)).risk > SAFE) {
      high = x
      break
    }
    low = x
  }
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2
    if (at(Math.exp(middle)).risk > SAFE) high = middle
    else low = middle
  }
  return { ...at(film.wetMm), pieces: own.length, safeMm: Math.exp(low) }
}

function judged({ mean, covariance }: Weights, film: FilmFacts): { risk: number; low: number; high: number } {
  const x = traits(film)
  const z = dot(mean, x)
  let variance = 0
  x.forEach((a, i) => x.forEach((b, j) => (variance += a * b * covariance[SIZE * i + j]!)))
  const reach = 1.645 * Math.sqrt(variance)
  return {
    risk: logistic(z / Math.sqrt(1 + (Math.PI * variance) / 8)),
    low: logistic(z - reach),
    high: logistic(z + reach),
  }
}

/** Weights by the list of films they were learned from: a curve and every keystroke of a plan ask for the same ones. */
const known = new WeakMap<readonly DriedFilm[], Weights>()

function learned(own: readonly DriedFilm[]): Weights {
  const before = known.get(own)
  if (before) return before
  const weights = Float64Array.from(START)
  const rows = own.map((o) => ({ x: traits(o), y: Number(o.cracked) }))
  let curvature = precisionAt(rows, weights)
  for (let round = 0; round < (rows.length ? ROUNDS : 0); round++) {
    const gradient = weights.map((w, i) => (START[i]! - w) / START_SD[i]! ** 2)
    for (const { x, y } of rows) {
      const p = logistic(dot(weights, x))
      for (let i = 0; i < SIZE; i++) gradient[i]! += (y - p) * x[i]!
    }
    // A sum of a precision and of squares: always positive definite.
    const step = solveCholesky(cholesky(curvature, SIZE)!, SIZE, gradient)
    step.forEach((s, i) => (weights[i]! += s))
    curvature = precisionAt(rows, weights)
    if (step.every((s) => Math.abs(s) < 1e-10)) break
  }
  // A thicker film is never the safer one.
  weights[1] = Math.max(0.2, weights[1]!)
  const found = { mean: weights, covariance: invertSymmetric(curvature, SIZE) }
  known.set(own, found)
  return found
}

/** Curvature of the log posterior: the prior's, and what every piece adds. */
function precisionAt(rows: readonly { readonly x: readonly number[] }[], weights: Float64Array): Float64Array {
  const out = new Float64Array(SIZE * SIZE)
  for (let i = 0; i < SIZE; i++) out[SIZE * i + i] = 1 / START_SD[i]! ** 2
  for (const { x } of rows) {
    const p = logistic(dot(weights, x))
    for (let i = 0; i < SIZE; i++) for (let j = 0; j < SIZE; j++) out[SIZE * i + j]! += p * (1 - p) * x[i]! * x[j]!
  }
  return out
}
