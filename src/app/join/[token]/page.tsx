import type { Metadata } from 'next'
import { findInvitation, LINK_OVER } from '@/db/people/invitations'
import { joinAction, signInByInvitationAction, signUpByInvitationAction } from '@/server/door'
import { session } from '@/session/current'
import { Join } from '@/ui/frame/Join'
import { LinkOver } from '@/ui/frame/LinkOver'

export const metadata: Metadata = { title: 'Invitation', robots: { index: false } }

export default async function JoinPage({ params }: { params: Promise<{ token: string }> }) {
  const { token } = await params
  const invited = await findInvitation(token)
  if (!invited) return <LinkOver title="This lets nobody in">{LINK_OVER}</LinkOver>
  const who = await session()
  return (
    <Join
      token={token}
      invited={invited}
      signedInAs={who?.accountName}
      join={joinAction}
      signIn={signInByInvitationAction}
      signUp={signUpByInvitationAction}
    />
  )
}
