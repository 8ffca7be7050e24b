import { v7 as uuidv7 } from 'uuid'
import { makeStudio } from '../../../tests/support/studio'
import { discard, pour, takeOut } from '@/db/ledger'
import { pourBack } from '@/db/mixes'
import { undo } from '@/server/undo'
import { endPool } from '@/db/base/pool'
import { pouredByMonth } from './pouredByMonth'

afterAll(endPool)

it('sums what was poured and thrown away by month, without what was undone or poured back', async () => {
  const studio = await makeStudio()
  const paint = await studio.paint('Teal')
  const bottle = await studio.bottle('Teal 1', [{ materialId: paint, ul: 100_000 }])
  const lump = await studio.bottle('Lump', [{ materialId: paint, ul: 7_000 }])
  const at = new Date()
  const month = at.toISOString().slice(0, 7)
  const take = (ul: number, when: Date) =>
    studio.run((tx) =>
      pour(tx, {
        requestId: uuidv7(),
        onto: [{ vesselId: uuidv7(), title: 'P', takes: [{ vesselId: bottle, ul }] }],
        at: when,
      }),
    )
  const first = await take(14_000, at)
  const back = (movementId: string, ul: number) =>
    studio.run((tx) => pourBack(tx, { requestId: uuidv7(), vesselId: bottle, movementId, ul }))
  await back(first.movementId, 4_000)
  const mistaken = await back(first.movementId, 3_000)
  await studio.run((tx) => undo(tx, { requestId: uuidv7(), movementId: mistaken.movementId }))
  // What was taken out for something else never counted as poured.
  const card = await studio.run((tx) => takeOut(tx, { requestId: uuidv7(), vesselId: bottle, ul: 6_000 }))
  await back(card.movementId, 2_000)
  await take(20_000, at)
  const slip = await take(30_000, at)
  await take(5_000, new Date(at.getTime() - 400 * 86_400_000))
  await studio.run((tx) => undo(tx, { requestId: uuidv7(), movementId: slip.movementId }))
  await studio.run((tx) => discard(tx, { requestId: uuidv7(), vesselId: lump, at }))
  expect(await studio.run((tx) => pouredByMonth(tx, 'UTC'))).toEqual([{ month, pouredUl: 30_000, wastedUl: 7_000 }])
})
