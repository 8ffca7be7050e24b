'use server'

import { object, string } from 'yup'
import { idSchema } from '@/db/base/idSchema'
import { cupSchema, placeSchema, roomSchema } from '@/db/room/schema'
import { removeFromRoom, saveCup, savePlace, saveRoom } from '@/db/room/write'
import { change } from '@/server/change'

/** Keeps a cup size of the studio. */
export const saveCupAction = async (input: unknown) => change(cupSchema, input, saveCup)
/** Keeps a level place. */
export const savePlaceAction = async (input: unknown) => change(placeSchema, input, savePlace)
/** Keeps the days and the air of the room. */
export const saveRoomAction = async (input: unknown) => change(roomSchema, input, saveRoom)
/** Takes a cup or a place off the list. */
export const removeFromRoomAction = async (input: unknown) =>
  change(
    object({
      what: string()
        .oneOf(['cup', 'place'] as const)
        .required(),
      id: idSchema,
    }),
    input,
    (tx, { what, id }) => removeFromRoom(tx, what, id),
  )
