import { findRun } from '@/db/runs/read'
import { runEventSchema, runSchema } from '@/db/runs/schema'
import { noteRunEvent } from '@/db/runs/write'
import { perform } from '@/server/perform'
import { answered, bodyOf } from '@/server/route'

type Context = { params: Promise<{ id: string }> }

/** A run, as it stands. */
export const GET = async (_: Request, { params }: Context) =>
  answered(await perform(runSchema, await params, (tx, { id }) => findRun(tx, id)))

/** Adds what happened; answers the run with it. */
export async function POST(request: Request, { params }: Context) {
  const sent = bodyOf(request, await params)
  return answered(await perform(runSchema.concat(runEventSchema), sent, (tx, { id, ...e }) => noteRunEvent(tx, id, e)))
}
