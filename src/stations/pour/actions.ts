'use server'

import type { Answer } from '@/core/answer'
import { pourPlan } from '@/db/pieces/pour'
import { pourSchema } from '@/db/pieces/pourSchema'
import { bookRun } from '@/db/runs/book'
import { beginRunSchema, bookRunSchema, runIdSchema, runPhotoSchema } from '@/db/runs/schema'
import { beginRun, keepRunPhoto, putRunAside } from '@/db/runs/write'
import { change } from '@/server/change'
import { perform, performPrepared } from '@/server/perform'
import { takePhoto } from '@/server/photo'
import { takeRunBack } from '@/server/takeRunBack'

/** Books the pour of a plan at once, with the amounts as they really were. */
export async function pourAction(input: unknown): Promise<Answer<{ pieceId: string }>> {
  return perform(pourSchema, input, (tx, good) => pourPlan(tx, good))
}

/** Begins a pour that is followed step by step. */
export async function beginRunAction(input: unknown): Promise<Answer<{ id: string }>> {
  return perform(beginRunSchema, input, beginRun)
}

/** Books a pour as it happened. */
export async function bookRunAction(input: unknown): Promise<Answer<{ pieces: { id: string; title: string }[] }>> {
  return perform(bookRunSchema, input, bookRun)
}

/** Takes the booking of a pour back; it is open again. */
export const takeRunBackAction = async (input: unknown) => change(runIdSchema, input, takeRunBack)

/** Puts a pour aside that did not happen. */
export const putRunAsideAction = async (input: unknown) =>
  change(runIdSchema, input, (tx, { id }) => putRunAside(tx, id))

/** Keeps a photo of the day. It is encoded before the database is asked for anything. */
export async function runPhotoAction(form: FormData): Promise<Answer<{ width: number; height: number }>> {
  return performPrepared(
    runPhotoSchema,
    form,
    async ({ photo }) => takePhoto(new Uint8Array(await photo.arrayBuffer())),
    async (tx, picture, { id, runId }) => {
      await keepRunPhoto(tx, { id, runId, ...picture })
      return { width: picture.width, height: picture.height }
    },
  )
}
