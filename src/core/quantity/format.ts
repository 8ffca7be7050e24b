import { mustBeAmounts } from '../mustBe'
import { START_DROPS } from './dropSizes'
import { ML_PER_FL_OZ, ML_PER_TSP } from './units'

/** Thin space between number and unit, so that neither is left alone at a line's end. */
const NB = '\u00a0'

function rounded(value: number): string {
  const size = Math.abs(value)
  const digits = size >= 100 ? 0 : size >= 10 ? 1 : 2
  return value.toFixed(digits).replace(/\.0+$/, '')
}

/** Millilitres of a volume in µl: three significant figures, `60 ml`, `4.25 ml`. */
export const formatMl = (ul: number) => `${rounded(ul / 1000)}${NB}ml`
/** Fluid ounces of a volume in µl. */
export const formatFlOz = (ul: number) => `${rounded(ul / 1000 / ML_PER_FL_OZ)}${NB}fl${NB}oz`
/** Grams of a mass in mg. */
export const formatGrams = (mg: number) => `${rounded(mg / 1000)}${NB}g`
/** Whole drops nearest to a volume in µl. @param dropUl volume of one; water where nothing is said */
export const formatDrops = (ul: number, dropUl = START_DROPS.water) => {
  const drops = Math.round(ul / dropUl)
  return `${drops}${NB}${drops === 1 ? 'drop' : 'drops'}`
}
/** More drops than this nobody counts. Start value of Fika. */
const COUNTED_DROPS = 60
/** Whether a volume in µl is said in drops. */
export const isCounted = (ul: number, dropUl = START_DROPS.water) => Math.round(ul / dropUl) <= COUNTED_DROPS
/**
 * A small amount as one measures it: in drops while one counts them, else in ml.
 * @param dropUl volume of one drop
 * @param with_ the largest of the amounts it stands beside, so that they are said in one unit
 */
export const formatSmall = (ul: number, dropUl = START_DROPS.water, with_ = ul) =>
  isCounted(with_, dropUl) ? formatDrops(ul, dropUl) : formatMl(ul)
/** The same in another unit than `formatSmall` uses: hundreds of drops help nobody. */
export const formatSmallBeside = (ul: number, dropUl = START_DROPS.water) =>
  isCounted(ul, dropUl) ? formatMl(ul) : formatFlOz(ul)
const QUARTERS = ['', '¼', '½', '¾']
/** A scoop of something, to a quarter of a teaspoon: `1½ tsp`; nothing where it is less than that. */
export function formatSpoons(ul: number): string {
  const quarters = Math.round((4 * ul) / 1000 / ML_PER_TSP)
  if (quarters < 1) return ''
  return `${Math.floor(quarters / 4) || ''}${QUARTERS[quarters % 4]}${NB}tsp`
}
/**
 * A volume in µl as one would type it, read back as the very same: `207 ml`, and `7 fl oz` where that is a whole or a half
 * number of fluid ounces and no round number of millilitres; nothing where none is known.
 */
export function volumeText(ul: number | null | undefined): string {
  if (ul === null || ul === undefined) return ''
  const halves = Math.round((2 * ul) / 1000 / ML_PER_FL_OZ)
  const isOunces = ul % 100 !== 0 && halves > 0 && Math.round((halves / 2) * ML_PER_FL_OZ * 1000) === ul
  return isOunces ? `${halves / 2} fl oz` : `${ul / 1000} ml`
}

/** Both systems side by side: `60 ml · 2.03 fl oz`. */
export const formatVolume = (ul: number) => `${formatMl(ul)} · ${formatFlOz(ul)}`

/** Mass in mg of a volume in µl at a density in g/ml. */
export function massMg(ul: number, densityGPerMl: number): number {
  mustBeAmounts('A volume or a density', [ul, densityGPerMl])
  return Math.round(ul * densityGPerMl)
}
