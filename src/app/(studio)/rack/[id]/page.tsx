import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { judgeWater } from '@/core/mix/waterLimit'
import { findBottle, portionsOf } from '@/db/bottles/read'
import { houseRules } from '@/db/people/houseRules'
import { journal } from '@/db/ledger'
import { techniqueBook } from '@/db/techniques/read'
import { studioFacts } from '@/db/people/studio'
import { isId } from '@/db/base/withStudio'
import { inStudio } from '@/session/current'
import { BottleSheet } from '@/stations/rack/BottleSheet'
import { besideBottle, colourOfBottle } from '@/stations/rack/queries'
import { orNotFound } from '@/ui/frame/orNotFound'

export const metadata: Metadata = { title: 'Bottle' }

export default async function BottlePage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  if (!isId(id)) notFound()
  const props = await inStudio(async (tx) => {
    const portions = await portionsOf(tx, [id])
    const studio = await studioFacts(tx)
    return {
      bottle: await findBottle(tx, id),
      portions,
      colour: await colourOfBottle(tx, portions),
      entries: await journal(tx, id),
      studio,
      water: portions.length ? judgeWater(portions, studio.water) : undefined,
      techniques: await techniqueBook(tx),
      bands: (await houseRules(tx)).bands,
      ...(await besideBottle(tx, id)),
    }
  }).catch(orNotFound)
  return <BottleSheet {...props} now={new Date()} />
}
