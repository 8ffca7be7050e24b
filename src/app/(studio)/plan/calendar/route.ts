import { publicOrigin } from '@/server/asker'
import { inStudio } from '@/session/current'
import { worksFacts } from '@/stations/plan/queries'
import { planCalendar } from '@/stations/plan/works/calendar'

/** Steps of all open plans as a calendar file. */
export async function GET() {
  const origin = await publicOrigin()
  const { scheduled, plans, studio } = await inStudio((tx) => worksFacts(tx, Date.now()))
  const titles = new Map(plans.map((p) => [p.id, p.title]))
  return new Response(
    planCalendar(scheduled, (id) => titles.get(id) ?? 'a plan', studio.name, origin),
    {
      headers: {
        'Content-Type': 'text/calendar; charset=utf-8',
        'Content-Disposition': 'attachment; filename="plans.ics"',
        'Cache-Control': 'private, no-store',
      },
    },
  )
}
