'use server'

import { BY_EYE_SIGMA } from '@/core/consistency/reference'
import { makeReference } from '@/db/bottles/edit'
import { readBottle } from '@/db/bottles/readings'
import { waterBottle } from '@/db/mixes'
import { change } from '@/server/change'
import { derivedId } from '@/db/base/derivedId'
import { correctSchema, readBottleSchema, referenceSchema, waterSchema } from '@/db/bottles/readingSchema'

export const readBottleAction = async (input: unknown) => change(readBottleSchema, input, (tx, r) => readBottle(tx, r))
export const waterBottleAction = async (input: unknown) => change(waterSchema, input, waterBottle)

/** Drops at the table: booked, and learned from, since the bottle is then taken to be like the reference. */
export const correctAction = async (input: unknown) =>
  change(correctSchema, input, async (tx, c) => {
    await waterBottle(tx, { ...c, note: 'at the table' })
    await readBottle(tx, {
      requestId: derivedId(c.requestId, 'by eye'),
      vesselId: c.vesselId,
      levelTimeS: c.likeS,
      sigma: BY_EYE_SIGMA,
      tries: [],
      how: 'by eye',
    })
  })

/** Makes a bottle the one the others of its palette are brought to. */
export const referenceAction = async (input: unknown) =>
  change(referenceSchema, input, (tx, { vesselId, isReference }) => makeReference(tx, vesselId, isReference))
