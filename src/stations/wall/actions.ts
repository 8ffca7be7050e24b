'use server'

import type { Answer } from '@/core/answer'
import { reclaimRunOff } from '@/db/ledger'
import { lookedSchema, photoSchema, pieceSchema, reclaimSchema, removePhotoSchema } from '@/db/pieces/schema'
import { addPhoto, noteLooked, notePiece, removePhoto } from '@/db/pieces/write'
import { change } from '@/server/change'
import { performPrepared } from '@/server/perform'
import { takePhoto } from '@/server/photo'

/** Notes title, drying, rating, faults and fate. */
export const notePieceAction = async (input: unknown) => change(pieceSchema, input, notePiece)

/** Notes that a piece was looked at when it was due. */
export const lookedAction = async (input: unknown) => change(lookedSchema, input, noteLooked)

/** Adds a photo, wet or dry. It is encoded before the database is asked for anything. */
export async function addPhotoAction(form: FormData): Promise<Answer<null>> {
  return performPrepared(
    photoSchema,
    form,
    async ({ photo }) => takePhoto(new Uint8Array(await photo.arrayBuffer())),
    async (tx, picture, { id, pieceId, state }) => {
      await addPhoto(tx, { id, pieceId, state, ...picture })
      return null
    },
  )
}

/** Puts run-off into a jar. */
export const reclaimAction = async (input: unknown) => change(reclaimSchema, input, reclaimRunOff)

/** Takes a photo away. */
export const removePhotoAction = async (input: unknown) =>
  change(removePhotoSchema, input, (tx, { id }) => removePhoto(tx, id))
