import type { Metadata } from 'next'
import { studioFacts } from '@/db/people/studio'
import { inStudio } from '@/session/current'
import { buyFacts, buyList } from '@/stations/plan/lists/buyList'
import { BuySheet } from '@/stations/plan/lists/BuySheet'
import { worksFacts } from '@/stations/plan/queries'
import { firstValues, type Search } from '@/ui/frame/search'
import { dayOn } from '@/ui/tables/dates'

export const metadata: Metadata = { title: 'To buy' }

const WEEK = 7 * 86_400_000

export default async function BuyPage({ searchParams }: { searchParams: Search }) {
  const { for: span = 'all', plan } = firstValues(await searchParams)
  const now = new Date()
  const { facts, studio, scheduled } = await inStudio(async (tx) => ({
    facts: await buyFacts(tx),
    studio: await studioFacts(tx),
    scheduled: (await worksFacts(tx, now.getTime())).scheduled,
  }))
  const soon = new Set(
    scheduled.flatMap((s) => {
      const pour = s.steps.find((x) => x.key === 'pour')
      return pour && pour.start <= now.getTime() + WEEK ? [s.id] : []
    }),
  )
  const chosen = facts.plans.filter((p) => (plan ? p.id === plan : span !== 'week' || soon.has(p.id)))
  // Worked out once the connection is back: the solver is not waited for with it in hand.
  const list = await buyList(facts, chosen, dayOn(now.getTime(), studio.zone), now)
  return <BuySheet list={list} span={plan ? '' : span} currency={studio.currency} zone={studio.zone} />
}
