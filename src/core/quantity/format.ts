import { ML_PER_DROP, ML_PER_FL_OZ } from './units'

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
/** Whole drops nearest to a volume in µl. */
export const formatDrops = (ul: number) => {
  const drops = Math.round(ul / 1000 / ML_PER_DROP)
  return `${drops}${NB}${drops === 1 ? 'drop' : 'drops'}`
}
/** More drops than this nobody counts. Start value of Fika. */
const COUNTED_DROPS = 60
/** Whether a volume in µl is said in drops. */
export const isCounted = (ul: number) => Math.round(ul / 1000 / ML_PER_DROP) <= COUNTED_DROPS
/**
 * A small amount as one measures it: in drops while one counts them, else in ml.
 * @param with_ the largest of the amounts it stands beside, so that they are said in one unit
 */
export const formatSmall = (ul: number, with_ = ul) => (isCounted(with_) ? formatDrops(ul) : formatMl(ul))
/** The same in another unit than `formatSmall` uses: hundreds of drops help nobody. */
export const formatSmallBeside = (ul: number) => (isCounted(ul) ? formatMl(ul) : formatFlOz(ul))
/** Both systems side by side: `60 ml · 2.03 fl oz`. */
export const formatVolume = (ul: number) => `${formatMl(ul)} · ${formatFlOz(ul)}`

/** Mass in mg of a volume in µl at a density in g/ml. */
export const massMg = (ul: number, densityGPerMl: number) => Math.round(ul * densityGPerMl)
