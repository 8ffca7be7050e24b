import type { NextRequest } from 'next/server'
import { object } from 'yup'
import { journalText } from '@/db/ledger'
import { perform } from '@/server/perform'
import { rowsOfText } from '@/server/route'
import { readJournalFilter } from '@/stations/notebook/journal/journalFilter'
import { OLDER } from '@/stations/notebook/journal/pages'

/** Older movements, as JSON. */
export async function GET(request: NextRequest) {
  const wanted = readJournalFilter(Object.fromEntries(request.nextUrl.searchParams))
  return rowsOfText(await perform(object(), {}, (tx) => journalText(tx, OLDER, wanted)))
}
