import { v7 as uuidv7 } from 'uuid'
import { makeStudio } from '../../../tests/support/studio'
import { buyTogether, finishContainer, reopen, unseal, weighContainer } from '@/db/ledger'
import { undo } from '@/server/undo'
import { endPool } from '@/db/base/pool'
import { onHand } from './onHand'
import { listSurfaces } from '@/db/surfaces/read'
import { moveSurfaces, putSurfaceAway, saveSurface } from '@/db/surfaces/write'
import { NO_RULES } from '@/core/mix/houseRules'
import { leagueEntries } from '@/db/materials/leagueEntries'
import { allOffers, containersOf, offersOf, paceOf, pricedMediums, pricedPaints } from './prices'
import { dropOffer, saveOffer } from './offers'

afterAll(endPool)

type Studio = Awaited<ReturnType<typeof makeStudio>>
const request = () => uuidv7()
const bought = (materialId: string, sizeUl: number, worth: number, label = 'tube') => ({
  materialId,
  lotId: uuidv7(),
  vesselId: uuidv7(),
  label,
  sizeUl,
  worth,
})

describe('containers', () => {
  it('are bought together with the price split to the cent, once', async () => {
    const studio = await makeStudio()
    const [a, b] = [await studio.paint('A'), await studio.paint('B')]
    const set = {
      requestId: request(),
      totalMinor: 1000,
      containers: [bought(a, 20_000, 990), bought(a, 20_000, 990), bought(b, 20_000, 1290)],
    }
    await studio.run((tx) => buyTogether(tx, set))
    await studio.run((tx) => buyTogether(tx, set))
    const prices = [
      ...(await studio.run((tx) => containersOf(tx, a))),
      ...(await studio.run((tx) => containersOf(tx, b))),
    ]
    expect(prices.map((c) => c.priceMinor)).toEqual([303, 303, 394])
    const nothing = studio.run((tx) => buyTogether(tx, { requestId: request(), totalMinor: 1, containers: [] }))
    await expect(nothing).rejects.toThrow('at least one')
    const stranger = studio.run((tx) =>
      buyTogether(tx, { requestId: request(), totalMinor: 1, containers: [bought(uuidv7(), 1, 1)] }),
    )
    await expect(stranger).rejects.toMatchObject({ code: 'NotFound' })
  })

  it('are weighed: what is missing was used or lost, what is over is a gain', async () => {
    const studio = await makeStudio()
    const paint = await studio.paint('A')
    const { vesselId, lotId } = await studio.container(paint, 60_000)
    const [{ density }] = (await studio.run((tx) =>
      tx.q<{ density: number }>('select density_g_per_ml as density from material where studio_id = $1 and id = $2', [
        tx.studioId,
        paint,
      ]),
    )) as [{ density: number }]
    const weigh = (ml: number, lost: 'used' | 'spilled' = 'used') =>
      studio.run((tx) =>
        weighContainer(tx, {
          requestId: request(),
          vesselId,
          grossMg: 10_000 + Math.round(ml * 1000 * density),
          tareMg: 10_000,
          lost,
        }),
      )
    await weigh(40)
    expect(await studio.holds(vesselId)).toBe(40_000)
    await weigh(45)
    expect(await studio.holds(vesselId)).toBe(45_000)
    await weigh(30, 'spilled')
    const lines = await studio.run((tx) =>
      tx.q<{ kind: string; ul: number }>(
        `select coalesce(v.kind, 'none') as kind, l.ul from movement_line l left join vessel v on v.studio_id = l.studio_id and v.id = l.to_vessel_id
         join movement m on m.studio_id = l.studio_id and m.id = l.movement_id
         where l.studio_id = $1 and l.lot_id = $2 and m.kind = 'weigh-in' order by m.at, m.id`,
        [tx.studioId, lotId],
      ),
    )
    expect(lines).toEqual([
      { kind: 'out', ul: 20_000 },
      { kind: 'container', ul: 5_000 },
      { kind: 'waste', ul: 15_000 },
    ])
    await expect(
      studio.run((tx) => weighContainer(tx, { requestId: request(), vesselId, grossMg: 1, tareMg: 2, lost: 'used' })),
    ).rejects.toThrow('empty container')
    const bottle = await studio.bottle('B', [{ materialId: paint, ul: 1_000 }])
    await expect(
      studio.run((tx) =>
        weighContainer(tx, { requestId: request(), vesselId: bottle, grossMg: 2, tareMg: 1, lost: 'used' }),
      ),
    ).rejects.toThrow('not a container')
  })

  it('are finished with a residue that counts no more, and taken into use again', async () => {
    const studio = await makeStudio()
    const paint = await studio.paint('A')
    const { vesselId, lotId } = await studio.container(paint, 60_000)
    await studio.run((tx) => unseal(tx, lotId))
    const { movementId } = await studio.run((tx) =>
      finishContainer(tx, { requestId: request(), vesselId, residueUl: 3_000 }),
    )
    expect(await studio.holds(vesselId)).toBe(3_000)
    expect((await studio.run(onHand)).get(paint)).toBe(0)
    const [c] = await studio.run((tx) => containersOf(tx, paint))
    expect([c!.unsealedAt, c!.finishedAt].every(Boolean)).toBe(true)
    await expect(
      studio.run((tx) => finishContainer(tx, { requestId: request(), vesselId, residueUl: 0 })),
    ).rejects.toThrow('finished already')
    // A finished container gives nothing to a mix: it comes from untracked supply.
    await studio.bottle('B', [{ materialId: paint, ul: 2_000 }])
    expect(await studio.holds(vesselId)).toBe(3_000)
    await studio.run((tx) => undo(tx, { requestId: request(), movementId }))
    expect((await studio.run(onHand)).get(paint)).toBe(60_000)
    await studio.run((tx) => finishContainer(tx, { requestId: request(), vesselId, residueUl: 60_000 }))
    await studio.run((tx) => reopen(tx, lotId))
    expect((await studio.run(onHand)).get(paint)).toBe(60_000)
    await expect(studio.run((tx) => reopen(tx, lotId))).rejects.toMatchObject({ code: 'NotFound' })
    await expect(
      studio.run((tx) => finishContainer(tx, { requestId: request(), vesselId, residueUl: 60_001 })),
    ).rejects.toThrow('less than the residue')
  })
})

