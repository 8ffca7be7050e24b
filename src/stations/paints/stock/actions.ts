'use server'

import { revalidatePath } from 'next/cache'
import type { AnyObjectSchema, InferType } from 'yup'
import type { Answer } from '@/core/answer'
import { buyTogether, finishContainer, weighContainer } from '@/db/ledger'
import type { Tx } from '@/db/withStudio'
import { perform } from '@/session/perform'
import { buySchema, dropOfferSchema, finishSchema, lotSchema, offerSchema, weighSchema } from './schema'
import { dropOffer, reopen, saveOffer, unseal } from './write'

/** A change of stock: nothing to answer, the drawer is drawn anew. */
async function change<S extends AnyObjectSchema>(
  schema: S,
  input: unknown,
  work: (tx: Tx, input: InferType<S>) => Promise<unknown>,
): Promise<Answer<null>> {
  const result = await perform(schema, input, async (tx, good) => {
    await work(tx, good)
    return null
  })
  if (result.ok) revalidatePath('/paints', 'layout')
  return result
}

/** Books bought containers with the price really paid, split over them. */
export const buyContainersAction = async (input: unknown) => change(buySchema, input, buyTogether)
/** Books a container by weight. */
export const weighContainerAction = async (input: unknown) => change(weighSchema, input, weighContainer)
/** Closes a container; what sticks in it is its residue. */
export const finishContainerAction = async (input: unknown) => change(finishSchema, input, finishContainer)
/** Takes a finished container into use again. */
export const reopenContainerAction = async (input: unknown) =>
  change(lotSchema, input, (tx, { lotId }) => reopen(tx, lotId))
/** Notes when a container was opened. */
export const unsealContainerAction = async (input: unknown) =>
  change(lotSchema, input, (tx, { lotId }) => unseal(tx, lotId))
/** Keeps a size, price or offer. */
export const saveOfferAction = async (input: unknown) => change(offerSchema, input, saveOffer)
/** Takes one back. */
export const dropOfferAction = async (input: unknown) =>
  change(dropOfferSchema, input, (tx, { id }) => dropOffer(tx, id))
