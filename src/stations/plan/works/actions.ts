'use server'

import { object } from 'yup'
import type { Answer } from '@/core/answer'
import { idSchema } from '@/db/base/idSchema'
import { workSchema } from '@/db/works/schema'
import { dropWork, saveWork } from '@/db/works/write'
import { change } from '@/server/change'
import { perform } from '@/server/perform'

/** Keeps a work, new or changed. */
export async function saveWorkAction(input: unknown): Promise<Answer<{ revision: number }>> {
  return perform(workSchema, input, (tx, work) => saveWork(tx, work))
}

/** Puts a work away; its plans stay. */
export const dropWorkAction = async (input: unknown) =>
  change(object({ id: idSchema }), input, (tx, { id }) => dropWork(tx, id))
