import type { Metadata } from 'next'
import { listDroppers } from '@/db/people/droppers'
import { houseWords } from '@/db/people/houseWords'
import { studioFacts } from '@/db/people/studio'
import { inStudio } from '@/session/current'
import { Studio } from '@/stations/studio/Studio'

export const metadata: Metadata = { title: 'Studio' }

export default async function StudioPage() {
  const props = await inStudio(async (tx) => ({
    studio: await studioFacts(tx),
    droppers: await listDroppers(tx),
    words: await houseWords(tx),
  }))
  return <Studio {...props} />
}
