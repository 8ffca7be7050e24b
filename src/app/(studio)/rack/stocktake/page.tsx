import type { Metadata } from 'next'
import { studioFacts } from '@/db/studio'
import { inStudio } from '@/session/current'
import { toWeigh } from '@/stations/rack/stocktake/queries'
import { Stocktake } from '@/stations/rack/stocktake/Stocktake'

export const metadata: Metadata = { title: 'Stocktake' }

export default async function StocktakePage() {
  const { bottles, studio } = await inStudio(async (tx) => ({
    bottles: await toWeigh(tx),
    studio: await studioFacts(tx),
  }))
  return <Stocktake bottles={bottles} studioId={studio.id} units={studio.units} />
}
