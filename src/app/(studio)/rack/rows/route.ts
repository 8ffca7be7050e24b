import type { NextRequest } from 'next/server'
import { studioFacts } from '@/db/people/studio'
import { withStudio } from '@/db/base/withStudio'
import { requireSession } from '@/session/current'
import { json } from '@/server/json'
import { answer } from '@/server/perform'
import { findBottles, RACK_CHUNK } from '@/stations/rack/find'
import { readRackFilter } from '@/stations/rack/filter'

/** A further chunk of the rack's bottles, as JSON. */
export async function GET(request: NextRequest) {
  const params = Object.fromEntries(request.nextUrl.searchParams)
  const whole = (text: string | undefined, otherwise: number, most: number) =>
    Math.min(most, Math.max(0, Math.trunc(Number(text)) || otherwise))
  return json(
    await answer(async () => {
      const who = await requireSession()
      return withStudio(who, async (tx) => {
        const { zone } = await studioFacts(tx)
        const [from, chunk] = [whole(params.from, 0, 1e6), whole(params.chunk, RACK_CHUNK, 500)]
        return (await findBottles(tx, readRackFilter(params), new Date(), zone, from, chunk)).rows
      })
    }),
  )
}
