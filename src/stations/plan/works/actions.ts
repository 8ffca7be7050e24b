'use server'

import { object } from 'yup'
import type { Answer } from '@/core/answer'
import { idSchema } from '@/db/base/idSchema'
import { byIdSchema, workLinkSchema } from '@/db/people/memberSchema'
import { endWorkLink, makeWorkLink } from '@/db/people/workLinks'
import { workSchema } from '@/db/works/schema'
import { dropWork, saveWork } from '@/db/works/write'
import { publicOrigin } from '@/server/asker'
import { change } from '@/server/change'
import { perform } from '@/server/perform'

/** Keeps a work, new or changed. */
export async function saveWorkAction(input: unknown): Promise<Answer<{ revision: number }>> {
  return perform(workSchema, input, (tx, work) => saveWork(tx, work))
}

/** Puts a work away; its plans stay. */
export const dropWorkAction = async (input: unknown) =>
  change(object({ id: idSchema }), input, (tx, { id }) => dropWork(tx, id))

/** Makes a link by which a client sees the sketches of a work. Answers it, this once. */
export async function makeWorkLinkAction(input: unknown): Promise<Answer<string>> {
  return perform(
    workLinkSchema,
    input,
    async (tx, link) => `${await publicOrigin()}/shown/${await makeWorkLink(tx, link)}`,
  )
}

/** Ends such a link. */
export const endWorkLinkAction = async (input: unknown) => change(byIdSchema, input, endWorkLink)
