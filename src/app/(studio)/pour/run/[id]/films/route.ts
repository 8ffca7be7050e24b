import { runSchema } from '@/db/runs/schema'
import { perform } from '@/server/perform'
import { rows } from '@/server/route'
import { runFilms } from '@/stations/pour/run/queries'

/** The studio's own films, which what stayed on a piece is judged by: asked for when it comes to that. */
export const GET = async (_: Request, { params }: { params: Promise<{ id: string }> }) =>
  rows(await perform(runSchema, await params, (tx, { id }) => runFilms(tx, id)))
