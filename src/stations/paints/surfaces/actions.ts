'use server'

import { change } from '@/server/change'
import { moveSchema, putAwaySchema, surfaceSchema } from '@/db/surfaces/schema'
import { moveSurfaces, putSurfaceAway, saveSurface } from '@/db/surfaces/write'

/** Keeps a kind of surface. */
export const saveSurfaceAction = async (input: unknown) => change(surfaceSchema, input, saveSurface)
/** Books surfaces in or out. */
export const moveSurfacesAction = async (input: unknown) => change(moveSchema, input, moveSurfaces)
/** Takes a kind of surface off the list. */
export const putSurfaceAwayAction = async (input: unknown) =>
  change(putAwaySchema, input, (tx, { id }) => putSurfaceAway(tx, id))
