import { notFound } from 'next/navigation'
import { findBottle } from '@/db/bottles'
import { studioFacts } from '@/db/studio'
import { isId } from '@/db/withStudio'
import { inStudio } from '@/session/current'
import { labelPdf } from '@/stations/rack/labelPdf'
import { recipeText } from '@/stations/rack/recipeText'
import { day } from '@/ui/dates'
import { orNotFound } from '@/ui/orNotFound'

/** One bottle's label as PDF. The QR code holds the plain address of the bottle's page. */
export async function GET(request: Request, { params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  if (!isId(id)) notFound()
  const { bottle, studio } = await inStudio(async (tx) => ({
    bottle: await findBottle(tx, id),
    studio: await studioFacts(tx),
  })).catch(orNotFound)
  const host = request.headers.get('host') ?? new URL(request.url).host
  const pdf = await labelPdf({
    name: bottle.label,
    role: bottle.role,
    mixedOn: day(bottle.mixedAt, studio.zone),
    recipe: recipeText(bottle.recipe),
    hex: bottle.hex,
    url: `${request.headers.get('x-forwarded-proto') ?? 'http'}://${host}/rack/${bottle.id}`,
  })
  return new Response(Buffer.from(pdf), {
    headers: {
      'Content-Type': 'application/pdf',
      'Content-Disposition': `inline; filename="label.pdf"`,
      'Cache-Control': 'private, no-store',
    },
  })
}
