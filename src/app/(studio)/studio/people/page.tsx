import type { Metadata } from 'next'
import { openInvitations } from '@/db/people/invitations'
import { listMembers } from '@/db/people/members'
import { studioFacts } from '@/db/people/studio'
import { inStudio } from '@/session/current'
import { People } from '@/stations/studio/people/People'

export const metadata: Metadata = { title: 'People' }

export default async function PeoplePage() {
  const props = await inStudio(async (tx, who) => ({
    members: await listMembers(tx),
    invitations: who.role === 'owner' ? await openInvitations(tx) : [],
    me: who.accountId,
    role: who.role,
    zone: (await studioFacts(tx)).zone,
  }))
  return <People {...props} />
}
