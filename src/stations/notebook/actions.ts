'use server'

import { saveStudio } from '@/db/people/houseRules'
import { studioSchema } from '@/db/people/studioSchema'
import { change } from '@/server/change'

/** Saves the studio's own: name, units, water school, currency. */
export const saveRulesAction = async (input: unknown) => change('/', studioSchema, input, saveStudio)
