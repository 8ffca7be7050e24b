'use server'

import { revalidatePath } from 'next/cache'
import type { Answer } from '@/core/answer'
import { Invalid, NotFound } from '@/core/errors'
import { reclaimRunOff } from '@/db/ledger'
import { change } from '@/server/change'
import { perform } from '@/server/perform'
import { takePhoto } from './photo'
import { PHOTO, photoSchema, pieceSchema, reclaimSchema, removePhotoSchema } from '@/db/pieces/schema'
import { notePiece } from '@/db/pieces/write'

/** Notes title, drying, rating, faults and fate. */
export async function notePieceAction(input: unknown): Promise<Answer<null>> {
  const result = await perform(pieceSchema, input, async (tx, piece) => {
    await notePiece(tx, piece)
    return null
  })
  if (result.ok) revalidatePath('/wall', 'layout')
  return result
}

/** Adds a photo, wet or dry. The same photo id sent twice is one photo. */
export async function addPhotoAction(form: FormData): Promise<Answer<null>> {
  const input = { id: form.get('id'), pieceId: form.get('pieceId'), state: form.get('state') }
  const result = await perform(photoSchema, input, async (tx, { id, pieceId, state }) => {
    const file = form.get('photo')
    if (!(file instanceof File) || file.size === 0) throw new Invalid('Choose a photo first.', 'photo')
    if (file.size > PHOTO.bytes)
      throw new Invalid('This photo is larger than 20 MB. Make it smaller, and try again.', 'photo')
    const [piece] = await tx.q('select 1 from piece where studio_id = $1 and id = $2', [tx.studioId, pieceId])
    if (!piece) throw new NotFound('piece')
    const { image, width, height } = await takePhoto(new Uint8Array(await file.arrayBuffer()))
    await tx.q(
      `insert into piece_photo (studio_id, id, piece_id, state, width, height, image) values ($1, $2, $3, $4, $5, $6, $7)
       on conflict (studio_id, id) do nothing`,
      [tx.studioId, id, pieceId, state, width, height, image],
    )
    return null
  })
  if (result.ok) revalidatePath('/wall', 'layout')
  return result
}

/** Puts run-off into a jar. */
export const reclaimAction = async (input: unknown) => change('/', reclaimSchema, input, reclaimRunOff)

/** Takes a photo away. */
export async function removePhotoAction(input: unknown): Promise<Answer<null>> {
  const result = await perform(removePhotoSchema, input, async (tx, { id }) => {
    await tx.q('delete from piece_photo where studio_id = $1 and id = $2', [tx.studioId, id])
    return null
  })
  if (result.ok) revalidatePath('/wall', 'layout')
  return result
}
