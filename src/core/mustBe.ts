import { Invalid } from './errors'

/**
 * Guards of the core's public edge, where typing, scanning or importing leads: what is no number never gets into a sum.
 * Inner loops have none.
 */

/** @throws Invalid where a value is not a number, is endless, or is below zero */
export function mustBeAmounts(what: string, values: Iterable<number | null | undefined>): void {
  for (const v of values)
    if (v !== null && v !== undefined && !(Number.isFinite(v) && v >= 0))
      throw new Invalid(`${what} must be a number, zero or more. Check what was typed.`)
}

/** @throws Invalid where a value is not a number, or is endless; below zero is fine */
export function mustBeNumbers(what: string, values: Iterable<number | null | undefined>): void {
  for (const v of values)
    if (v !== null && v !== undefined && !Number.isFinite(v))
      throw new Invalid(`${what} must be a number. Check what was typed.`)
}

/** @throws Invalid where a value is not a number above zero, or is endless */
export function mustBeAbove0(what: string, ...values: readonly number[]): void {
  for (const v of values)
    if (!(Number.isFinite(v) && v > 0)) throw new Invalid(`${what} must be a number above zero. Check what was typed.`)
}
