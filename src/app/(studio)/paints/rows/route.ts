import type { NextRequest } from 'next/server'
import { object } from 'yup'
import { perform } from '@/server/perform'
import { rows } from '@/server/route'
import { readFilter } from '@/stations/paints/drawer/filter'
import { CHUNK, findPaints } from '@/stations/paints/drawer/find'

/** A further chunk of the drawer's rows, as JSON. */
export async function GET(request: NextRequest) {
  const params = Object.fromEntries(request.nextUrl.searchParams)
  const chunk = Math.min(500, Math.max(1, Math.trunc(Number(params.chunk)) || CHUNK))
  return rows(
    await perform(object(), {}, async (tx) => (await findPaints(tx, readFilter(params), new Date(), chunk)).rows),
  )
}
