import { notFound } from 'next/navigation'
import { isId } from '@/db/base/withStudio'
import { publicOrigin } from '@/server/asker'
import { inStudio } from '@/session/current'
import { drawLabels } from '@/stations/rack/labels/drawLabels'
import { labelTexts } from '@/stations/rack/labels/labelTexts'

/** One bottle's label as PDF. The QR code holds the plain address of the bottle's page. */
export async function GET(_: Request, { params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  if (!isId(id)) notFound()
  const origin = await publicOrigin()
  const texts = await inStudio((tx) => labelTexts(tx, [id], origin))
  if (texts.length === 0) notFound()
  return new Response(await drawLabels({ as: 'pdf', texts, grid: 'one', from: 1, outlines: false }), {
    headers: {
      'Content-Type': 'application/pdf',
      'Content-Disposition': `inline; filename="label.pdf"`,
      'Cache-Control': 'private, no-store',
    },
  })
}
