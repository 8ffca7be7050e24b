'use server'

import type { Answer } from '@/core/answer'
import { NotFound } from '@/core/errors'
import type { Quad } from '@/core/surface/homography'
import { reclaimRunOff } from '@/db/mixes'
import { withStudio } from '@/db/base/withStudio'
import { noteByProduct, noteCoat, removeByProduct, removeCoat } from '@/db/pieces/finish'
import { measuredSchema } from '@/db/pieces/measuresSchema'
import { keepPairs } from '@/db/pieces/pairs'
import { addPhoto, keepMeasures, photoToFlatten, removePhoto } from '@/db/pieces/photos'
import {
  byProductSchema,
  finishCoatSchema,
  lookSchema,
  photoSchema,
  pieceSchema,
  reclaimSchema,
  removeByProductSchema,
  removeFinishCoatSchema,
  removePhotoSchema,
} from '@/db/pieces/schema'
import { noteLook, notePiece } from '@/db/pieces/write'
import { change } from '@/server/change'
import { flatten } from '@/server/flatten'
import { ask, perform, performPrepared } from '@/server/perform'
import { takePhoto } from '@/server/photo'

/** Notes title, next time, which way up, and what became of it. */
export const notePieceAction = async (input: unknown) => change(pieceSchema, input, notePiece)

/** Notes a look: where, how much, words, rating. */
export const noteLookAction = async (input: unknown) =>
  perform(lookSchema, input, (tx, look, who) => noteLook(tx, look, who.accountId))

/** Adds a photo to a look. It is encoded before the database is asked for anything. */
export async function addPhotoAction(form: FormData): Promise<Answer<null>> {
  return performPrepared(
    photoSchema,
    form,
    async ({ photo }) => takePhoto(new Uint8Array(await photo.arrayBuffer())),
    async (tx, picture, { id, pieceId, moment, isRaked }) => {
      await addPhoto(tx, { id, pieceId, moment, isRaked, ...picture })
      return null
    },
  )
}

/** Keeps corners and measures of a photo, and lays it flat; no connection is held while that is done. */
export async function keepMeasuresAction(input: unknown): Promise<Answer<null>> {
  return ask(measuredSchema, input, async (measured, who) => {
    const photo = await withStudio(who, (tx) => photoToFlatten(tx, measured.photoId))
    if (!photo) throw new NotFound('photo')
    const flat = await flatten(photo.image, measured.corners as unknown as Quad, photo.surface)
    await withStudio(who, async (tx) => keepPairs(tx, await keepMeasures(tx, measured, flat)))
    return null
  })
}

/** Takes a photo away. */
export const removePhotoAction = async (input: unknown) =>
  change(removePhotoSchema, input, (tx, { id }) => removePhoto(tx, id))

/** Notes a coat of varnish or resin. */
export const noteCoatAction = async (input: unknown) =>
  perform(finishCoatSchema, input, (tx, coat, who) => noteCoat(tx, coat, who.accountId))

/** Takes a coat out of the notes. */
export const removeCoatAction = async (input: unknown) =>
  change(removeFinishCoatSchema, input, (tx, { id }) => removeCoat(tx, id))

/** Notes a paper, or a small thing made of run-off. */
export const noteByProductAction = async (input: unknown) => change(byProductSchema, input, noteByProduct)

/** Takes it out of the notes. */
export const removeByProductAction = async (input: unknown) =>
  change(removeByProductSchema, input, (tx, { id }) => removeByProduct(tx, id))

/** Puts run-off into a jar. */
export const reclaimAction = async (input: unknown) => change(reclaimSchema, input, reclaimRunOff)
