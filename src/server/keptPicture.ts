import { notFound } from 'next/navigation'
import { isId, type Tx } from '@/db/base/withStudio'
import { inStudio } from '@/session/current'

/** Serves a picture of this studio, as it was encoded when it was taken in: it never changes under its id, but where it is said. */
export async function keptPicture(
  params: Promise<{ id: string }>,
  find: (tx: Tx, id: string) => Promise<Buffer | undefined>,
  { changes = false } = {},
): Promise<Response> {
  const { id } = await params
  if (!isId(id)) notFound()
  const image = await inStudio((tx) => find(tx, id))
  if (!image) notFound()
  return picture(image, changes ? 'private, no-cache' : 'private, max-age=31536000, immutable')
}

/** A picture as an answer. @param cacheControl who may keep it, and for how long */
export const picture = (image: Buffer, cacheControl: string): Response =>
  new Response(new Uint8Array(image), { headers: { 'Content-Type': 'image/jpeg', 'Cache-Control': cacheControl } })
