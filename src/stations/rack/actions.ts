'use server'

import type { Answer } from '@/core/answer'
import { Invalid } from '@/core/errors'
import { readShortCode } from '@/core/vessel/shortCode'
import { bottleByCode } from '@/db/bottles/read'
import { discard, takeOut } from '@/db/ledger'
import { pourBack, splitBottle, topUpBottle, waterBottle, weighInBottle } from '@/db/mixes'
import { editBottle, noteShaken, pourTogether } from '@/db/bottles/edit'
import { bookWeights, dropWeight, nameLoss, takeWeight } from '@/db/bottles/stocktake'
import { change } from '@/server/change'
import { perform } from '@/server/perform'
import { extension } from './extension'
import {
  addWaterSchema,
  codeSchema,
  discardSchema,
  dropWeightSchema,
  editBottleSchema,
  extendSchema,
  mergeSchema,
  nameLossSchema,
  pourBackSchema,
  shakenSchema,
  splitSchema,
  stocktakeSchema,
  takeOutSchema,
  weighInSchema,
  weightSchema,
} from '@/db/bottles/schema'

export const takeOutAction = async (input: unknown) => change(takeOutSchema, input, takeOut)
export const pourBackAction = async (input: unknown) => change(pourBackSchema, input, pourBack)
export const weighInAction = async (input: unknown) => change(weighInSchema, input, weighInBottle)
export const discardAction = async (input: unknown) => change(discardSchema, input, discard)
export const splitAction = async (input: unknown) => change(splitSchema, input, splitBottle)
export const mergeAction = async (input: unknown) => change(mergeSchema, input, pourTogether)
export const addWaterAction = async (input: unknown) => change(addWaterSchema, input, waterBottle)

/** Brings a bottle to a volume in its own ratio. */
export const extendAction = async (input: unknown) =>
  change(extendSchema, input, async (tx, e) => {
    const poured = await extension(tx, e.vesselId, e.totalUl)
    await topUpBottle(tx, { ...e, poured, untrackedForRest: true })
  })

/** Notes that a bottle was shaken and strained. */
export const shakenAction = async (input: unknown) =>
  change(shakenSchema, input, (tx, { vesselId }) => noteShaken(tx, vesselId))

/** Keeps what a bottle weighs until the stocktake is booked. */
export const takeWeightAction = async (input: unknown) => perform(weightSchema, input, takeWeight)
export const nameLossAction = async (input: unknown) => perform(nameLossSchema, input, nameLoss)
export const dropWeightAction = async (input: unknown) => perform(dropWeightSchema, input, dropWeight)

/** Books a stocktake: the weights that were shown, all of them or none. */
export const stocktakeAction = async (input: unknown) =>
  change(stocktakeSchema, input, (tx, { requestIds }) => bookWeights(tx, requestIds))

/** The bottle with a short code. */
export async function findByCodeAction(input: unknown): Promise<Answer<{ id: string }>> {
  return perform(codeSchema, input, async (tx, { code }) => {
    const body = readShortCode(code)
    if (!body)
      throw new Invalid(
        `“${code}” is no code of a label, or a letter of it is mistyped. Read it again, check letter and all.`,
        'code',
      )
    const id = await bottleByCode(tx, body)
    if (!id) throw new Invalid('No bottle of this studio has that code. Read the label again.', 'code')
    return { id }
  })
}

/** Changes a bottle's name, role, palette and notes. */
export const editBottleAction = async (input: unknown) => change(editBottleSchema, input, editBottle)
