import type { NextRequest } from 'next/server'
import { object } from 'yup'
import { journal } from '@/db/ledger'
import { perform } from '@/server/perform'
import { rows } from '@/server/route'
import { readJournalFilter } from '@/stations/notebook/journal/journalFilter'
import { OLDER } from '@/stations/notebook/journal/pages'

/** Older movements, as JSON. */
export async function GET(request: NextRequest) {
  const wanted = readJournalFilter(Object.fromEntries(request.nextUrl.searchParams))
  return rows(await perform(object(), {}, (tx) => journal(tx, null, OLDER, wanted)))
}
