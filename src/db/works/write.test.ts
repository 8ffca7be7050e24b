import { v7 as uuidv7 } from 'uuid'
import { makeStudio } from '../../../tests/support/studio'
import { endPool } from '@/db/base/pool'
import { findWork, listWorks } from './read'
import { workSchema } from './schema'
import { dropWork, saveWork } from './write'

afterAll(endPool)

const work = (more: object = {}) =>
  workSchema.validateSync({ id: uuidv7(), revision: null, kind: 'gift', title: 'For a friend', ...more })

describe('a work', () => {
  it('is kept, changed, and put away; those due first stand first', async () => {
    const studio = await makeStudio()
    const [late, soon, never] = [
      work({ title: 'late', dueOn: '2027-03-01' }),
      work({ title: 'soon', dueOn: '2026-12-01' }),
      work({ title: 'never' }),
    ]
    for (const w of [late, never, soon]) await studio.run((tx) => saveWork(tx, w))
    expect((await studio.run(listWorks)).map((w) => w.title)).toEqual(['soon', 'late', 'never'])
    expect(await studio.run((tx) => saveWork(tx, { ...soon, revision: 1, priceMinor: 4_000 }))).toEqual({ revision: 2 })
    expect(await studio.run((tx) => findWork(tx, soon.id))).toMatchObject({ priceMinor: 4_000, dueOn: '2026-12-01' })
    await studio.run((tx) => dropWork(tx, soon.id))
    expect((await studio.run(listWorks)).map((w) => w.title)).toEqual(['late', 'never'])
    await expect(studio.run((tx) => dropWork(tx, uuidv7()))).rejects.toMatchObject({ code: 'NotFound' })
  })
  it('two makers do not overwrite each other; the same sent twice is once', async () => {
    const studio = await makeStudio()
    const mine = work()
    await studio.run((tx) => saveWork(tx, mine))
    await studio.run((tx) => saveWork(tx, { ...mine, revision: 1, title: 'Theirs' }))
    await expect(studio.run((tx) => saveWork(tx, { ...mine, revision: 1, title: 'Mine' }))).rejects.toThrow(
      'Somebody else changed this work',
    )
    await studio.run((tx) => saveWork(tx, { ...mine, revision: 1, title: 'Theirs' }))
    expect((await studio.run((tx) => findWork(tx, mine.id))).title).toBe('Theirs')
  })
  it.each([
    [{ title: ' ' }, 'Give the work a title.'],
    [{ kind: 'duty' }, 'Choose what kind of work it is.'],
    [{ dueOn: '24.12.2026' }, 'Type days like 2026-05-31.'],
    [{ agreedText: 'x'.repeat(2001) }, 'longer than 2,000 characters'],
  ])('refuses %j', (more, sentence) => expect(() => work(more)).toThrow(sentence))
  it('takes a due date that has passed: late is late', () =>
    expect(work({ dueOn: '2020-01-01' }).dueOn).toBe('2020-01-01'))
})
