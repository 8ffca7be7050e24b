import { inStudio } from '@/session/current'
import { writeCsv } from '@/stations/paints/csv'
import { allMaterials } from '@/stations/paints/queries'

/** The whole drawer as CSV; it imports back unchanged. */
export async function GET() {
  const csv = writeCsv(await inStudio((tx) => allMaterials(tx)))
  return new Response(`\uFEFF${csv}`, {
    headers: {
      'Content-Type': 'text/csv; charset=utf-8',
      'Content-Disposition': 'attachment; filename="fika-paints.csv"',
      'Cache-Control': 'private, no-store',
    },
  })
}
