import { weightsTaken } from '@/db/stocktake'
import { withStudio } from '@/db/withStudio'
import { requireSession } from '@/session/current'
import { json } from '@/session/json'
import { answer } from '@/session/perform'

/** The weights of the stocktake under way, as JSON. */
export const GET = async () => json(await answer(async () => withStudio(await requireSession(), weightsTaken)))
