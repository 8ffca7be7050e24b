import type { NextRequest } from 'next/server'
import { isId } from '@/db/base/withStudio'
import { publicOrigin } from '@/server/asker'
import { inStudio } from '@/session/current'
import { drawLabels } from '@/stations/rack/labels/drawLabels'
import { labelTexts } from '@/stations/rack/labels/labelTexts'

/** As many labels as are printed at once. */
const MOST = 200

/** Sheets of labels: `ids`, `grid`, `from` (first free place), `as` pdf or svg, and for SVG `outlines`. */
export async function GET(request: NextRequest) {
  const { searchParams: asked } = request.nextUrl
  const ids = (asked.get('ids') ?? '').split(',').filter(isId).slice(0, MOST)
  const origin = await publicOrigin()
  const texts = await inStudio((tx) => labelTexts(tx, ids, origin))
  const as = asked.get('as') === 'svg' ? 'svg' : 'pdf'
  const from = Number(asked.get('from')) || 1
  return new Response(await drawLabels({ as, texts, grid: asked.get('grid'), from, outlines: asked.has('outlines') }), {
    headers: {
      'Content-Type': as === 'svg' ? 'image/svg+xml' : 'application/pdf',
      'Content-Disposition': `inline; filename="labels.${as}"`,
      'Cache-Control': 'private, no-store',
    },
  })
}
