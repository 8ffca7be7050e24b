import { v7 as uuidv7 } from 'uuid'
import { planInput } from '../../../tests/support/plans'
import { makeStudio } from '../../../tests/support/studio'
import { endPool } from '@/db/base/pool'
import { saveCup } from '@/db/room/write'
import { savePlan } from '@/db/plans/write'
import { firstRun } from './firstRun'

afterAll(endPool)

it('a new studio has done nothing yet; each step is seen when it is done, and only its own', async () => {
  const [studio, other] = [await makeStudio(), await makeStudio()]
  const none = { starter: false, paints: false, plans: false, bottles: false, pieces: false }
  expect(await studio.run(firstRun)).toEqual(none)
  await studio.run((tx) => saveCup(tx, { id: uuidv7(), name: 'cup', sizeUl: 200_000 }))
  const paint = await studio.paint('Teal')
  expect(await studio.run(firstRun)).toEqual({ ...none, starter: true, paints: true })
  await studio.bottle('Teal 1', [{ materialId: paint, ul: 60_000 }])
  await studio.run((tx) => savePlan(tx, planInput([])))
  expect(await studio.run(firstRun)).toEqual({ ...none, starter: true, paints: true, bottles: true, plans: true })
  expect(await other.run(firstRun)).toEqual(none)
})
