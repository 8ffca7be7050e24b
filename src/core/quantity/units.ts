import { START_DROPS } from './dropSizes'

/** Exact unit factors, each with its source, so that a screen can say where a number comes from. */
export interface Unit {
  readonly symbol: string
  readonly names: readonly string[]
  readonly kind: 'volume' | 'mass' | 'length'
  /** Volume in ml, mass in g, length in mm. */
  readonly factor: number
  readonly source: string
}

const HB44 = 'NIST Handbook 44, Appendix C; NIST SP 811'

/** ml in one US fluid ounce (exact). */
export const ML_PER_FL_OZ = 29.5735295625
/** ml in one US teaspoon (exact). */
export const ML_PER_TSP = 4.92892159375
/** mm in one inch (exact). */
export const MM_PER_INCH = 25.4

const unit = (symbol: string, kind: Unit['kind'], factor: number, names: string[], source = HB44): Unit => ({
  symbol,
  kind,
  factor,
  names: [symbol, ...names],
  source,
})

const SI = 'SI Brochure, 9th edition'

export const UNITS: readonly Unit[] = [
  unit('ml', 'volume', 1, ['millilitre', 'millilitres', 'milliliter', 'milliliters', 'cc'], SI),
  unit('µl', 'volume', 0.001, ['ul', 'μl'], SI),
  unit('cl', 'volume', 10, [], SI),
  unit('dl', 'volume', 100, [], SI),
  unit('l', 'volume', 1000, ['litre', 'litres', 'liter', 'liters'], SI),
  unit('fl oz', 'volume', ML_PER_FL_OZ, ['floz', 'fluid ounce', 'fluid ounces', 'fl. oz', 'fl. oz.']),
  unit('tsp', 'volume', ML_PER_TSP, ['teaspoon', 'teaspoons']),
  unit('tbsp', 'volume', 14.78676478125, ['tablespoon', 'tablespoons']),
  unit('cup', 'volume', 236.5882365, ['cups']),
  unit('pt', 'volume', 473.176473, ['pint', 'pints']),
  unit('qt', 'volume', 946.352946, ['quart', 'quarts']),
  unit('gal', 'volume', 3785.411784, ['gallon', 'gallons']),
  unit('drop', 'volume', START_DROPS.water / 1000, ['drops'], 'a drop of water, from memory; see dropSizes'),
  unit('g', 'mass', 1, ['gram', 'grams', 'gr'], SI),
  unit('mg', 'mass', 0.001, [], SI),
  unit('kg', 'mass', 1000, ['kilogram', 'kilograms'], SI),
  unit('oz', 'mass', 28.349523125, ['ounce', 'ounces']),
  unit('lb', 'mass', 453.59237, ['lbs', 'pound', 'pounds']),
  unit('mm', 'length', 1, ['millimetre', 'millimetres'], SI),
  unit('cm', 'length', 10, ['centimetre', 'centimetres', 'centimeter', 'centimeters'], SI),
  unit('m', 'length', 1000, ['metre', 'metres', 'meter', 'meters'], SI),
  unit('in', 'length', MM_PER_INCH, ['inch', 'inches', '"', '″', 'ins']),
  unit('ft', 'length', 304.8, ['foot', 'feet', "'", '′']),
]

const byName = new Map(UNITS.flatMap((u) => u.names.map((n) => [n, u] as const)))

/**
 * The unit a person wrote, in any of its names; undefined when unknown.
 * A bare `oz` is fluid for `volume` and mass for `mass`.
 */
export function findUnit(text: string, kind: Unit['kind']): Unit | undefined {
  const name = text.trim().toLowerCase().replace(/\s+/g, ' ')
  if (kind === 'volume' && ['oz', 'ounce', 'ounces'].includes(name)) return byName.get('fl oz')
  return byName.get(name)
}
