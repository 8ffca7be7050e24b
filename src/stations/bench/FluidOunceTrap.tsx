import { fluidOunceError } from '@/core/mix/amounts'
import { readNumber } from '@/core/quantity/number'
import { findUnit } from '@/core/quantity/units'
import styles from './bench.module.css'

/** Less than this nobody can pour anyway. */
const SMALL = 0.02

/** Says what goes wrong when fluid ounces were read off a scale; nothing where none were typed. */
export function FluidOunceTrap({ typed, densityGPerMl }: { typed: string; densityGPerMl: number }) {
  const unit = findUnit(readNumber(typed)?.rest.trim() ?? '', 'volume')?.symbol
  const error = fluidOunceError(densityGPerMl)
  if (unit !== 'fl oz' || Math.abs(error) <= SMALL) return null
  return (
    <p className={styles.guideSay}>
      Taken as fluid ounces by volume. If a scale shows them, it takes this for water and you are{' '}
      {Math.round(100 * Math.abs(error))} % {error > 0 ? 'short' : 'over'}: set it to grams.
    </p>
  )
}
