import type { ReactNode } from 'react'
import { studioFacts } from '@/db/people/studio'
import { signOutAction } from '@/server/door'
import { inStudio } from '@/session/current'
import { Frame } from '@/ui/frame/Frame'
import { DropSizesHere } from '@/ui/hooks/useDropSizes'
import { TechniquesHere } from '@/ui/hooks/useTechniques'
import { ownTechniques } from '@/db/techniques/read'

export default async function StudioLayout({ children }: { children: ReactNode }) {
  const { studio, who, own } = await inStudio(async (tx, who) => ({
    studio: await studioFacts(tx),
    who,
    own: await ownTechniques(tx),
  }))
  return (
    <Frame
      studio={{ id: studio.id, name: studio.name }}
      person={who.accountName}
      role={who.role}
      signOut={signOutAction}
    >
      <DropSizesHere sizes={studio.drops}>
        <TechniquesHere own={own}>{children}</TechniquesHere>
      </DropSizesHere>
    </Frame>
  )
}
