import type { Metadata } from 'next'
import { weightsTaken } from '@/db/bottles/stocktake'
import { studioFacts } from '@/db/people/studio'
import { inStudio } from '@/session/current'
import { toWeigh } from '@/stations/rack/stocktake/queries'
import { Stocktake } from '@/stations/rack/stocktake/Stocktake'
import { day } from '@/ui/tables/dates'

export const metadata: Metadata = { title: 'Stocktake' }

export default async function StocktakePage() {
  const { bottles, first, studio } = await inStudio(async (tx) => ({
    bottles: await toWeigh(tx),
    first: await weightsTaken(tx),
    studio: await studioFacts(tx),
  }))
  return (
    <Stocktake
      bottles={bottles}
      first={first}
      units={studio.units}
      zone={studio.zone}
      today={day(new Date(), studio.zone)}
    />
  )
}
