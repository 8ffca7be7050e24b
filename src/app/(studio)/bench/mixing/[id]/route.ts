import { findMixing } from '@/db/mixings/mixings'
import { eventSchema, mixingSchema } from '@/db/mixings/schema'
import { noteEvent } from '@/db/mixings/write'
import { perform } from '@/server/perform'
import { answered, bodyOf } from '@/server/route'

type Context = { params: Promise<{ id: string }> }

/** A mix in the making, as it stands. */
export const GET = async (_: Request, { params }: Context) =>
  answered(await perform(mixingSchema, await params, (tx, { id }) => findMixing(tx, id)))

/** Adds what happened; answers the mix with it. */
export async function POST(request: Request, { params }: Context) {
  const sent = bodyOf(request, await params)
  return answered(await perform(mixingSchema.concat(eventSchema), sent, (tx, { id, ...e }) => noteEvent(tx, id, e)))
}
