import { v7 as uuidv7 } from 'uuid'
import { costOf } from '@/core/purchase/cost'
import { makeStudio } from '../../../tests/support/studio'
import { findBottle, portionsOf } from './read'
import { journal, journalText, takeOut } from '@/db/ledger'
import { undo } from '@/server/undo'
import { endPool } from '@/db/base/pool'

afterAll(endPool)

describe('one bottle', () => {
  it('is traced to each lot, with what it cost', async () => {
    const studio = await makeStudio()
    const [paint, flow] = [
      await studio.paint('Teal'),
      await studio.medium('Flow', { priceMinor: 1800, sizeUl: 1_000_000 }),
    ]
    const tube = await studio.container(paint, 60_000, 990)
    const id = await studio.bottle('Teal 1', [
      { materialId: paint, ul: 20_000 },
      { materialId: flow, ul: 40_000 },
    ])
    const portions = await studio.run((tx) => portionsOf(tx, [id]))
    expect(portions.map((p) => [p.material, p.ul, p.tracked])).toEqual([
      ['Flow', 40_000, false],
      ['Teal', 20_000, true],
    ])
    expect(portions[1]!.lotId).toBe(tube.lotId)
    // 20 ml of 60 ml at 9.90 is 3.30; 40 ml of 1 l at 18.00 is 0.72.
    expect(costOf(portions).minor).toBeCloseTo(402, 9)
  })
  it('is not found where there is none', async () => {
    const studio = await makeStudio()
    await expect(studio.run((tx) => findBottle(tx, uuidv7()))).rejects.toMatchObject({ code: 'NotFound' })
  })
  it('keeps its cost when the price in the catalogue changes', async () => {
    const studio = await makeStudio()
    const paint = await studio.paint('Teal', { priceMinor: 600, sizeUl: 60_000 })
    const old = await studio.bottle('Old', [{ materialId: paint, ul: 30_000 }])
    await studio.run((tx) =>
      tx.q('update material set price_minor = 1200 where studio_id = $1 and id = $2', [tx.studioId, paint]),
    )
    const dear = await studio.bottle('New', [{ materialId: paint, ul: 30_000 }])
    const cost = async (id: string) => costOf(await studio.run((tx) => portionsOf(tx, [id]))).minor
    expect([await cost(old), await cost(dear)]).toEqual([300, 600])
  })
})

describe('the journal', () => {
  it('tells how a bottle’s paint came and went, signed, with what was undone', async () => {
    const studio = await makeStudio()
    const paint = await studio.paint('Teal')
    const id = await studio.bottle('Teal 1', [{ materialId: paint, ul: 60_000 }])
    const taken = await studio.run((tx) =>
      takeOut(tx, { requestId: uuidv7(), vesselId: id, ul: 5_000, note: 'test card' }),
    )
    await studio.run((tx) => undo(tx, { requestId: uuidv7(), movementId: taken.movementId }))
    const entries = await studio.run((tx) => journal(tx, id))
    expect(entries.map((e) => [e.kind, e.ul, e.undone])).toEqual([
      ['undo', 5_000, false],
      ['take-out', -5_000, true],
      ['mix', 60_000, false],
    ])
    expect(entries[1]).toMatchObject({ note: 'test card', places: ['Used without a plan'] })
    const whole = await studio.run((tx) => journal(tx, null, 2))
    expect(whole.map((e) => e.kind)).toEqual(['undo', 'take-out'])
    expect(whole[1]!.ul).toBe(5_000)
    const asText = JSON.parse(await studio.run((tx) => journalText(tx, 2, {}))) as typeof whole
    expect(asText.map((e) => ({ ...e, at: Date.parse(e.at) }))).toEqual(
      whole.map((e) => ({ ...e, at: Date.parse(e.at) })),
    )
    const older = JSON.parse(await studio.run((tx) => journalText(tx, 9, { before: whole[1]!.id }))) as typeof whole
    expect(older.map((e) => e.kind)).toEqual(['mix'])
    expect(await studio.run((tx) => journalText(tx, 9, { kind: 'discard' }))).toBe('[]')
  })
})
