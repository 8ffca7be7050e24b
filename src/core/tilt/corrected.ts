import { Invalid } from '../errors'
import { coarse } from './coarse'
import { slopesOf, type Lean } from './hand'
import type { Readings } from './rehearsal'
import { AS_READ, type Correction, type StartTask } from './start'

/** A pour that was rehearsed, and of which it was weighed afterwards what stayed on the piece. */
export interface WeighedRehearsal {
  readonly task: StartTask
  readonly path: readonly Lean[]
  /** Share of the pour that stayed on face and edges, 0–1. */
  readonly share: number
}

export interface Corrected extends Correction {
  /** Of each piece what stayed: as it was weighed, as it is rehearsed as read, and corrected, 0–1. */
  readonly pieces: readonly { readonly weighed: number; readonly asRead: number; readonly corrected: number }[]
  /** How far rehearsed and weighed shares lie apart, root mean square, as read and corrected, 0–1. */
  readonly offAsRead: number
  readonly offCorrected: number
}

/** Fewer pieces than this say nothing of a technique; more than the newest so many take too long. */
export const WEIGHED_PIECES = { least: 3, most: 8 } as const
/** What is tried: ν from a quarter to four times, and edges that hold less and more. Shares between are interpolated. */
export const NU_FACTORS = [0.25, 4] as const
const LN_NU = Array.from({ length: 7 }, (_, i) => ((i - 3) / 3) * Math.log(NU_FACTORS[1]))
const LIP_MM = [0.6, 1, 1.5].map((factor) => factor * AS_READ.lipMm)
export const LIP_RANGE_MM = [LIP_MM[0]!, LIP_MM.at(-1)!] as const
/** How far a weighed share scatters about a rehearsed one, and how far ν (ln) and lip (of itself) may well be off. Start values of Fika. */
const SCATTER = 0.06
const PRIOR = { lnNu: Math.LN2, lip: 0.2 } as const

/** Share of the pour that stays on face and edges at the end of a rehearsal, 0–1. */
export function stays({ leftUl, edgeUl, ranOffUl }: Pick<Readings, 'leftUl' | 'edgeUl' | 'ranOffUl'>): number {
  const poured = leftUl + ranOffUl
  return poured > 0 ? (leftUl + edgeUl) / poured : 0
}

/**
 * How much thicker or thinner than read paint runs, and how much an edge holds, so that rehearsed shares come out as they
 * were weighed: the likeliest of both (normal errors, normal priors about what was read), by rehearsals on coarse cells.
 * What is left cannot tell a steeper hand from a thinner paint: both are corrected by ν.
 * @param onTried called after each rehearsal; answering false stops, and nothing is corrected
 * @throws Invalid for fewer pieces than say anything
 */
export async function corrected(
  weighed: readonly WeighedRehearsal[],
  onTried: (done: number, all: number) => boolean | Promise<boolean>,
): Promise<Corrected | undefined> {
  if (weighed.length < WEIGHED_PIECES.least)
    throw new Invalid(
      `It takes ${WEIGHED_PIECES.least} pieces that were rehearsed, poured and weighed to correct a rehearsal by them.`,
    )
  const shares: number[][] = []
  const all = weighed.length * LIP_MM.length * LN_NU.length
  let done = 0
  for (const { task, path } of weighed) {
    const of: number[] = []
    for (const lipMm of LIP_MM)
      for (const lnNu of LN_NU) {
        of.push(staysWith(task, path, { nuFactor: Math.exp(lnNu), lipMm }))
        if (!(await onTried(++done, all))) return undefined
      }
    shares.push(of)
  }
  const off = (lnNu: number, lipMm: number) =>
    Math.sqrt(
      weighed.reduce((sum, w, i) => sum + (between(shares[i]!, lnNu, lipMm) - w.share) ** 2, 0) / weighed.length,
    )
  const unlikely = (lnNu: number, lipMm: number) =>
    weighed.length * (off(lnNu, lipMm) / SCATTER) ** 2 +
    (lnNu / PRIOR.lnNu) ** 2 +
    ((lipMm / AS_READ.lipMm - 1) / PRIOR.lip) ** 2
  let best = { lnNu: 0, lipMm: AS_READ.lipMm, unlikely: unlikely(0, AS_READ.lipMm) }
  for (const lnNu of finely(LN_NU))
    for (const lipMm of finely(LIP_MM)) {
      const here = unlikely(lnNu, lipMm)
      if (here < best.unlikely) best = { lnNu, lipMm, unlikely: here }
    }
  return {
    nuFactor: kept(Math.exp(best.lnNu), NU_FACTORS),
    lipMm: kept(best.lipMm, LIP_RANGE_MM),
    pieces: weighed.map((w, i) => ({
      weighed: w.share,
      asRead: between(shares[i]!, 0, AS_READ.lipMm),
      corrected: between(shares[i]!, best.lnNu, best.lipMm),
    })),
    offAsRead: off(0, AS_READ.lipMm),
    offCorrected: off(best.lnNu, best.lipMm),
  }
}

function staysWith(task: StartTask, path: readonly Lean[], correction: Correction): number {
  const r = coarse({ ...task, correction }, { seed: 1, seen: false })
  r.advance((path.at(-1)?.t ?? 0) + 1, slopesOf(path))
  return stays(r.readings())
}

/** A value within its range, where the last digit of a sum lies beyond. */
const kept = (value: number, [least, most]: readonly [number, number]) => Math.min(most, Math.max(least, value))

/** From the first to the last of a grid in small steps. */
const finely = (grid: readonly number[], steps = 96) =>
  Array.from({ length: steps + 1 }, (_, i) => grid[0]! + (i / steps) * (grid.at(-1)! - grid[0]!))

/** A share between what was tried, in straight lines. */
function between(shares: readonly number[], lnNu: number, lipMm: number): number {
  const [i, x] = within(LN_NU, lnNu)
  const [j, y] = within(LIP_MM, lipMm)
  const at = (a: number, b: number) => shares[b * LN_NU.length + a]!
  return (1 - y) * ((1 - x) * at(i, j) + x * at(i + 1, j)) + y * ((1 - x) * at(i, j + 1) + x * at(i + 1, j + 1))
}

/** Between which two of a grid a value lies, and how far along, 0–1. */
function within(grid: readonly number[], value: number): [number, number] {
  const found = grid.findLastIndex((g) => g <= value)
  const i = Math.min(grid.length - 2, Math.max(0, found))
  return [i, (value - grid[i]!) / (grid[i + 1]! - grid[i]!)]
}
