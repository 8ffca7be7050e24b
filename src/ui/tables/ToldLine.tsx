import { formatMl } from '@/core/quantity/format'
import type { Told } from '@/core/tilt/kept'

/** What a rehearsal told, in one line. */
export function ToldLine({ told }: { told: Told }) {
  return (
    <>
      <b>{told.meanMm.toFixed(2)} mm left</b>,{' '}
      {told.covered > 0.995 ? 'covers all' : `${Math.floor(told.covered * 100)} % covered`}, {formatMl(told.offUl)} run
      off, {Math.round(told.seconds)} s of tilting.
    </>
  )
}
