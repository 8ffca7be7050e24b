import { cholesky, solveCholesky } from '../linear/cholesky'
import { mustBeAmounts } from '../mustBe'

/** What a film is judged by. */
export interface FilmFacts {
  /** Wet film left on the surface, mm. */
  readonly wetMm: number
  /** Water ÷ paint by volume. */
  readonly waterOfPaint: number
}

/** A piece of the studio's own: its film, and whether it cracked or crazed. */
export interface DriedFilm extends FilmFacts {
  readonly cracked: boolean
}

export interface CrackRisk {
  /** 0–1. */
  readonly risk: number
  /** Own pieces it was learned from; 0: start values of Fika alone. */
  readonly pieces: number
  /** The thickest wet film that keeps it under one in ten, mm. */
  readonly safeMm: number
}

/** Water past this share of the paint counts (common practice: 30 %). */
const WATER_BORNE = 0.3
const USUAL_MM = 1.2
/** Logit of the risk: at 1.2 mm, per e-fold of film, per unit of water ÷ paint past 0.3; and how sure. Start values of Fika. */
const START = [-3.2, 2.5, 1.5] as const
const START_SD = [0.8, 0.8, 0.8] as const
const SAFE = 0.1
const ROUNDS = 30

const traits = ({ wetMm, waterOfPaint }: FilmFacts): readonly [number, number, number] => [
  1,
  Math.log(Math.max(1e-3, wetMm) / USUAL_MM),
  Math.max(0, waterOfPaint - WATER_BORNE),
]
const dot = (a: readonly number[], b: readonly number[]) => a.reduce((sum, x, i) => sum + x * b[i]!, 0)
const logistic = (x: number) => 1 / (1 + Math.exp(-x))

/**
 * How likely a film cracks: a logistic in ln film and the water past what paint bears, from start values of Fika and
 * moved by the studio's own pieces (the most likely weights under a normal prior, by Newton's method).
 * @throws Invalid for what is no number
 */
export function crackRisk(film: FilmFacts, own: readonly DriedFilm[]): CrackRisk {
  mustBeAmounts(
    'A film',
    [film, ...own].flatMap((f) => [f.wetMm, f.waterOfPaint]),
  )
  const weights = learned(own)
  const [, , water] = traits(film)
  const safe = (Math.log(SAFE / (1 - SAFE)) - weights[0]! - weights[2]! * water) / weights[1]!
  return { risk: logistic(dot(weights, traits(film))), pieces: own.length, safeMm: USUAL_MM * Math.exp(safe) }
}

function learned(own: readonly DriedFilm[]): number[] {
  const weights: number[] = [...START]
  const rows = own.map((o) => ({ x: traits(o), y: Number(o.cracked) }))
  for (let round = 0; round < (rows.length ? ROUNDS : 0); round++) {
    const gradient = weights.map((w, i) => (START[i]! - w) / START_SD[i]! ** 2)
    const curvature = new Float64Array(9)
    for (let i = 0; i < 3; i++) curvature[4 * i] = 1 / START_SD[i]! ** 2
    for (const { x, y } of rows) {
      const p = logistic(dot(weights, x))
      for (let i = 0; i < 3; i++) {
        gradient[i]! += (y - p) * x[i]!
        for (let j = 0; j < 3; j++) curvature[3 * i + j]! += p * (1 - p) * x[i]! * x[j]!
      }
    }
    // A sum of a precision and of squares: always positive definite.
    const step = solveCholesky(cholesky(curvature, 3)!, 3, gradient)
    step.forEach((s, i) => (weights[i]! += s))
    if (step.every((s) => Math.abs(s) < 1e-10)) break
  }
  // A thicker film is never the safer one.
  weights[1] = Math.max(0.2, weights[1]!)
  return weights
}
