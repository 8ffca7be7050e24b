import { object } from 'yup'
import { weightsTaken } from '@/db/bottles/stocktake'
import { perform } from '@/server/perform'
import { rows } from '@/server/route'

/** The weights of the stocktake under way, as JSON. */
export const GET = async () => rows(await perform(object(), {}, weightsTaken))
