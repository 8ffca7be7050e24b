import { rackBottles } from '@/db/bottles/rack'
import { looksToTake } from '@/db/pieces/read'
import { studioFacts } from '@/db/people/studio'
import { publicOrigin } from '@/server/asker'
import { inStudio } from '@/session/current'
import { calendarOf } from '@/stations/rack/calendar'
import { datesOf } from '@/stations/rack/find'

/** Rest ends and keep-untils of the rack, and looks at pieces, as a calendar file. */
export async function GET() {
  const origin = await publicOrigin()
  const { bottles, looks, studio } = await inStudio(async (tx) => ({
    bottles: await rackBottles(tx, false),
    looks: await looksToTake(tx),
    studio: await studioFacts(tx),
  }))
  const dates = datesOf(bottles, new Date(), studio.zone)
  return new Response(calendarOf(dates, looks, studio.name, origin), {
    headers: {
      'Content-Type': 'text/calendar; charset=utf-8',
      'Content-Disposition': 'attachment; filename="fika.ics"',
      'Cache-Control': 'private, no-store',
    },
  })
}
