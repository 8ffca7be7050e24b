import { deltaE00 } from '../deltaE00'
import { labOfSet, type Palette } from './palette'
import type { Aim, Refined } from './refine'

/** A formula in whole parts. */
export interface WholeParts {
  readonly set: readonly number[]
  readonly parts: readonly number[]
  readonly deltaE: number
}

const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b))
const sum = (parts: readonly number[]) => parts.reduce((a, b) => a + b, 0)

/** ΔE00 that one part fewer is worth. */
const FEWER = 0.003

/** Tries parts of one set, each ratio once, and keeps the best. */
class Trials {
  best: WholeParts | undefined
  private readonly tried = new Set<number>()
  constructor(
    private readonly palette: Palette,
    private readonly aim: Aim,
    private readonly set: readonly number[],
    private readonly most: number,
  ) {}

  /** @returns whether it is better than what was */
  try(parts: readonly number[]): boolean {
    const divisor = parts.reduce(gcd)
    const lowest = divisor > 1 ? parts.map((p) => p / divisor) : parts
    const key = lowest.reduce((k, p) => k * (this.most + 1) + p, 0)
    if (this.tried.has(key)) return false
    this.tried.add(key)
    const deltaE = deltaE00(labOfSet(this.palette, this.set, lowest), this.aim.lab)
    if (this.best && deltaE >= this.best.deltaE - FEWER * (sum(this.best.parts) - sum(lowest))) return false
    this.best = { set: this.set, parts: lowest, deltaE }
    return true
  }
}

/**
 * A good formula in whole parts of at most `most` each near a set's best amounts: for every size of the largest part
 * each other part rounded down and up. What rounds to nothing is held at one part, since it is to be in it.
 */
export function wholeParts(palette: Palette, aim: Aim, { set, amounts }: Refined, most: number): WholeParts {
  const largest = amounts.reduce((m, v) => Math.max(m, v), 0)
  const trials = new Trials(palette, aim, set, most)
  for (let scale = 1; scale <= most; scale++) {
    const exact = Array.from(amounts, (a) => (a / largest) * scale)
    const free = exact.flatMap((e, j) => (e > 1 && Math.abs(e - Math.round(e)) > 1e-9 ? [j] : []))
    for (let up = 0; up < 1 << free.length; up++)
      trials.try(
        exact.map((e, j) => {
          const bit = free.indexOf(j)
          return bit < 0 ? Math.max(1, Math.round(e)) : Math.floor(e) + ((up >> bit) & 1)
        }),
      )
  }
  return trials.best!
}

/**
 * The best whole parts near some that were found, by steps of one part at a time and of two at once: where a small
 * part is held at one, the others no longer belong where the exact optimum has them.
 */
export function betterParts(palette: Palette, aim: Aim, from: WholeParts, most: number): WholeParts {
  const trials = new Trials(palette, aim, from.set, most)
  trials.try(from.parts)
  // Parts of 2 : 1 are also 10 : 5, from where there are steps in between.
  for (let scale = 2; scale * Math.max(...from.parts) <= most; scale++)
    descend(
      trials,
      from.parts.map((p) => p * scale),
      most,
    )
  descend(trials, from.parts, most)
  return trials.best!
}

function descend(trials: Trials, start: readonly number[], most: number): void {
  let at = start
  for (let moved = true; moved;) {
    moved = false
    for (const next of steps(at, most))
      if (trials.try(next)) {
        at = next
        moved = true
      }
  }
}

/** Parts one step from some: one part more or fewer of one, of two at once, or from one to another. */
function* steps(parts: readonly number[], most: number): Generator<number[]> {
  const n = parts.length
  for (let j = 0; j < n; j++)
    for (const by of [1, -1, 2, -2]) {
      const one = parts.map((p, i) => (i === j ? p + by : p))
      if (one[j]! < 1 || one[j]! > most) continue
      yield one
      for (let k = j + 1; k < n; k++)
        for (const and of [1, -1]) {
          const two = one.map((p, i) => (i === k ? p + and : p))
          if (two[k]! >= 1 && two[k]! <= most) yield two
        }
    }
}

/** The best whole parts of a set of up to three paints, every ratio tried. */
export function everyParts(palette: Palette, aim: Aim, set: readonly number[], most: number): WholeParts {
  const trials = new Trials(palette, aim, set, most)
  const parts = set.map(() => 1)
  for (let j = 0; j >= 0;) {
    if (parts.reduce(gcd) === 1) trials.try([...parts])
    // Counts up like the figures of a number.
    for (j = set.length - 1; j >= 0 && parts[j] === most; j--) parts[j] = 1
    if (j >= 0) parts[j]! += 1
  }
  return trials.best!
}
