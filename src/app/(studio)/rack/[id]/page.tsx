import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { judgeWater } from '@/core/mix/waterLimit'
import { findBottle, portionsOf } from '@/db/bottles'
import { houseRules } from '@/db/houseRules'
import { journal } from '@/db/journal'
import { studioFacts } from '@/db/studio'
import { isId } from '@/db/withStudio'
import { inStudio } from '@/session/current'
import { BottleSheet } from '@/stations/rack/BottleSheet'
import { besideBottle, sureOfBottle } from '@/stations/rack/queries'
import { orNotFound } from '@/ui/orNotFound'

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
      sure: await sureOfBottle(tx, portions),
      entries: await journal(tx, id),
      studio,
      water: portions.length ? judgeWater(portions, { school: studio.waterSchool }) : undefined,
      bands: (await houseRules(tx)).bands,
      ...(await besideBottle(tx, id)),
    }
  }).catch(orNotFound)
  return <BottleSheet {...props} now={new Date()} />
}
