import { array, boolean, number, object, string, type InferType } from 'yup'
import { TRIAL_KINDS } from '@/core/learning/trial'
import { EFFECTS } from '@/core/mix/mediumEffects'
import { POURING_WORDS, POURINGS, type Pouring } from '@/core/paint/pouring'
import { idSchema } from '../base/idSchema'
import { revisionSchema } from '../base/revisionSchema'
import { techniqueKey } from '../techniques/schema'

/** Most repeats a trial is kept of. */
export const MOST_REPEATS = 60

const arm = () => number().integer().min(1).max(8).required()
const repeat = () =>
  number()
    .integer()
    .min(1, 'Repeats are counted from 1.')
    .max(MOST_REPEATS, `A trial has at most ${MOST_REPEATS} repeats.`)
    .required('Say which repeat it is.')
const criterion = () =>
  string().trim().max(60, 'A criterion is longer than 60 characters. Shorten it.').required('Name what is looked at.')

export const trialSchema = object({
  id: idSchema,
  question: string()
    .trim()
    .max(200, 'The question is longer than 200 characters. Shorten it.')
    .required('Type the one question, like “Does this black make craters?”.'),
  madeAs: string().oneOf(TRIAL_KINDS, 'Choose what it is made on.').required(),
  constants: string()
    .trim()
    .max(1000, 'What is kept the same is longer than 1,000 characters. Shorten it.')
    .default(''),
  criteria: array(criterion())
    .min(1, 'Name at least one thing to look at.')
    .max(8, 'Eight things to look at are the most.')
    .test('once', 'Name each thing to look at once.', (list) => new Set(list).size === (list ?? []).length)
    .required(),
  isBlind: boolean().default(false),
  arms: array(
    object({
      what: string()
        .trim()
        .max(120, 'What is different is longer than 120 characters. Shorten it.')
        .required('Say of each arm what is different.'),
      materialId: idSchema.nullable().default(null),
    }).required(),
  )
    .min(2, 'A trial compares two arms at least.')
    .max(8, 'Eight arms are the most.')
    .test('apart', 'Two arms have the same name. Say what is different.', (list) => {
      const names = (list ?? []).flatMap((a) => (a.what ? [a.what.toLowerCase()] : []))
      return new Set(names).size === names.length
    })
    .required(),
})
export type TrialInput = InferType<typeof trialSchema>

export const trialPieceSchema = object({
  trialId: idSchema,
  arm: arm(),
  repeat: repeat(),
  /** Null takes the piece out again. */
  pieceId: idSchema.nullable().defined(),
})

export const trialWordsSchema = object({
  trialId: idSchema,
  who: string().trim().max(60, 'The name is longer than 60 characters. Shorten it.').required('Say who looked.'),
  words: array(
    object({
      arm: arm(),
      repeat: repeat(),
      criterion: criterion(),
      /** Null takes the word back. */
      value: number().min(0, 'A word is 0 at least.').max(5, 'A word is 5 at most.').nullable().defined(),
    }).required(),
  )
    .min(1)
    .max(500)
    .required()
    .test('once', 'One word stands here twice. Give it once.', (words) => {
      const places = words.map((w) => `${w.arm} ${w.repeat} ${w.criterion}`)
      return new Set(places).size === places.length
    }),
})
export type TrialWordsInput = InferType<typeof trialWordsSchema>

export const endTrialSchema = object({
  id: idSchema,
  revision: revisionSchema(1).required(),
  said: string().trim().max(1000, 'What it said is longer than 1,000 characters. Shorten it.').default(''),
  isEnded: boolean().required(),
})

/** What a trial or a trace is written back to, one way each. */
export const effectBackSchema = object({
  mediumId: idSchema,
  effect: string().oneOf(EFFECTS, 'Choose the effect.').required(),
  value: number().min(0, 'An effect lies between 0 and 3.').max(3, 'An effect lies between 0 and 3.').required(),
})
export const houseWordSchema = object({
  id: idSchema,
  words: string()
    .trim()
    .max(400, 'The rule is longer than 400 characters. Shorten it.')
    .required('Type the rule in one sentence.'),
  technique: techniqueKey().nullable().default(null),
  trialId: idSchema.nullable().default(null),
})
export const dropHouseWordSchema = object({ id: idSchema })
export const pouringBackSchema = object({
  paintId: idSchema,
  what: string().oneOf(POURINGS).required(),
  value: string()
    .defined()
    .test('of-list', 'Choose one of the words.', function (value) {
      const words = POURING_WORDS[(this.parent as { what: keyof Pouring }).what]
      return value === '' || (words !== undefined && Object.hasOwn(words.of, value))
    }),
})
export const flagLotSchema = object({
  lotId: idSchema,
  flag: string().trim().max(400, 'What is wrong with it is longer than 400 characters. Shorten it.').default(''),
})
