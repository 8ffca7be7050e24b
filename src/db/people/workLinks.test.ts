import { v7 as uuidv7 } from 'uuid'
import { makeStudio } from '../../../tests/support/studio'
import { endPool } from '@/db/base/pool'
import { saveWork } from '@/db/works/write'
import { behindWorkLink, endWorkLink, makeWorkLink, workLinks } from './workLinks'

afterAll(endPool)

async function workOf() {
  const studio = await makeStudio()
  const workId = uuidv7()
  await studio.run((tx) =>
    saveWork(tx, {
      id: workId,
      revision: null,
      kind: 'commission',
      title: 'For the ferry house',
      dueOn: null,
      forWhom: 'H.',
      agreedOn: null,
      agreedText: '',
      priceMinor: null,
      notes: '',
    }),
  )
  return { studio, workId }
}

describe('a link to the sketches of a work', () => {
  it('reads inside its studio, of its work, and can write nothing', async () => {
    const { studio, workId } = await workOf()
    const token = await studio.run((tx) => makeWorkLink(tx, { id: uuidv7(), workId, forWhom: 'H.', days: 7 }))
    expect(await behindWorkLink(token, async (tx, id) => [tx.studioId, id])).toEqual([studio.who.studioId, workId])
    await expect(
      behindWorkLink(token, (tx) => tx.q(`update work set title = 'x' where studio_id = $1`, [tx.studioId])),
    ).rejects.toMatchObject({ code: 'Forbidden' })
    expect(await studio.run((tx) => workLinks(tx, workId))).toMatchObject([{ forWhom: 'H.' }])
  })
  it('ends on its day, and when it is ended', async () => {
    const { studio, workId } = await workOf()
    const make = (id: string) => studio.run((tx) => makeWorkLink(tx, { id, workId, forWhom: '', days: 7 }))
    const [late, ended] = [uuidv7(), uuidv7()]
    const tokens = [await make(late), await make(ended)]
    await studio.run((tx) =>
      tx.q('update work_link set ends_at = now() where studio_id = $1 and id = $2', [tx.studioId, late]),
    )
    await studio.run((tx) => endWorkLink(tx, { id: ended }))
    for (const t of [...tokens, 'x', '']) expect(await behindWorkLink(t, async () => 'something')).toBeUndefined()
    expect(await studio.run((tx) => workLinks(tx, workId))).toEqual([])
    await expect(studio.run((tx) => endWorkLink(tx, { id: ended }))).rejects.toMatchObject({ code: 'NotFound' })
    await expect(make(late)).rejects.toMatchObject({ code: 'Conflict' })
    await expect(
      studio.run((tx) => makeWorkLink(tx, { id: uuidv7(), workId: uuidv7(), forWhom: '', days: 7 })),
    ).rejects.toMatchObject({ code: 'NotFound' })
  })
})
