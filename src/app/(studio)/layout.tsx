import type { ReactNode } from 'react'
import { studioFacts } from '@/db/people/studio'
import { signOutAction } from '@/server/door'
import { inStudio } from '@/session/current'
import { Frame } from '@/ui/frame/Frame'
import { DropSizesHere } from '@/ui/hooks/useDropSizes'

export default async function StudioLayout({ children }: { children: ReactNode }) {
  const { studio, person } = await inStudio(async (tx, who) => ({
    studio: await studioFacts(tx),
    person: who.accountName,
  }))
  return (
    <Frame studio={{ id: studio.id, name: studio.name }} person={person} signOut={signOutAction}>
      <DropSizesHere sizes={studio.drops}>{children}</DropSizesHere>
    </Frame>
  )
}
