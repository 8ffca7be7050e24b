'use server'

import { object, string } from 'yup'
import { techniqueSchema } from '@/db/techniques/schema'
import { removeTechnique, saveTechnique } from '@/db/techniques/write'
import { change } from '@/server/change'

/** Keeps a technique of the studio's own. */
export const saveTechniqueAction = async (input: unknown) => change(techniqueSchema, input, saveTechnique)
/** Takes a technique of the studio's own off the list. */
export const removeTechniqueAction = async (input: unknown) =>
  change(object({ key: string().max(60).required() }), input, (tx, { key }) => removeTechnique(tx, key))
