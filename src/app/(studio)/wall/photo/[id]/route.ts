import { notFound } from 'next/navigation'
import { isId } from '@/db/base/withStudio'
import { inStudio } from '@/session/current'

/** A photo of this studio, as it was encoded when it was taken in. */
export async function GET(_request: Request, { params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  if (!isId(id)) notFound()
  const [photo] = await inStudio((tx) =>
    tx.q<{ image: Buffer }>('select image from piece_photo where studio_id = $1 and id = $2', [tx.studioId, id]),
  )
  if (!photo) notFound()
  return new Response(new Uint8Array(photo.image), {
    headers: { 'Content-Type': 'image/jpeg', 'Cache-Control': 'private, max-age=31536000, immutable' },
  })
}