describe('sizes and offers', () => {
  const offer = (materialId: string, more: object = {}) => ({
    id: uuidv7(),
    materialId,
    supplier: 'Lockside',
    sizeUl: 120_000,
    listMinor: 900,
    terms: { kind: 'list' as const },
    startsOn: '2026-01-01',
    endsOn: null,
    ...more,
  })
  const save = (studio: Studio, o: ReturnType<typeof offer>) => studio.run((tx) => saveOffer(tx, o))

  it('are kept, changed and taken back', async () => {
    const studio = await makeStudio()
    const paint = await studio.paint('A')
    const o = offer(paint)
    await save(studio, o)
    await save(studio, { ...o, listMinor: 950 })
    expect(await studio.run((tx) => offersOf(tx, paint))).toMatchObject([{ listMinor: 950, startsOn: '2026-01-01' }])
    await expect(save(studio, offer(paint, { endsOn: '2025-12-31' }))).rejects.toThrow('ends before it begins')
    await expect(save(studio, offer(uuidv7()))).rejects.toMatchObject({ code: 'NotFound' })
    await studio.run((tx) => dropOffer(tx, o.id))
    expect(await studio.run(allOffers)).toEqual([])
    await expect(studio.run((tx) => dropOffer(tx, o.id))).rejects.toMatchObject({ code: 'NotFound' })
  })

  it('enter the league while they hold, the latest of a kind', async () => {
    const studio = await makeStudio()
    const paint = await studio.paint('A', { priceMinor: 990, sizeUl: 60_000 })
    await save(studio, offer(paint))
    await save(studio, offer(paint, { listMinor: 1000, startsOn: '2026-02-01' }))
    await save(studio, offer(paint, { terms: { kind: 'n-for-m', get: 3, pay: 2 }, endsOn: '2026-01-31' }))
    await save(studio, offer(paint, { terms: { kind: 'percent', percent: 20 }, startsOn: '2026-05-01' }))
    const paints = await studio.run((tx) => pricedPaints(tx, new Date()))
    const offers = await studio.run(allOffers)
    const on = (day: string) =>
      leagueEntries(paints, offers, day, { rules: NO_RULES, water: { school: 'paint-30' } }).map((e) => [
        e.sizeUl,
        e.eachMinor,
        e.onOffer,
      ])
    expect(on('2026-03-01')).toEqual([
      [60_000, 990, false],
      [120_000, 1000, false],
    ])
    expect(on('2026-01-15')).toEqual([
      [60_000, 990, false],
      [120_000, 900, false],
      [120_000, 600, true],
    ])
    expect(on('2026-06-01')[2]).toEqual([120_000, 720, true])
  })

  it('are judged by pace, last use and idleness', async () => {
    const studio = await makeStudio()
    const now = new Date()
    const [used, idle] = [await studio.paint('Used'), await studio.paint('Idle')]
    const flow = await studio.medium('Flow', { priceMinor: 2000, sizeUl: 1_000_000 })
    await studio.container(used, 60_000)
    await studio.container(idle, 60_000)
    const bottle = await studio.bottle('B', [
      { materialId: used, ul: 10_000 },
      { materialId: flow, ul: 20_000 },
    ])
    const [a, b] = await studio
      .run((tx) => pricedPaints(tx, now))
      .then((all) => ['Used', 'Idle'].map((n) => all.find((p) => p.name === n)!))
    expect([a!.pacedUl, a!.idle, a!.onHandUl]).toEqual([10_000, false, 50_000])
    expect([b!.pacedUl, b!.idle, b!.lastUsedAt]).toEqual([0, true, null])
    expect(await studio.run(pricedMediums)).toEqual([{ id: flow, name: 'Flow', perMl: 2 }])
    const [mix] = await studio.run((tx) =>
      tx.q<{ id: string }>(`select id from movement where studio_id = $1 and kind = 'mix'`, [tx.studioId]),
    )
    await studio.run((tx) => undo(tx, { requestId: request(), movementId: mix!.id }))
    expect((await studio.run((tx) => paceOf(tx, now))).size).toBe(0)
    expect((await studio.run((tx) => pricedPaints(tx, now))).find((p) => p.name === 'Used')!.lastUsedAt).toBeNull()
    expect(await studio.holds(bottle)).toBe(0)
  })
})

