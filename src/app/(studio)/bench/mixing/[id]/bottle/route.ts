import { bookMixingSchema, mixingSchema } from '@/db/mixings/schema'
import { bookMixing } from '@/db/mixings/write'
import { perform } from '@/server/perform'
import { answered, bodyOf } from '@/server/route'

/** Books a finished mix as a bottle; however often it is sent, one bottle is made. */
export async function POST(request: Request, { params }: { params: Promise<{ id: string }> }) {
  const sent = bodyOf(request, await params)
  const said = await perform(mixingSchema.concat(bookMixingSchema), sent, async (tx, { id, ...details }) => ({
    id: await bookMixing(tx, id, details),
  }))
  return answered(said)
}
