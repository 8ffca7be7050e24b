import { weightsTaken } from '@/db/bottles/stocktake'
import { withStudio } from '@/db/base/withStudio'
import { requireSession } from '@/session/current'
import { json } from '@/server/json'
import { answer } from '@/server/perform'

/** The weights of the stocktake under way, as JSON. */
export const GET = async () => json(await answer(async () => withStudio(await requireSession(), weightsTaken)))
