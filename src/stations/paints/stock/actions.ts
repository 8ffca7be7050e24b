'use server'

import { buyTogether, finishContainer, reopen, unseal, weighContainer } from '@/db/ledger'
import { change } from '@/server/change'
import {
  buySchema,
  dropOfferSchema,
  finishSchema,
  lotSchema,
  offerSchema,
  weighSchema,
} from '@/db/materials/offerSchema'
import { dropOffer, saveOffer } from '@/db/materials/offers'

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
