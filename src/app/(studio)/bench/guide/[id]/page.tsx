import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { houseRules } from '@/db/houseRules'
import { findMixing } from '@/db/mixings'
import { studioFacts } from '@/db/studio'
import { isId } from '@/db/withStudio'
import { inStudio } from '@/session/current'
import { GuideScreen } from '@/stations/bench/guide/GuideScreen'
import type { GuidedMixing } from '@/stations/bench/guide/write'
import { orNotFound } from '@/ui/orNotFound'

export const metadata: Metadata = { title: 'Mix step by step' }

export default async function GuidePage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  if (!isId(id)) notFound()
  const { mixing, rules, studio } = await inStudio(async (tx) => ({
    mixing: (await findMixing(tx, id)) as GuidedMixing,
    rules: await houseRules(tx),
    studio: await studioFacts(tx),
  })).catch(orNotFound)
  if (mixing.kind !== 'guided') notFound()
  return <GuideScreen start={mixing} bands={rules.bands} units={studio.units} />
}
