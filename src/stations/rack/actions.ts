'use server'

import { NotFound } from '@/core/errors'
import { discard, takeOut, weighInBottle } from '@/db/ledger'
import { change } from '@/session/change'
import { discardSchema, editBottleSchema, takeOutSchema, weighInSchema } from './schema'

export const takeOutAction = async (input: unknown) => change('/', takeOutSchema, input, takeOut)
export const weighInAction = async (input: unknown) => change('/', weighInSchema, input, weighInBottle)
export const discardAction = async (input: unknown) => change('/', discardSchema, input, discard)

/** Changes a bottle's name, role and notes; what is in it is the ledger's. */
export const editBottleAction = async (input: unknown) =>
  change('/', editBottleSchema, input, async (tx, { vesselId, label, role, notes }) => {
    const done = await tx.q(
      'update bottle set role = $3, notes = $4 where studio_id = $1 and vessel_id = $2 returning 1',
      [tx.studioId, vesselId, role, notes],
    )
    if (done.length === 0) throw new NotFound('bottle')
    await tx.q('update vessel set label = $3 where studio_id = $1 and id = $2', [tx.studioId, vesselId, label])
  })
