import { Invalid } from '../errors'
import { readNumber } from './number'
import { findUnit, MM_PER_INCH } from './units'
import type { UnitSystem } from './parse'

export interface Size {
  readonly lengthMm: number
  readonly widthMm: number
}

/**
 * Reads a face size such as `16x20 in`, `40 × 50 cm` or `60cm x 90cm`. One unit at the end serves both sides.
 * A bare size is in cm (metric) or in (us).
 * @throws Invalid
 */
export function parseSize(text: string, system: UnitSystem = 'metric'): Size {
  const wrong = () => new Invalid(`“${text.trim()}” is not a size. Type two sides, like 16 x 20 in or 40 x 50 cm.`)
  const sides = text.split(/[x×*]|\bby\b/i)
  if (sides.length !== 2) throw wrong()
  const read = sides.map((s) => readNumber(s))
  const [a, b] = read
  if (!a || !b) throw wrong()
  const lastUnit = b.rest.trim() || (system === 'us' ? 'in' : 'cm')
  const firstUnit = a.rest.trim() || lastUnit
  const [ua, ub] = [findUnit(firstUnit, 'length'), findUnit(lastUnit, 'length')]
  if (ua?.kind !== 'length' || ub?.kind !== 'length') throw wrong()
  const size = { lengthMm: a.value * ua.factor, widthMm: b.value * ub.factor }
  if (size.lengthMm <= 0 || size.widthMm <= 0) throw wrong()
  return size
}

const trim = (n: number, digits: number) => String(Number(n.toFixed(digits)))

/** A size in both systems: `406 × 508 mm` reads `40.6 × 50.8 cm · 16 × 20 in`. */
export function formatSize({ lengthMm, widthMm }: Size, system: UnitSystem | 'both' = 'both'): string {
  const cm = `${trim(lengthMm / 10, 1)} × ${trim(widthMm / 10, 1)} cm`
  const inches = `${trim(lengthMm / MM_PER_INCH, 1)} × ${trim(widthMm / MM_PER_INCH, 1)} in`
  if (system === 'metric') return cm
  return system === 'us' ? inches : `${cm} · ${inches}`
}
