import { notFound } from 'next/navigation'
import { photoImage } from '@/db/pieces/read'
import { isId } from '@/db/base/withStudio'
import { inStudio } from '@/session/current'

/** A photo of this studio, as it was encoded when it was taken in. */
export async function GET(_request: Request, { params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  if (!isId(id)) notFound()
  const image = await inStudio((tx) => photoImage(tx, id))
  if (!image) notFound()
  return new Response(new Uint8Array(image), {
    headers: { 'Content-Type': 'image/jpeg', 'Cache-Control': 'private, max-age=31536000, immutable' },
  })
}
