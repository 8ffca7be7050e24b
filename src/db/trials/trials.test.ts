import { v7 as uuidv7 } from 'uuid'
import { compareArms } from '@/core/learning/trial'
import { EFFECTS } from '@/core/mix/mediumEffects'
import { endPool } from '@/db/base/pool'
import { flagLot } from '@/db/ledger'
import { noteEffect, notePouring } from '@/db/materials/learned'
import { findMaterial } from '@/db/materials/read'
import { dropHouseWord, houseWords, sayHouseWord } from '@/db/people/houseWords'
import { makeStudio } from '../../../tests/support/studio'
import { findTrial, listTrials } from './read'
import type { TrialInput } from './schema'
import { trialWordsSchema } from './schema'
import { beginTrial, endTrial, placeTrialPiece, sayOfTrial } from './write'

afterAll(endPool)

const input = (more: Partial<TrialInput> = {}): TrialInput => ({
  id: uuidv7(),
  question: 'Does this black make craters?',
  madeAs: 'cards',
  constants: '',
  criteria: ['craters', 'rating'],
  isBlind: false,
  arms: [
    { what: 'with black', materialId: null },
    { what: 'without', materialId: null },
  ],
  ...more,
})

describe('trials', () => {
  it('takes one word at a place, and says so where it is sent twice', () => {
    const word = { arm: 1, repeat: 1, criterion: 'craters', value: 2 }
    const sent = (...words: object[]) => ({ trialId: uuidv7(), who: 'Ilse', words })
    expect(trialWordsSchema.isValidSync(sent(word, { ...word, repeat: 2 }))).toBe(true)
    expect(() => trialWordsSchema.validateSync(sent(word, { ...word, value: 3 }))).toThrow('Give it once')
  })
  it('are begun once however often they are sent, and keep what each person said', async () => {
    const studio = await makeStudio()
    const trial = input()
    await studio.run((tx) => beginTrial(tx, trial))
    await studio.run((tx) => beginTrial(tx, { ...trial, question: 'Another' }))
    const word = (who: string, arm: number, value: number | null) =>
      studio.run((tx) =>
        sayOfTrial(tx, { trialId: trial.id, who, words: [{ arm, repeat: 1, criterion: 'craters', value }] }),
      )
    await word('Ilse', 1, 3)
    await word('Ilse', 1, 2)
    await word('Runa', 1, 3)
    await word('Runa', 2, 0)
    await word('Ilse', 2, 0)
    const read = await studio.run((tx) => findTrial(tx, trial.id))
    expect(read.question).toBe(trial.question)
    expect(read.words).toHaveLength(4)
    const told = compareArms(read, new Map()).find((c) => c.criterion === 'craters')!.told
    expect(told.pairs).toBe(1)
    await word('Ilse', 2, null)
    expect((await studio.run((tx) => findTrial(tx, trial.id))).words).toHaveLength(3)
  })
  it('refuse what they do not ask, too high a word, and anything once they are ended; two who end at once are told', async () => {
    const studio = await makeStudio()
    const trial = input({ criteria: ['craters', 'cells per dm²'] })
    await studio.run((tx) => beginTrial(tx, trial))
    const say = (criterion: string, value: number, arm = 1) =>
      studio.run((tx) =>
        sayOfTrial(tx, { trialId: trial.id, who: 'Ilse', words: [{ arm, repeat: 1, criterion, value }] }),
      )
    await expect(say('gloss', 1)).rejects.toThrow(/no such arm or criterion/)
    await expect(say('craters', 1, 3)).rejects.toThrow(/no such arm or criterion/)
    await expect(say('craters', 4)).rejects.toThrow(/from 0 to 3/)
    await expect(say('cells per dm²', 1)).rejects.toThrow(/measured from photos/)
    await expect(
      studio.run((tx) => placeTrialPiece(tx, { trialId: trial.id, arm: 1, repeat: 1, pieceId: uuidv7() })),
    ).rejects.toThrow()
    await studio.run((tx) => endTrial(tx, { id: trial.id, revision: 1, said: 'It does.', isEnded: true }))
    await studio.run((tx) => endTrial(tx, { id: trial.id, revision: 1, said: 'It does.', isEnded: true }))
    await expect(
      studio.run((tx) => endTrial(tx, { id: trial.id, revision: 1, said: 'It does not.', isEnded: true })),
    ).rejects.toThrow(/Somebody else/)
    await expect(say('craters', 1)).rejects.toThrow(/was ended/)
    expect((await studio.run(listTrials))[0]).toMatchObject({ said: 'It does.' })
    const other = await makeStudio()
    await expect(other.run((tx) => findTrial(tx, trial.id))).rejects.toThrow()
  })
  it('are written back: an effect, how a paint pours, a rule, a bad container', async () => {
    const studio = await makeStudio()
    const [paint, medium] = [await studio.paint('Soot'), await studio.medium('Flow')]
    await studio.run((tx) => noteEffect(tx, { mediumId: medium, effect: 'lacing', value: 3 }))
    const row = await studio.run((tx) => findMaterial(tx, medium))
    expect(row.kind === 'medium' && row.effects?.[EFFECTS.indexOf('lacing')]).toBe(3)
    await studio.run((tx) => notePouring(tx, { paintId: paint, what: 'grade', value: 'student' }))
    expect(await studio.run((tx) => findMaterial(tx, paint))).toMatchObject({ grade: 'student', cells: '' })
    await expect(
      studio.run((tx) => notePouring(tx, { paintId: medium, what: 'grade', value: 'student' })),
    ).rejects.toThrow(/Only a paint/)
    await expect(studio.run((tx) => noteEffect(tx, { mediumId: paint, effect: 'lacing', value: 3 }))).rejects.toThrow(
      /Only a medium/,
    )
    const word = { id: uuidv7(), words: 'Strain the black.', technique: 'ring', trialId: null }
    await studio.run((tx) => sayHouseWord(tx, word))
    await studio.run((tx) => sayHouseWord(tx, word))
    expect(await studio.run(houseWords)).toMatchObject([{ words: 'Strain the black.', technique: 'ring' }])
    await studio.run((tx) => dropHouseWord(tx, word.id))
    expect(await studio.run(houseWords)).toEqual([])
    const { lotId } = await studio.container(paint, 100_000)
    await studio.run((tx) => flagLot(tx, { lotId, flag: 'lumps' }))
    await expect(studio.run((tx) => flagLot(tx, { lotId: uuidv7(), flag: 'lumps' }))).rejects.toThrow()
    const [lot] = await studio.run((tx) =>
      tx.q<{ flag: string }>('select flag from lot where studio_id = $1 and id = $2', [tx.studioId, lotId]),
    )
    expect(lot).toEqual({ flag: 'lumps' })
  })
})
