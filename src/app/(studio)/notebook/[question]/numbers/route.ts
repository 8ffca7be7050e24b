import type { NextRequest } from 'next/server'
import { object } from 'yup'
import { NotFound } from '@/core/errors'
import { writeCsv } from '@/exchange/csv'
import { perform } from '@/server/perform'
import { rows } from '@/server/route'
import { answerOf } from '@/stations/notebook/answers'
import { cellText } from '@/stations/notebook/sheet'

/** The numbers behind a picture, as CSV. */
export async function GET(request: NextRequest, { params }: { params: Promise<{ question: string }> }) {
  const { question } = await params
  const result = await perform(object(), {}, async (tx) => {
    const answer = answerOf(question)
    if (!answer) throw new NotFound('question')
    return (await answer(tx, Object.fromEntries(request.nextUrl.searchParams), new Date())).sheet
  })
  if (!result.ok) return rows(result)
  const { columns, rows: lines } = result.value
  return new Response(
    writeCsv({ headings: columns.map((c) => c.name), rows: lines.map((l) => l.cells.map(cellText)) }),
    {
      headers: {
        'Content-Type': 'text/csv; charset=utf-8',
        'Content-Disposition': `attachment; filename="${question}.csv"`,
        'Cache-Control': 'private, no-store',
      },
    },
  )
}
