import type { NextRequest } from 'next/server'
import { object } from 'yup'
import { studioFacts } from '@/db/people/studio'
import { perform } from '@/server/perform'
import { rows } from '@/server/route'
import { readRackFilter } from '@/stations/rack/filter'
import { findBottles, RACK_CHUNK } from '@/stations/rack/find'

const whole = (text: string | undefined, otherwise: number, most: number) =>
  Math.min(most, Math.max(0, Math.trunc(Number(text)) || otherwise))

/** A further chunk of the rack's bottles, as JSON. */
export async function GET(request: NextRequest) {
  const params = Object.fromEntries(request.nextUrl.searchParams)
  return rows(
    await perform(object(), {}, async (tx) => {
      const { zone, drops } = await studioFacts(tx)
      const [from, chunk] = [whole(params.from, 0, 1e6), whole(params.chunk, RACK_CHUNK, 500)]
      return (await findBottles(tx, readRackFilter(params), new Date(), zone, from, chunk, drops.water)).rows
    }),
  )
}
