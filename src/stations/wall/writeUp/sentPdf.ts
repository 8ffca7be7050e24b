import { notFound } from 'next/navigation'
import { isId, type Tx } from '@/db/base/withStudio'
import { inStudio } from '@/session/current'
import { orNotFound } from '@/ui/frame/orNotFound'

/** Answers with something of a piece as PDF: read in one transaction, laid out after it. */
export async function sentPdf(
  params: Promise<{ id: string }>,
  name: string,
  printed: (tx: Tx, id: string) => Promise<() => Promise<Uint8Array>>,
): Promise<Response> {
  const { id } = await params
  if (!isId(id)) notFound()
  const layOut = await inStudio((tx) => printed(tx, id)).catch(orNotFound)
  return new Response(new Uint8Array(await layOut()), {
    headers: {
      'Content-Type': 'application/pdf',
      'Content-Disposition': `inline; filename="${name}.pdf"`,
      'Cache-Control': 'private, no-store',
    },
  })
}
