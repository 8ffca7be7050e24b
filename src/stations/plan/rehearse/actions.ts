'use server'

import type { Answer } from '@/core/answer'
import { dropCorrection, keepCorrection } from '@/db/rehearsals/corrections'
import {
  correctionSchema,
  dropCorrectionSchema,
  rehearsalSchema,
  removeRehearsalSchema,
  toldSchema,
} from '@/db/rehearsals/schema'
import { keepRehearsal, removeRehearsal } from '@/db/rehearsals/write'
import { checked } from '@/server/answer'
import { change } from '@/server/change'
import { performPrepared } from '@/server/perform'
import { takePhoto } from '@/server/photo'

/** Keeps a rehearsal with its plan. Its picture is encoded before the database is asked for anything. */
export async function keepRehearsalAction(form: FormData): Promise<Answer<null>> {
  return performPrepared(
    rehearsalSchema,
    form,
    async ({ body, picture }) => ({
      ...(await checked(toldSchema, parsed(body))),
      ...(await takePhoto(new Uint8Array(await picture.arrayBuffer()))),
    }),
    async (tx, prepared, { id, planId, surfaceId }) => {
      await keepRehearsal(tx, { id, planId, surfaceId, ...prepared })
      return null
    },
  )
}

/** What is no text of ours is nothing, and is refused as such. */
function parsed(body: string): unknown {
  try {
    return JSON.parse(body)
  } catch {
    return null
  }
}

/** Takes a rehearsal away. */
export const removeRehearsalAction = async (input: unknown) =>
  change(removeRehearsalSchema, input, (tx, { id }) => removeRehearsal(tx, id))

/** Rehearsals of a technique are corrected by what was weighed from now on. */
export const keepCorrectionAction = async (input: unknown) => change(correctionSchema, input, keepCorrection)

/** Rehearsals of a technique run as its bottles read again. */
export const dropCorrectionAction = async (input: unknown) =>
  change(dropCorrectionSchema, input, (tx, { technique }) => dropCorrection(tx, technique))
