import { Invalid } from '@/core/errors'
import { REST_HOURS } from '@/core/mix/schools'
import type { Role } from '@/core/paint/properties'
import { parseNumber } from '@/core/quantity/number'
import { parseMassMg, parseVolumeUl, type UnitSystem } from '@/core/quantity/parse'
import { readTyped, type Typed } from '@/core/quantity/typed'
import type { BookMixing } from '@/db/mixings/schema'

/** The bottle a mix goes into, as it is typed. */
export interface TypedBottle {
  readonly label: string
  readonly role: Role
  readonly palette: string
  readonly capacity: string
  readonly tare: string
  readonly rest: string
}

/** What stands in the fields before anybody has typed. */
export const untypedBottle = (label: string, role: Role): TypedBottle => ({
  label,
  role,
  palette: '',
  capacity: '',
  tare: '',
  rest: String(REST_HOURS.usual),
})

/** Bottle sizes offered, ml. */
const SIZES = [60, 120, 240, 355, 480, 1000] as const

/** The smallest usual bottle a mix fits into, µl. */
export const usualSizeUl = (totalUl: number) => 1000 * (SIZES.find((s) => s * 1000 >= totalUl) ?? SIZES.at(-1)!)

/** What was typed of a bottle, read; or one sentence about what cannot be. */
export const readBottle = (t: TypedBottle, units: UnitSystem): Typed<Omit<BookMixing, 'findRest'>> =>
  readTyped(() => {
    const restHours = parseNumber(t.rest)
    if (restHours === undefined) throw new Invalid('Type the rest in hours, like 12.', 'restHours')
    const told = <T>(text: string, read: (text: string) => T): T | null => (text.trim() ? read(text) : null)
    return {
      label: t.label,
      role: t.role,
      palette: t.palette,
      capacityUl: told(t.capacity, (text) => parseVolumeUl(text, units)),
      tareMg: told(t.tare, (text) => parseMassMg(text, units)),
      restHours,
    }
  })