describe('surfaces', () => {
  const panel = {
    id: uuidv7(),
    kind: 'panel' as const,
    name: 'Panel',
    shape: 'rectangle' as const,
    lengthMm: 200,
    widthMm: 200,
    diameterMm: 0,
    edgeMm: 10,
    grade: 'sale' as const,
  }
  it('come by the pack and go one by one, each request once, never below none', async () => {
    const studio = await makeStudio()
    await studio.run((tx) => saveSurface(tx, panel))
    const move = (count: number, priceMinor: number | null = null, requestId = request()) =>
      studio.run((tx) => moveSurfaces(tx, { requestId, surfaceId: panel.id, count, priceMinor, note: '' }))
    const again = request()
    await move(5, 1000, again)
    await move(5, 1000, again)
    await expect(move(6, 1000, again)).rejects.toMatchObject({ code: 'Conflict' })
    await move(10, 1400)
    await move(3)
    const both = await Promise.allSettled([move(-10), move(-10)])
    expect(both.map((b) => b.status).sort()).toEqual(['fulfilled', 'rejected'])
    expect(await studio.run(listSurfaces)).toMatchObject([{ name: 'Panel', onHand: 8, eachMinor: 160, grade: 'sale' }])
    await expect(move(-9)).rejects.toThrow('Only 8 of Panel are on the shelf')
    await studio.run((tx) => putSurfaceAway(tx, panel.id))
    expect(await studio.run(listSurfaces)).toEqual([])
    await expect(studio.run((tx) => saveSurface(tx, { ...panel, lengthMm: 0 }))).rejects.toThrow('size above zero')
  })
})
