import { notFound } from 'next/navigation'
import { isId } from '@/db/base/withStudio'
import { inStudio } from '@/session/current'
import { gridOf } from '@/stations/rack/labels/grids'
import { labelTexts, originOf } from '@/stations/rack/labels/labelTexts'
import { labelsPdf } from '@/stations/rack/labels/pdf'

/** One bottle's label as PDF. The QR code holds the plain address of the bottle's page. */
export async function GET(request: Request, { params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  if (!isId(id)) notFound()
  const texts = await inStudio((tx) => labelTexts(tx, [id], originOf(request)))
  if (texts.length === 0) notFound()
  return new Response(Buffer.from(await labelsPdf(texts, gridOf('one'))), {
    headers: {
      'Content-Type': 'application/pdf',
      'Content-Disposition': `inline; filename="label.pdf"`,
      'Cache-Control': 'private, no-store',
    },
  })
}
