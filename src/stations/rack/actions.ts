'use server'

import { revalidatePath } from 'next/cache'
import type { AnyObjectSchema, InferType } from 'yup'
import type { Answer } from '@/core/answer'
import { NotFound } from '@/core/errors'
import { discard, takeOut, weighInBottle } from '@/db/ledger'
import type { Tx } from '@/db/withStudio'
import { perform } from '@/session/perform'
import { discardSchema, editBottleSchema, takeOutSchema, weighInSchema } from './schema'

/** One thing done to a bottle, then every screen that shows it is read anew. */
async function toBottle<S extends AnyObjectSchema>(
  schema: S,
  input: unknown,
  work: (tx: Tx, input: InferType<S>) => Promise<unknown>,
): Promise<Answer<null>> {
  const result = await perform(schema, input, async (tx, good) => {
    await work(tx, good)
    return null
  })
  if (result.ok) revalidatePath('/', 'layout')
  return result
}

export const takeOutAction = async (input: unknown) => toBottle(takeOutSchema, input, takeOut)
export const weighInAction = async (input: unknown) => toBottle(weighInSchema, input, weighInBottle)
export const discardAction = async (input: unknown) => toBottle(discardSchema, input, discard)

/** Changes a bottle's name, role and notes; what is in it is the ledger's. */
export const editBottleAction = async (input: unknown) =>
  toBottle(editBottleSchema, input, async (tx, { vesselId, label, role, notes }) => {
    const done = await tx.q(
      'update bottle set role = $3, notes = $4 where studio_id = $1 and vessel_id = $2 returning 1',
      [tx.studioId, vesselId, role, notes],
    )
    if (done.length === 0) throw new NotFound('bottle')
    await tx.q('update vessel set label = $3 where studio_id = $1 and id = $2', [tx.studioId, vesselId, label])
  })
