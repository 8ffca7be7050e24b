import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { houseRules } from '@/db/people/houseRules'
import { findMixing } from '@/db/mixings/mixings'
import { studioFacts } from '@/db/people/studio'
import { isId } from '@/db/base/withStudio'
import { inStudio } from '@/session/current'
import { GuideScreen } from '@/stations/bench/guide/GuideScreen'
import type { GuidedMixing } from '@/db/mixings/write'
import { orNotFound } from '@/ui/frame/orNotFound'

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
