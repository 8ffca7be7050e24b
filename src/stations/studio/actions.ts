'use server'

import { dropDropperSchema, countDropsSchema, takeDropperSchema } from '@/db/people/dropperSchema'
import { countDrops, dropDropper, takeDropper } from '@/db/people/droppers'
import { dropHouseWord } from '@/db/people/houseWords'
import { saveStudio } from '@/db/people/houseRules'
import { studioSchema } from '@/db/people/studioSchema'
import { dropHouseWordSchema } from '@/db/trials/schema'
import { change } from '@/server/change'

/** Saves the studio's own: name, units, water school, currency. */
export const saveRulesAction = async (input: unknown) => change(studioSchema, input, saveStudio)

/** Keeps how large a drop is, by drops counted into a weighed cup. */
export const countDropsAction = async (input: unknown) => change(countDropsSchema, input, countDrops)
/** Takes a dropper into use for its liquid, or the start value again. */
export const takeDropperAction = async (input: unknown) => change(takeDropperSchema, input, takeDropper)
export const dropDropperAction = async (input: unknown) => change(dropDropperSchema, input, dropDropper)

/** Takes a rule of the house off the list. */
export const dropHouseWordAction = async (input: unknown) =>
  change(dropHouseWordSchema, input, (tx, { id }) => dropHouseWord(tx, id))
