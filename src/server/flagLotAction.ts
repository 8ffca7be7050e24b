'use server'

import { flagLot } from '@/db/ledger'
import { flagLotSchema } from '@/db/trials/schema'
import { change } from './change'

/** Says what is wrong with a bought container, or that it is sound; offered wherever one is shown or blamed. */
export const flagLotAction = async (input: unknown) => change(flagLotSchema, input, flagLot)
