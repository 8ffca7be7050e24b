import type { Metadata } from 'next'
import { houseWords } from '@/db/people/houseWords'
import { studioFacts } from '@/db/people/studio'
import { inStudio } from '@/session/current'
import { Studio } from '@/stations/studio/Studio'

export const metadata: Metadata = { title: 'Studio' }

export default async function StudioPage() {
  const props = await inStudio(async (tx, who) => ({
    studio: await studioFacts(tx),
    words: await houseWords(tx),
    decides: who.role === 'owner',
  }))
  return <Studio {...props} />
}
