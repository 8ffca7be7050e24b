import { deltaE00 } from '../deltaE00'
import type { Triple } from '../srgb'
import { labOfSet, xyzAndSlope, type Palette } from './palette'

// Taken out of the global once: inner loops run where a look-up of `Math` is not free.
const { min, max, abs, exp, cbrt } = Math

export interface Refined {
  readonly set: readonly number[]
  readonly amounts: readonly number[]
  readonly deltaE: number
}

/** The colour to hit, and the rows of d(ΔE00 units)/dXYZ there. */
export interface Aim {
  readonly lab: Triple
  readonly xyz: Triple
  readonly byXyz: readonly [Triple, Triple, Triple]
  /** Cube roots of `xyz`. */
  readonly root: Triple
}

const by = new Float64Array(12)
const xyz: Triple = [0, 0, 0]
const off = new Float64Array(3)
const slope = new Float64Array(12)
/** Damped normal equations of up to four unknowns, with the right-hand side in a fifth column. */
const system = new Float64Array(20)

/** Solves `system` for `n` unknowns in place, by Gauss elimination with partial pivoting; false where it is singular. */
function solveSmall(n: number): boolean {
  for (let col = 0; col < n; col++) {
    let pivot = col
    for (let row = col + 1; row < n; row++) if (abs(system[5 * row + col]!) > abs(system[5 * pivot + col]!)) pivot = row
    const top = system[5 * pivot + col]!
    if (abs(top) < 1e-14) return false
    if (pivot !== col)
      for (let k = 0; k < 5; k++) {
        const held = system[5 * col + k]!
        system[5 * col + k] = system[5 * pivot + k]!
        system[5 * pivot + k] = held
      }
    for (let row = 0; row < n; row++) {
      if (row === col) continue
      const factor = system[5 * row + col]! / top
      if (factor === 0) continue
      for (let k = col; k < n; k++) system[5 * row + k]! -= factor * system[5 * col + k]!
      system[5 * row + 4]! -= factor * system[5 * col + 4]!
    }
  }
  return true
}

/**
 * Squared distance to the aim in its metric; the three parts go to `off`. Differences in XYZ of far colours are not
 * differences seen: cube roots straighten them.
 */
function residuals(aim: Aim): number {
  const { byXyz } = aim
  let sum = 0
  const [x, y, z] = [bent(aim, 0), bent(aim, 1), bent(aim, 2)]
  for (let c = 0; c < 3; c++) {
    const row = byXyz[c]!
    const d = row[0] * x + row[1] * y + row[2] * z
    off[c] = d
    sum += d * d
  }
  return sum
}
const bent = (aim: Aim, c: 0 | 1 | 2) => 3 * aim.root[c] ** 2 * (cbrt(max(0, xyz[c])) - aim.root[c])

/** The slope of the residuals by ln amount, three numbers an amount, into `slope`. */
function slopes(aim: Aim, amounts: readonly number[], fixed: number): void {
  const bend = [0, 1, 2].map((c) => aim.root[c]! ** 2 / cbrt(max(1e-9, xyz[c]!)) ** 2)
  for (let j = fixed; j < amounts.length; j++)
    for (let r = 0; r < 3; r++) {
      const row = aim.byXyz[r]!
      slope[3 * (j - fixed) + r] =
        amounts[j]! *
        (row[0] * bend[0]! * by[3 * j]! + row[1] * bend[1]! * by[3 * j + 1]! + row[2] * bend[2]! * by[3 * j + 2]!)
    }
}

/** Fills `system` from `slope` and `off` with Marquardt's damping. */
function normalEquations(free: number, damping: number): void {
  for (let j = 0; j < free; j++) {
    for (let k = 0; k < free; k++)
      system[5 * j + k] =
        slope[3 * j]! * slope[3 * k]! + slope[3 * j + 1]! * slope[3 * k + 1]! + slope[3 * j + 2]! * slope[3 * k + 2]!
    system[5 * j + j]! += damping * (system[5 * j + j]! + 1e-3)
    system[5 * j + 4] = -(slope[3 * j]! * off[0]! + slope[3 * j + 1]! * off[1]! + slope[3 * j + 2]! * off[2]!)
  }
}

/**
 * Amounts of one set of paints nearest to the aim: Levenberg–Marquardt on ln amounts with the slope in closed form.
 * @param fixed leading paints of the set whose amounts stay (what is in the cup)
 */
export function refine(
  palette: Palette,
  aim: Aim,
  set: readonly number[],
  start: ArrayLike<number>,
  rounds = 12,
  fixed = 0,
): Refined {
  const free = set.length - fixed
  let amounts = Array.from(start)
  xyzAndSlope(palette, set, amounts, xyz, by)
  let cost = residuals(aim)
  let damping = 0.02
  for (let round = 0; round < rounds && cost > 1e-5 && free > 0; round++) {
    slopes(aim, amounts, fixed)
    const before = cost
    for (let attempt = 0; attempt < 5; attempt++) {
      normalEquations(free, damping)
      if (!solveSmall(free)) break
      const next = amounts.slice()
      for (let j = 0; j < free; j++) {
        const step = system[5 * j + 4]! / system[5 * j + j]!
        next[j + fixed] = max(1e-7, amounts[j + fixed]! * exp(min(2, max(-2, step))))
      }
      xyzAndSlope(palette, set, next, xyz, by)
      const nextCost = residuals(aim)
      if (nextCost < cost) {
        amounts = next
        cost = nextCost
        damping = max(1e-6, damping / 5)
        break
      }
      damping *= 6
      // The slope of the failed step must not stay in the residuals the next attempt reads.
      xyzAndSlope(palette, set, amounts, xyz, by)
      residuals(aim)
    }
    if (before - cost < 1e-3 * before) break
  }
  const sum = fixed ? 1 : amounts.reduce((a, b) => a + b, 0)
  const scaled = amounts.map((v) => v / sum)
  return { set, amounts: scaled, deltaE: deltaE00(labOfSet(palette, set, scaled), aim.lab) }
}

/** Pattern search on ln amounts by true ΔE00: for targets that cannot be reached, where the metric at the target misleads. */
export function polish(palette: Palette, aim: Aim, found: Refined, fixed = 0): Refined {
  // A paint the refinement all but threw out moves nothing when doubled: it gets a start it can be felt from.
  const felt = found.amounts.map((v, j) => (j < fixed ? v : max(v, FELT)))
  const again = { ...found, amounts: felt, deltaE: deltaE00(labOfSet(palette, found.set, felt), aim.lab) }
  const from = [again, found].map((start) => descend(palette, aim, start, fixed))
  const best = from[0]!.deltaE < from[1]!.deltaE ? from[0]! : from[1]!
  const sum = fixed ? 1 : best.amounts.reduce((a, b) => a + b, 0)
  return { ...best, amounts: best.amounts.map((v) => v / sum) }
}
const FELT = 0.01

function descend(palette: Palette, aim: Aim, start: Refined, fixed: number): Refined {
  let best = start
  let step = 1
  while (step > 0.004) {
    let moved = false
    for (let j = fixed; j < best.set.length; j++)
      for (const way of [step, -step]) {
        const amounts = best.amounts.slice()
        amounts[j]! *= exp(way)
        const deltaE = deltaE00(labOfSet(palette, best.set, amounts), aim.lab)
        if (deltaE < best.deltaE - 1e-6) {
          best = { set: best.set, amounts, deltaE }
          moved = true
        }
      }
    if (!moved) step /= 2
  }
  return best
}
