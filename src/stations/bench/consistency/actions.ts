'use server'

import { BY_EYE_SIGMA } from '@/core/consistency/reference'
import { NotFound } from '@/core/errors'
import { readBottle } from '@/db/bottles/consistency'
import { waterBottle } from '@/db/ledger'
import { change } from '@/server/change'
import { derivedId } from '@/db/base/derivedId'
import { correctSchema, readBottleSchema, referenceSchema, waterSchema } from '@/db/bottles/readingSchema'

export const readBottleAction = async (input: unknown) =>
  change('/', readBottleSchema, input, (tx, r) => readBottle(tx, r))
export const waterBottleAction = async (input: unknown) => change('/', waterSchema, input, waterBottle)

/** Drops at the table: booked, and learned from, since the bottle is then taken to be like the reference. */
export const correctAction = async (input: unknown) =>
  change('/', correctSchema, input, async (tx, c) => {
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

/** Makes a bottle the one the others of its palette are brought to; there is one to a palette. */
export const referenceAction = async (input: unknown) =>
  change('/', referenceSchema, input, async (tx, { vesselId, isReference }) => {
    const done = await tx.q(
      `update bottle b set is_reference = $3 and b.vessel_id = $2
       where b.studio_id = $1 and b.palette = (select palette from bottle where studio_id = $1 and vessel_id = $2)
         and (b.vessel_id = $2 or b.is_reference) returning 1`,
      [tx.studioId, vesselId, isReference],
    )
    if (done.length === 0) throw new NotFound('bottle')
    tx.touched.add('rack')
  })
