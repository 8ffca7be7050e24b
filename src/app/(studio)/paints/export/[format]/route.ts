import { inStudio } from '@/session/current'
import { exportCatalogue, FORMATS, type Format } from '@/exchange/export'

/** The whole drawer in one of the formats. */
export async function GET(_request: Request, { params }: { params: Promise<{ format: string }> }) {
  const { format } = await params
  if (!Object.hasOwn(FORMATS, format)) return new Response('Fika writes csv, xlsx, json, gpl and cxf.', { status: 404 })
  const body = await inStudio((tx) => exportCatalogue(tx, format as Format, new Date()))
  return new Response(body as BodyInit, {
    headers: {
      'Content-Type': FORMATS[format as Format][0],
      'Content-Disposition': `attachment; filename="fika-paints.${format}"`,
      'Cache-Control': 'private, no-store',
    },
  })
}
