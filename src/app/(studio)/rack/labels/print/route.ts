import type { NextRequest } from 'next/server'
import { isId } from '@/db/base/withStudio'
import { inStudio } from '@/session/current'
import { gridOf } from '@/stations/rack/labels/grids'
import { labelTexts, originOf } from '@/stations/rack/labels/labelTexts'
import { labelsPdf } from '@/stations/rack/labels/pdf'
import { labelsSvg } from '@/stations/rack/labels/svg'

/** As many labels as are printed at once. */
const MOST = 200

/** Sheets of labels: `ids`, `grid`, `from` (first free place), `as` pdf or svg, and for SVG `outlines`. */
export async function GET(request: NextRequest) {
  const { searchParams: asked } = request.nextUrl
  const ids = (asked.get('ids') ?? '').split(',').filter(isId).slice(0, MOST)
  const texts = await inStudio((tx) => labelTexts(tx, ids, originOf(request)))
  const [grid, from] = [gridOf(asked.get('grid')), Number(asked.get('from')) || 1]
  const svg = asked.get('as') === 'svg'
  const body = svg
    ? await labelsSvg(texts, grid, from, 0, asked.has('outlines'))
    : Buffer.from(await labelsPdf(texts, grid, from))
  return new Response(body, {
    headers: {
      'Content-Type': svg ? 'image/svg+xml' : 'application/pdf',
      'Content-Disposition': `inline; filename="labels.${svg ? 'svg' : 'pdf'}"`,
      'Cache-Control': 'private, no-store',
    },
  })
}
