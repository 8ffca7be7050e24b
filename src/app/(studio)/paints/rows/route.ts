import type { NextRequest } from 'next/server'
import { requireSession } from '@/session/current'
import { json } from '@/server/json'
import { answer } from '@/server/perform'
import { readFilter } from '@/stations/paints/drawer/filter'
import { CHUNK, findPaints } from '@/stations/paints/drawer/find'
import { withStudio } from '@/db/base/withStudio'

/** A further chunk of the drawer's rows, as JSON. */
export async function GET(request: NextRequest) {
  const params = Object.fromEntries(request.nextUrl.searchParams)
  const chunk = Math.min(500, Math.max(1, Math.trunc(Number(params.chunk)) || CHUNK))
  return json(
    await answer(async () => {
      const who = await requireSession()
      return withStudio(who, async (tx) => (await findPaints(tx, readFilter(params), new Date(), chunk)).rows)
    }),
  )
}
