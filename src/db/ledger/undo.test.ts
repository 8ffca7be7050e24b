import { v7 as uuidv7 } from 'uuid'
import { expectBalanced } from '../../../tests/support/balance'
import { makeStudio, mixOf } from '../../../tests/support/studio'
import { endPool } from '../base/pool'
import { buyContainer, takeOut } from '.'
import { mixBottle } from '../mixes'
import { undo } from '@/server/undo'
import { refusalsUnsaid } from '../../../tests/support/refusals'

afterAll(endPool)

describe('undo', () => {
  refusalsUnsaid()
  it('brings a pour back, once', async () => {
    const studio = await makeStudio()
    const teal = await studio.paint('Teal')
    const bottle = await studio.bottle('Teal 1', [{ materialId: teal, ul: 60_000 }])
    const taken = await studio.run((tx) => takeOut(tx, { requestId: uuidv7(), vesselId: bottle, ul: 25_000 }))
    const undoTaken = () => studio.run((tx) => undo(tx, { requestId: uuidv7(), movementId: taken.movementId }))
    const both = await Promise.allSettled([undoTaken(), undoTaken()])
    expect(both.filter((r) => r.status === 'fulfilled')).toHaveLength(1)
    expect((both.find((r) => r.status === 'rejected') as PromiseRejectedResult).reason).toMatchObject({
      code: 'Conflict',
    })
    expect(await studio.holds(bottle)).toBe(60_000)
    await expectBalanced(studio)
  })
  it('refuses when a lot has been used since, and says what is left', async () => {
    const studio = await makeStudio()
    const teal = await studio.paint('Teal')
    const mix = mixOf(uuidv7(), 'Teal 1', [{ materialId: teal, ul: 60_000 }])
    const mixed = await studio.run((tx) => mixBottle(tx, mix))
    await studio.run((tx) => takeOut(tx, { requestId: uuidv7(), vesselId: mix.vesselId, ul: 1_000 }))
    await expect(studio.run((tx) => undo(tx, { requestId: uuidv7(), movementId: mixed.movementId }))).rejects.toThrow(
      'Teal 1 has been used since: 59\u00a0ml of one ingredient is left and 60\u00a0ml would go back.',
    )
  })
  it('takes a purchase back out of the books', async () => {
    const studio = await makeStudio()
    const teal = await studio.paint('Teal')
    const vesselId = uuidv7()
    const bought = await studio.run((tx) =>
      buyContainer(tx, {
        requestId: uuidv7(),
        materialId: teal,
        lotId: uuidv7(),
        vesselId,
        label: 'Tube',
        sizeUl: 60_000,
        priceMinor: 990,
      }),
    )
    await studio.run((tx) => undo(tx, { requestId: uuidv7(), movementId: bought.movementId }))
    expect(await studio.holds(vesselId)).toBe(0)
    await expectBalanced(studio)
  })
})
