import type { Metadata } from 'next'
import { studioFacts } from '@/db/people/studio'
import { studiosOf } from '@/db/people/members'
import { sessionsOf } from '@/db/people/sessions'
import { inStudio } from '@/session/current'
import { Account } from '@/stations/account/Account'

export const metadata: Metadata = { title: 'Your account' }

export default async function AccountPage() {
  const { who, zone } = await inStudio(async (tx, who) => ({ who, zone: (await studioFacts(tx)).zone }))
  return (
    <Account
      name={who.accountName}
      here={who.sessionId}
      zone={zone}
      sessions={await sessionsOf(who.accountId)}
      studios={await studiosOf(who.accountId)}
      studioId={who.studioId}
    />
  )
}
