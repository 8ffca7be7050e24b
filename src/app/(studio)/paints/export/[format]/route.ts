import { FORMATS } from '@/exchange/formats'
import { inStudio } from '@/session/current'

/** The whole drawer in one of the formats. */
export async function GET(_request: Request, { params }: { params: Promise<{ format: string }> }) {
  const { format: key } = await params
  const format = FORMATS.find((f) => f.key === key)
  if (!format) return new Response(`Fika writes ${FORMATS.map((f) => f.key).join(', ')}.`, { status: 404 })
  const body = await inStudio((tx) => format.write(tx, new Date()))
  return new Response(body as BodyInit, {
    headers: {
      'Content-Type': format.mediaType,
      'Content-Disposition': `attachment; filename="fika-paints.${key}"`,
      'Cache-Control': 'private, no-store',
    },
  })
}
