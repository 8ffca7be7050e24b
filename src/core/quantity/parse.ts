import { Invalid } from '../errors'
import { START_DROPS } from './dropSizes'
import { askBack, readNumber } from './number'
import { findUnit, type Unit } from './units'

export const UNIT_SYSTEMS = ['metric', 'us'] as const
export type UnitSystem = (typeof UNIT_SYSTEMS)[number]

const EXAMPLE: Record<Unit['kind'], string> = {
  volume: '60 ml, 2 fl oz, 1 1/2 cup or 3 drops',
  mass: '64 g or 2.2 oz',
  length: '40 cm or 16 in',
}
const BARE: Record<Unit['kind'], Record<UnitSystem, string>> = {
  volume: { metric: 'ml', us: 'fl oz' },
  mass: { metric: 'g', us: 'oz' },
  length: { metric: 'cm', us: 'in' },
}

/**
 * Reads an amount as people write it; a sum such as `2 oz + 3 drops` or `2 oz 3 drops` is added up.
 * @param text what was typed; a bare number takes the unit of `system`
 * @param dropUl volume of one drop; water where nothing is said
 * @returns ml for a volume, g for a mass, mm for a length
 * @throws Invalid with a sentence that names what can be typed
 */
export function parseAmount(
  text: string,
  kind: Unit['kind'],
  system: UnitSystem = 'metric',
  dropUl = START_DROPS.water,
): number {
  const like = `Type something like ${EXAMPLE[kind]}.`
  if (/^\s*[-−–]/.test(text)) throw new Invalid(`“${text.trim()}” is below zero, and an amount is not. ${like}`)
  let sum = 0
  let left = text
  do {
    const asked = askBack(left)
    if (asked) throw new Invalid(asked)
    const read = readNumber(left)
    if (!read) throw new Invalid(`“${text.trim()}” is not an amount. ${like}`)
    // The unit goes up to the next amount.
    const [, word = '', more = ''] = /^([^+\d½⅓⅔¼¾⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞]*)(?:\+\s*)?(.*)$/su.exec(read.rest)!
    const name = word.trim() || BARE[kind][system]
    const unit = findUnit(name, kind)
    if (!unit || (more && !word.trim() && !read.rest.includes('+')))
      throw new Invalid(`“${read.rest.trim() || name}” is not a unit Fika knows. ${like}`)
    if (unit.kind !== kind)
      throw new Invalid(
        `“${name}” is a unit of ${unit.kind}, and a ${kind} is wanted: something like ${EXAMPLE[kind]}.`,
      )
    sum += read.value * (unit.symbol === 'drop' ? dropUl / 1000 : unit.factor)
    if (/\+\s*$/.test(read.rest)) throw new Invalid(`“${text.trim()}” is not an amount. ${like}`)
    left = more
  } while (left.trim())
  return sum
}

/** A typed volume in whole microlitres. @throws Invalid */
export function parseVolumeUl(text: string, system: UnitSystem = 'metric', dropUl = START_DROPS.water): number {
  return Math.round(parseAmount(text, 'volume', system, dropUl) * 1000)
}

/** A typed mass in whole milligrams. @throws Invalid */
export function parseMassMg(text: string, system: UnitSystem = 'metric'): number {
  return Math.round(parseAmount(text, 'mass', system) * 1000)
}

/**
 * What was poured, in whole µl, typed by volume or read off a scale: `130 ml`, `4 oz` (fluid), `156 g`.
 * @param densityGPerMl of what was poured, turns a mass into a volume
 * @param dropUl volume of one drop of it
 * @throws Invalid
 */
export function parsePouredUl(
  text: string,
  densityGPerMl: number,
  system: UnitSystem = 'metric',
  dropUl = START_DROPS.water,
): number {
  const unit = findUnit(readNumber(text)?.rest.trim() ?? '', 'volume')
  if (unit?.kind === 'mass') return Math.round((parseAmount(text, 'mass', system) / densityGPerMl) * 1000)
  return parseVolumeUl(text, system, dropUl)
}
