import { v7 as uuidv7 } from 'uuid'
import { planInput } from '../../../../tests/support/plans'
import { makeStudio, mixOf } from '../../../../tests/support/studio'
import { endPool } from '@/db/base/pool'
import { buyContainer } from '@/db/ledger'
import { mixBottle } from '@/db/mixes'
import { saveOffer } from '@/db/materials/offers'
import { savePlan } from '@/db/plans/write'
import { moveSurfaces, saveSurface } from '@/db/surfaces/write'
import { buyFacts, buyList } from './buyList'

afterAll(endPool)

const NOW = new Date('2026-11-28T12:00:00Z')

async function room() {
  const studio = await makeStudio()
  const teal = await studio.paint('Teal', { priceMinor: 600, sizeUl: 60_000 })
  const bottle = uuidv7()
  const mix = mixOf(bottle, 'Teal 1', [{ materialId: teal, ul: 60_000 }])
  const recipe = { paints: [{ materialId: teal, name: 'Teal', parts: 1 }], paintParts: 1, mediums: [], water: null }
  await studio.run((tx) => mixBottle(tx, { ...mix, recipe, untrackedForRest: true }))
  // One tube in the drawer, counted.
  const tube = {
    requestId: uuidv7(),
    materialId: teal,
    lotId: uuidv7(),
    vesselId: uuidv7(),
    label: 'tube',
    sizeUl: 60_000,
    priceMinor: 600,
  }
  await studio.run((tx) => buyContainer(tx, tube))
  const big = { shape: 'rectangle', lengthMm: 400, widthMm: 500, edgeMm: 0, count: 1 } as const
  const save = (more: object = {}) =>
    studio.run((tx) => savePlan(tx, planInput([bottle], { design: { surface: big, ...more } })))
  const list = async () => {
    const facts = await studio.run(buyFacts)
    return buyList(facts, facts.plans, '2026-11-28', NOW)
  }
  return { studio, teal, bottle, save, list }
}

describe('what to buy', () => {
  it('nothing, where every bottle holds enough', async () => {
    const { list } = await room()
    expect(await list()).toMatchObject({ wanted: [], bought: [], totalMinor: 0 })
  })
  it('for all plans together, less what is there, at the cheapest of today’s prices', async () => {
    const { studio, teal, save, list } = await room()
    await save()
    await save()
    const offer = {
      id: uuidv7(),
      materialId: teal,
      supplier: 'the shop',
      sizeUl: 500_000,
      listMinor: 4_000,
      endsOn: null,
    }
    await studio.run((tx) =>
      saveOffer(tx, { ...offer, terms: { kind: 'percent', percent: 25 }, startsOn: '2026-11-20' }),
    )
    const { wanted, bought, totalMinor } = await list()
    // Two canvases of 2000 cm² by the rule of 28 are 654.844 ml; the bottle holds 60, and so does the tube.
    expect(wanted).toEqual([
      expect.objectContaining({ name: 'Teal', needUl: 594_844, haveUl: 60_000, buyUl: 534_844, priced: true }),
    ])
    // Half a litre at three quarters of 40.00 and a tube of 6.00: 36.00; nine tubes would be 54.00, two large ones 60.00.
    expect(bought.map((b) => [b.deal.sizeUl, b.times, b.deal.priceMinor])).toEqual([
      [60_000, 1, 600],
      [500_000, 1, 3_000],
    ])
    expect(totalMinor).toBe(3_600)
  })
  it('surfaces from the shelf of which there are too few', async () => {
    const { studio, save, list } = await room()
    const id = uuidv7()
    await studio.run((tx) =>
      saveSurface(tx, {
        id,
        kind: 'panel',
        name: 'Panel',
        shape: 'rectangle',
        lengthMm: 400,
        widthMm: 500,
        diameterMm: 0,
        edgeMm: 0,
        grade: 'sale',
      }),
    )
    await studio.run((tx) =>
      moveSurfaces(tx, { requestId: uuidv7(), surfaceId: id, count: 1, priceMinor: 500, note: '' }),
    )
    await save({ stockId: id })
    await save({ stockId: id })
    expect((await list()).surfaces).toEqual([{ name: 'Panel', needed: 2, onHand: 1, eachMinor: 500 }])
  })
})
