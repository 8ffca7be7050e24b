'use server'

import { object } from 'yup'
import { idSchema } from '@/db/base/idSchema'
import { change } from './change'
import { undo } from './undo'

const undoSchema = object({ requestId: idSchema, movementId: idSchema })

/** Undoes a movement by its mirror image; offered wherever movements are shown. */
export const undoAction = async (input: unknown) => change(undoSchema, input, undo)
