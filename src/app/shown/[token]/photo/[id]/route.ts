import { notFound } from 'next/navigation'
import { isId } from '@/db/base/withStudio'
import { behindWorkLink } from '@/db/people/workLinks'
import { photoOfWork } from '@/db/pieces/read'
import { picture } from '@/server/keptPicture'

/** A photo of a sketch, for whoever holds the link of its work, for as long as the link holds. */
export async function GET(_request: Request, { params }: { params: Promise<{ token: string; id: string }> }) {
  const { token, id } = await params
  if (!isId(id)) notFound()
  const image = await behindWorkLink(token, (tx, workId) => photoOfWork(tx, workId, id))
  if (!image) notFound()
  return picture(image, 'private, no-store')
}
