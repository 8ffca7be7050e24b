import type { ReactNode } from 'react'
import { studioFacts } from '@/db/studio'
import { signOutAction } from '@/session/actions'
import { inStudio } from '@/session/current'
import { Frame } from '@/ui/Frame'

export default async function StudioLayout({ children }: { children: ReactNode }) {
  const { studio, person } = await inStudio(async (tx, who) => ({
    studio: await studioFacts(tx),
    person: who.accountName,
  }))
  return (
    <Frame studio={{ id: studio.id, name: studio.name }} person={person} signOut={signOutAction}>
      {children}
    </Frame>
  )
}
