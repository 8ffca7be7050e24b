import { notFound } from 'next/navigation'
import { footprint } from '@/core/surface/shapes'
import { isId } from '@/db/base/withStudio'
import { paletteOf } from '@/db/pieces/wall'
import { inStudio } from '@/session/current'
import { orNotFound } from '@/ui/frame/orNotFound'
import { pouredSvg } from '@/ui/pictures/pouredShapes'

/** A drawing of what a piece was poured with: it hangs where there is no photo. */
export async function GET(_request: Request, { params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  if (!isId(id)) notFound()
  const { surface, colours } = await inStudio((tx) => paletteOf(tx, id)).catch(orNotFound)
  const { lengthMm, widthMm } = footprint(surface)
  const drawn = colours.map((c) => ({ hex: c.hex ?? '#e4e4e4', amount: c.ul }))
  return new Response(pouredSvg(drawn, id, lengthMm / widthMm, surface.shape === 'round'), {
    headers: { 'Content-Type': 'image/svg+xml', 'Cache-Control': 'private, max-age=3600' },
  })
}
