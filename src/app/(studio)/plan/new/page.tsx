import type { Metadata } from 'next'
import { studioFacts } from '@/db/people/studio'
import { makersWord } from '@/db/materials/makersWord'
import { listSurfaces } from '@/db/surfaces/read'
import { inStudio } from '@/session/current'
import { PlanEditor } from '@/stations/plan/PlanEditor'
import { pricedBottles } from '@/stations/plan/queries'
import { firstValues, type Search } from '@/ui/frame/search'

export const metadata: Metadata = { title: 'New plan' }

export default async function NewPlan({ searchParams }: { searchParams: Search }) {
  const wanted = (firstValues(await searchParams).bottles ?? '').split(',')
  const { bottles, studio, surfaces, word } = await inStudio(async (tx) => ({
    bottles: await pricedBottles(tx),
    studio: await studioFacts(tx),
    surfaces: await listSurfaces(tx),
    word: await makersWord(tx),
  }))
  const chosen = wanted.filter((id) => bottles.some((b) => b.id === id))
  return (
    <PlanEditor
      bottles={bottles}
      chosen={chosen}
      units={studio.units}
      currency={studio.currency}
      surfaces={surfaces}
      word={word}
    />
  )
}
