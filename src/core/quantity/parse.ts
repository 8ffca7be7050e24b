import { Invalid } from '../errors'
import { readNumber } from './number'
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
 * Reads an amount as people write it; a sum such as `2 oz + 3 drops` is added up.
 * @param text what was typed; a bare number takes the unit of `system`
 * @returns ml for a volume, g for a mass, mm for a length
 * @throws Invalid with a sentence that names what can be typed
 */
export function parseAmount(text: string, kind: Unit['kind'], system: UnitSystem = 'metric'): number {
  const parts = text.split('+')
  const amounts = parts.map((part) => {
    const read = readNumber(part)
    if (!read) throw new Invalid(`“${text.trim()}” is not an amount. Type something like ${EXAMPLE[kind]}.`)
    const name = read.rest.trim() || BARE[kind][system]
    const unit = findUnit(name, kind)
    if (!unit) throw new Invalid(`“${name}” is not a unit Fika knows. Type something like ${EXAMPLE[kind]}.`)
    if (unit.kind !== kind)
      throw new Invalid(
        `“${name}” is a unit of ${unit.kind}, and a ${kind} is wanted: something like ${EXAMPLE[kind]}.`,
      )
    return read.value * unit.factor
  })
  return amounts.reduce((a, b) => a + b, 0)
}

/** A typed volume in whole microlitres. @throws Invalid */
export function parseVolumeUl(text: string, system: UnitSystem = 'metric'): number {
  return Math.round(parseAmount(text, 'volume', system) * 1000)
}

/** A typed mass in whole milligrams. @throws Invalid */
export function parseMassMg(text: string, system: UnitSystem = 'metric'): number {
  return Math.round(parseAmount(text, 'mass', system) * 1000)
}

/**
 * What was poured, in whole µl, typed by volume or read off a scale: `130 ml`, `4 oz` (fluid), `156 g`.
 * @param densityGPerMl of what was poured, turns a mass into a volume
 * @throws Invalid
 */
export function parsePouredUl(text: string, densityGPerMl: number, system: UnitSystem = 'metric'): number {
  const unit = findUnit(readNumber(text)?.rest.trim() ?? '', 'volume')
  if (unit?.kind === 'mass') return Math.round((parseAmount(text, 'mass', system) / densityGPerMl) * 1000)
  return parseVolumeUl(text, system)
}
