'use server'

import { noteEffect, notePouring } from '@/db/materials/learned'
import { pairNoteSchema } from '@/db/materials/schema'
import { notePair } from '@/db/materials/write'
import { sayHouseWord } from '@/db/people/houseWords'
import {
  effectBackSchema,
  endTrialSchema,
  houseWordSchema,
  pouringBackSchema,
  trialPieceSchema,
  trialSchema,
  trialWordsSchema,
} from '@/db/trials/schema'
import { beginTrial, endTrial, placeTrialPiece, sayOfTrial } from '@/db/trials/write'
import { change } from '@/server/change'
import { perform } from '@/server/perform'

/** Begins a trial. */
export const beginTrialAction = async (input: unknown) => change(trialSchema, input, beginTrial)
/** Puts a piece for an arm of a repeat, or takes it out. */
export const placeTrialPieceAction = async (input: unknown) => change(trialPieceSchema, input, placeTrialPiece)
/** Keeps what one person says. */
export const sayOfTrialAction = async (input: unknown) => change(trialWordsSchema, input, sayOfTrial)
/** Ends a trial with what it said, or opens it again. */
export const endTrialAction = async (input: unknown) => perform(endTrialSchema, input, endTrial)

/** Writes back what was learned: an effect of a medium, how a paint pours, a word on a pair, a rule. */
export const noteEffectAction = async (input: unknown) => change(effectBackSchema, input, noteEffect)
export const notePouringAction = async (input: unknown) => change(pouringBackSchema, input, notePouring)
export const notePairBackAction = async (input: unknown) => change(pairNoteSchema, input, notePair)
export const sayHouseWordAction = async (input: unknown) => change(houseWordSchema, input, sayHouseWord)
