import { rackBottles } from '@/db/bottles/rack'
import { studioFacts } from '@/db/people/studio'
import { inStudio } from '@/session/current'
import { calendarOf } from '@/stations/rack/calendar'
import { datesOf } from '@/stations/rack/find'
import { originOf } from '@/stations/rack/labels/labelTexts'

/** Rest ends and keep-untils of the rack as a calendar file. */
export async function GET(request: Request) {
  const { bottles, studio } = await inStudio(async (tx) => ({
    bottles: await rackBottles(tx, false),
    studio: await studioFacts(tx),
  }))
  const dates = datesOf(bottles, new Date(), studio.zone)
  return new Response(calendarOf(dates, studio.name, originOf(request)), {
    headers: {
      'Content-Type': 'text/calendar; charset=utf-8',
      'Content-Disposition': 'attachment; filename="rack.ics"',
      'Cache-Control': 'private, no-store',
    },
  })
}
