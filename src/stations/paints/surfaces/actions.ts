'use server'

import { revalidatePath } from 'next/cache'
import type { Answer } from '@/core/answer'
import { perform } from '@/session/perform'
import { moveSchema, putAwaySchema, surfaceSchema } from './schema'
import { moveSurfaces, putSurfaceAway, saveSurface } from './write'

const redraw = (result: Answer<null>) => {
  if (result.ok) revalidatePath('/paints/surfaces')
  return result
}

/** Keeps a kind of surface. */
export const saveSurfaceAction = async (input: unknown): Promise<Answer<null>> =>
  redraw(await perform(surfaceSchema, input, async (tx, s) => (await saveSurface(tx, s), null)))
/** Books surfaces in or out. */
export const moveSurfacesAction = async (input: unknown): Promise<Answer<null>> =>
  redraw(await perform(moveSchema, input, async (tx, m) => (await moveSurfaces(tx, m), null)))
/** Takes a kind of surface off the list. */
export const putSurfaceAwayAction = async (input: unknown): Promise<Answer<null>> =>
  redraw(await perform(putAwaySchema, input, async (tx, { id }) => (await putSurfaceAway(tx, id), null)))
