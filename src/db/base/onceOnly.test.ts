import { v7 as uuidv7 } from 'uuid'
import { makeStudio } from '../../../tests/support/studio'
import { madeBefore } from './onceOnly'
import { payloadHash } from './payloadHash'
import { endPool } from './pool'

afterAll(endPool)

describe('a request', () => {
  it('is made once: again with the same content it was made before, with other content it is refused', async () => {
    const studio = await makeStudio()
    const id = uuidv7()
    const make = (payload: unknown, kind = 'reading') => studio.run((tx) => madeBefore(tx, id, kind, payload))
    expect(await make({ a: 1, b: [2] })).toBe(false)
    expect(await make({ b: [2], a: 1, c: undefined })).toBe(true)
    for (const other of [{ a: 1, b: [3] }, { a: 1 }, null])
      await expect(make(other)).rejects.toMatchObject({ code: 'Conflict' })
    await expect(make({ a: 1, b: [2] }, 'formula')).rejects.toMatchObject({ code: 'Conflict' })
  })
  it('of another studio is another request, and one that was rolled back was never made', async () => {
    const [one, two] = [await makeStudio(), await makeStudio()]
    const id = uuidv7()
    await expect(
      one.run(async (tx) => {
        await madeBefore(tx, id, 'x', 1)
        throw new Error('the power went')
      }),
    ).rejects.toThrow('the power went')
    expect(await one.run((tx) => madeBefore(tx, id, 'x', 2))).toBe(false)
    expect(await two.run((tx) => madeBefore(tx, id, 'x', 3))).toBe(false)
  })
})

test('a hash is the same in whatever order things were written, and of nothing else', () => {
  const hash = payloadHash('x', { a: 1, b: { c: [1, 2], d: null } })
  expect(payloadHash('x', { b: { d: null, c: [1, 2] }, a: 1 })).toBe(hash)
  expect(hash).toMatch(/^[0-9a-f]{64}$/)
  for (const other of [{ a: 1, b: { c: [2, 1], d: null } }, { a: '1', b: { c: [1, 2], d: null } }, { a: 1 }])
    expect(payloadHash('x', other)).not.toBe(hash)
  expect(payloadHash('y', { a: 1, b: { c: [1, 2], d: null } })).not.toBe(hash)
})
