import { v7 as uuidv7 } from 'uuid'
import type { RunEvent } from '@/core/run/events'
import { endPool } from '@/db/base/pool'
import { undo } from '@/server/undo'
import { expectBalanced } from '../../../tests/support/balance'
import { planInput } from '../../../tests/support/plans'
import { makeStudio } from '../../../tests/support/studio'
import { SHIPPED } from '@/core/technique/techniques'
import { pouredFacts } from '../learning/pieces'
import { findBottle, portionsOf, wastedFrom } from '../bottles/read'
import { findPiece, listPieces, piecesPouredFrom, weighedRunOff } from '../pieces/read'
import { takeOut } from '../ledger'
import { savePlan } from '../plans/write'
import { findPlan } from '../plans/read'
import { bookRun, movementsOfRun } from './book'
import { climateOf, findRun, openRuns, piecesOfRun, remediesFared, squeezesWeighed } from './read'
import { beginRun, noteRunEvent, putRunAside } from './write'

afterAll(endPool)

/** A studio with two bottles and a plan of a set of two squares, one cup each of two layers, and a base coat. */
async function planned(tealUl = 90_000) {
  const studio = await makeStudio()
  const [teal, flow, white] = [await studio.paint('Teal'), await studio.medium('Flow'), await studio.paint('White')]
  const water = await studio.water()
  const night = await studio.bottle('Night', [
    { materialId: teal, ul: tealUl / 3 },
    { materialId: flow, ul: (2 * tealUl) / 3 },
  ])
  const snow = await studio.bottle('Snow', [{ materialId: white, ul: 80_000 }])
  const plan = planInput([night, snow], {
    title: 'Ferry',
    design: {
      surface: { shape: 'rectangle', lengthMm: 200, widthMm: 100, edgeMm: 0, count: 2 },
      school: { kind: 'own', ul: 30_000 },
      coats: [{ role: 'base coat', of: { kind: 'bottle', id: snow }, ul: 10_000 }],
    },
  })
  await studio.run((tx) => savePlan(tx, plan))
  const { id } = await studio.run((tx) =>
    beginRun(tx, { id: uuidv7(), planId: plan.id, title: '', technique: '', surfaces: [] }),
  )
  const note = (event: object, requestId = uuidv7()) =>
    studio.run((tx) => noteRunEvent(tx, id, { requestId, event: event as RunEvent }))
  const run = () => studio.run((tx) => findRun(tx, id))
  const book = (findRest = false) => studio.run((tx) => bookRun(tx, { id, findRest }))
  return { studio, teal, flow, white, water, night, snow, planId: plan.id, id, note, run, book }
}

/** What went into both cups and onto both pieces: 16 + 14 of Night, 15 + 15 and 5 + 5 of Snow. */
async function poured(r: Awaited<ReturnType<typeof planned>>) {
  const { plan } = await r.run()
  const [one, two] = plan.cups
  for (const [cup, nightUl] of [
    [one!, 16_000],
    [two!, 14_000],
  ] as const)
    for (const layer of cup.layers)
      await r.note({
        kind: 'load',
        cup: cup.id,
        layer: layer.id,
        way: 'side',
        piece: cup.piece,
        bottle: layer.bottle,
        ul: layer.bottle === r.night ? nightUl : 15_000,
        how: 'typed',
      })
  for (const coat of plan.coats)
    await r.note({
      kind: 'coat',
      share: 1,
      coat: coat.id,
      role: 'base coat',
      piece: coat.piece,
      bottle: r.snow,
      ul: 5_000,
      how: 'eye',
    })
  return plan
}

describe('a run', () => {
  it('begins from a plan with a cup for each piece; begun again it is the same, and poured it is not begun', async () => {
    const { studio, planId, id, night, run } = await planned()
    const again = { id: uuidv7(), planId, title: '', technique: '', surfaces: [] }
    expect(await studio.run((tx) => beginRun(tx, again))).toEqual({ id })
    const { plan } = await run()
    expect(plan.pieces.map((p) => [p.title, p.surface.count])).toEqual([
      ['Ferry (1)', 1],
      ['Ferry (2)', 1],
    ])
    expect(plan.cups.map((c) => [c.title, c.piece === plan.pieces[0]!.id, c.layers.map((l) => l.ul)])).toEqual([
      ['Cup 1', true, [15_000, 15_000]],
      ['Cup 2', false, [15_000, 15_000]],
    ])
    expect(plan.coats.map((c) => c.ul)).toEqual([5_000, 5_000])
    expect(plan.bottles.find((b) => b.id === night)?.label).toBe('Night')
    expect((await studio.run(openRuns)).map((r) => r.title)).toEqual(['Ferry'])
  })
  it('is learned from as a whole: level times and heat, the air, what was said of the film, without what was taken back', async () => {
    const { studio, night, note, run, book, ...r } = await planned()
    const reading = { levelTimeS: 1.3, sigma: 0.1, tries: [1.3], how: 'stopwatch' }
    await note({ kind: 'climate', celsius: 12, humidity: 0.4 })
    await note({ kind: 'climate', celsius: 18, humidity: 0.7 })
    await note({ kind: 'climate', celsius: 31, humidity: 0.1 })
    await note({ kind: 'undo', of: (await run()).revision })
    await note({ kind: 'check', bottle: night, reading })
    expect(await studio.run(async (tx) => climateOf(tx, (await run()).id))).toEqual({ celsius: 18, humidity: 0.7 })
    const plan = await poured({ studio, night, note, run, book, ...r })
    const [one, two] = plan.pieces
    for (const piece of [one!, two!]) await note({ kind: 'heat', piece: piece.id, seconds: 12 })
    await note({ kind: 'heat', piece: one!.id, seconds: 20 })
    await note({ kind: 'undo', of: (await run()).revision })
    await note({ kind: 'bother', piece: one!.id, what: 'empty corner' })
    await note({ kind: 'left', piece: one!.id, film: 'thin' })
    await book()
    const facts = await studio.run((tx) => pouredFacts(tx, SHIPPED))
    expect(facts).toHaveLength(2)
    for (const f of facts)
      expect(f).toMatchObject({
        heatS: 12,
        celsius: 18,
        humidity: 0.7,
        film: 'thin',
        bothers: ['empty corner'],
        isLookedAt: false,
      })
    // Only Night was timed; Snow, of which as much went in, says nothing of it.
    expect(facts[0]!.levelTimeS).toBeCloseTo(1.3, 9)
    expect(facts[0]!.restHours).toBeLessThan(1)
    const { ul } = (
      await studio.run((tx) =>
        tx.q<{ ul: number }>(`select sum(ul)::int as ul from plan_part where studio_id = $1 and use = 'cup'`, [
          tx.studioId,
        ]),
      )
    )[0]!
    expect(facts[0]!.cupShare).toBeCloseTo(ul / (ul + 10_000), 9)
  })
  it('freezes the state of a bottle as paint leaves it, and counts a repeated event once', async () => {
    const { water, night, note, run } = await planned()
    const { plan } = await run()
    const [cup] = plan.cups
    await note({ kind: 'thin', bottle: night, waterId: water, ul: 10_000 })
    await note({
      kind: 'check',
      bottle: night,
      reading: { levelTimeS: 1.3, sigma: 0.1, tries: [1.3], how: 'stopwatch' },
    })
    const request = uuidv7()
    const load = {
      kind: 'load',
      cup: cup!.id,
      layer: null,
      way: 'high',
      piece: cup!.piece,
      bottle: night,
      ul: 9_000,
      how: 'scale',
      grams: 41.2,
    }
    await note(load, request)
    expect((await note(load, request)).revision).toBe(3)
    const { event } = (await run()).events.at(-1)!
    expect(event).toMatchObject({
      kind: 'load',
      frozen: { expectedS: 1.3, readS: 1.3, hasAdditive: false, lots: [{ ul: 60_000 }, { ul: 30_000 }] },
    })
    const { frozen } = event as Extract<RunEvent, { kind: 'load' }>
    // 10 ml of water on 30 of paint; 100 ml in all.
    expect(frozen!.waterOfPaint).toBeCloseTo(1 / 3, 9)
    expect(frozen!.minutesSinceStirred).toBeLessThan(1)
    expect(frozen!.hoursRested).toBeGreaterThanOrEqual(0)
  })
  it('is booked as it happened: every lot on both pieces, in the jar and in the waste, to the µl', async () => {
    const r = await planned()
    const { studio, night, snow, teal, flow, white, note, book } = r
    const plan = await poured(r)
    const [one, two] = plan.pieces
    await note({ kind: 'back', piece: one!.id, bottle: snow, ul: 1_000 })
    const jar = uuidv7()
    await note({ kind: 'run-off', piece: null, to: 'jar', jar, newJar: 'Grey', ul: 13_800, weighed: true })
    await note({ kind: 'run-off', piece: two!.id, to: 'waste', jar: null, newJar: null, ul: 4_000, weighed: false })
    const { pieces } = await book()
    expect(pieces.map((p) => p.title)).toEqual(['Ferry (1)', 'Ferry (2)'])
    expect(await book()).toEqual({ pieces })
    // Night gave 30, Snow 39. One: 16 + 15 + 5 − 1 = 35, two: 14 + 15 + 5 = 34; of the 13.8 in the jar 7 are of one.
    expect(await studio.holds(night)).toBe(60_000)
    expect(await studio.holds(snow)).toBe(41_000)
    expect(await studio.holds(jar)).toBe(13_800)
    const [first, second] = await Promise.all(pieces.map((p) => studio.run((tx) => findPiece(tx, p.id))))
    expect(await studio.holds(first!.vesselId)).toBe(28_000)
    expect(await studio.holds(second!.vesselId)).toBe(34_000 - 6_800 - 4_000)
    expect(first!.colours.map((c) => [c.label, c.ul])).toEqual([
      ['Snow', 19_000],
      ['Night', 16_000],
    ])
    expect([first!.stayedHow, first!.setId, second!.setId]).toEqual(['by run-off', first!.id, first!.id])
    expect(first!.due.map((l) => l.moment)).toEqual(['hour', 'day', 'dry', 'month', 'year'])
    // By lot: one holds 16 of Night, a third of it Teal, 28/35 of which stay.
    const lots = await studio.run((tx) => portionsOf(tx, [first!.vesselId]))
    const held = (m: string) => lots.find((l) => l.materialId === m)!.ul
    expect(held(white)).toBe(15_200)
    expect(Math.abs(held(teal) - (28 / 35) * (16_000 / 3))).toBeLessThanOrEqual(1)
    expect(Math.abs(held(flow) - (28 / 35) * (32_000 / 3))).toBeLessThanOrEqual(1)
    const wasted = await studio.run((tx) =>
      wastedFrom(tx, pieces.map((p) => p.id).concat(first!.vesselId, second!.vesselId)),
    )
    expect(wasted.reduce((sum, l) => sum + l.ul, 0)).toBe(4_000)
    expect((await studio.run((tx) => piecesPouredFrom(tx, night))).map((p) => p.ul).sort()).toEqual([14_000, 16_000])
    expect((await studio.run((tx) => findPlan(tx, r.planId))).pouredAt).not.toBeNull()
    expect(await studio.run((tx) => weighedRunOff(tx, plan.technique))).toMatchObject({ pieces: 2 })
    expect(await studio.run(openRuns)).toEqual([])
    await expectBalanced(studio)
  })
  it('taken back it is open again as it was, and booked anew it is right', async () => {
    const r = await planned()
    const { studio, night, id, note, run, book } = r
    await poured(r)
    const jar = uuidv7()
    await note({ kind: 'run-off', piece: null, to: 'jar', jar, newJar: '', ul: 5_000, weighed: true })
    await book()
    await expect(note({ kind: 'note', text: 'late' })).rejects.toThrow('This pour is booked')
    await expect(studio.run((tx) => putRunAside(tx, id))).rejects.toThrow('This pour is booked')
    for (const movementId of await studio.run((tx) => movementsOfRun(tx, id)))
      await studio.run((tx) => undo(tx, { requestId: uuidv7(), movementId }))
    expect(await studio.holds(night)).toBe(90_000)
    expect(await run()).toMatchObject({ bookedAt: null, bookings: 1 })
    expect((await studio.run((tx) => findPlan(tx, r.planId))).pouredAt).toBeNull()
    expect(await studio.run(listPieces)).toEqual([])
    const first = (await run()).events.find((h) => h.event.kind === 'load')!
    await note({ kind: 'undo', of: first.n })
    await book()
    expect(await studio.holds(night)).toBe(90_000 - 14_000)
    expect(await studio.run((tx) => piecesOfRun(tx, id))).toHaveLength(2)
    await expectBalanced(studio)
  })
  it('water and readings at the table come into the bottle before what was poured from it', async () => {
    const r = await planned()
    const { studio, water, night, note, book } = r
    await note({
      kind: 'check',
      bottle: night,
      reading: { levelTimeS: 2.4, sigma: 0.1, tries: [2.4], how: 'stopwatch' },
    })
    await note({ kind: 'thin', bottle: night, waterId: water, ul: 9_000 })
    await note({
      kind: 'check',
      bottle: night,
      reading: { levelTimeS: 1.2, sigma: 0.1, tries: [1.2, 1.2], how: 'stopwatch' },
    })
    await poured(r)
    await book()
    const bottle = await studio.run((tx) => findBottle(tx, night))
    expect(bottle).toMatchObject({ ul: 69_000, levelTimeS: 1.2 })
    expect(bottle.w).toBeCloseTo(0.1, 9)
    expect(bottle.readW).toBeCloseTo(0.1, 9)
    await expectBalanced(studio)
  })
  it('a bottle the books think too small, or empty, is poured all the same and booked as found', async () => {
    const r = await planned(18_000)
    const { studio, night, teal, book } = r
    await poured(r)
    await expect(book()).rejects.toThrow(
      /Night held 18.ml by the books, and 30.ml of it were poured.*12.ml are booked as found/,
    )
    expect((await r.run()).bookedAt).toBeNull()
    const { pieces } = await book(true)
    expect(await studio.holds(night)).toBe(0)
    const [vessel] = (await studio.run((tx) => piecesOfRun(tx, r.id))).filter((p) => p.id === pieces[0]!.id)
    const lots = await studio.run((tx) => portionsOf(tx, [vessel!.vesselId]))
    // A third of what was found is Teal, as of what was known.
    expect(lots.find((l) => l.materialId === teal)!.ul).toBeGreaterThan(1_000)
    await expectBalanced(studio)

    const other = await planned(18_000)
    await other.studio.run(async (tx) => {
      await takeOut(tx, { requestId: uuidv7(), vesselId: other.night, ul: 18_000 })
    })
    await poured(other)
    await other.book(true)
    expect(await other.studio.holds(other.night)).toBe(0)
    await expectBalanced(other.studio)
  })
  it('says what cannot be, and keeps nothing of it: nothing poured, more off than on, a full jar, a stranger', async () => {
    const r = await planned()
    const { studio, night, note, book, run } = r
    await expect(book()).rejects.toThrow('Nothing was poured yet')
    await poured(r)
    const before = await run()
    const off = { kind: 'run-off', piece: null, to: 'jar', jar: night, newJar: null, ul: 71_000, weighed: true }
    await expect(note(off)).rejects.toThrow(/were weighed off “Ferry \(1\)”/)
    const lost = {
      kind: 'load',
      cup: uuidv7(),
      layer: null,
      way: 'side',
      piece: before.plan.pieces[0]!.id,
      bottle: uuidv7(),
      ul: 1,
      how: 'eye',
    }
    await expect(note(lost)).rejects.toMatchObject({ code: 'NotFound' })
    expect((await run()).revision).toBe(before.revision)
    const stranger = await makeStudio()
    await expect(stranger.run((tx) => findRun(tx, r.id))).rejects.toMatchObject({ code: 'NotFound' })
    await expect(stranger.run((tx) => bookRun(tx, { id: r.id, findRest: false }))).rejects.toMatchObject({
      code: 'NotFound',
    })
    const small = await studio.bottle('Small', [{ materialId: r.white, ul: 1_000 }], 2_000)
    await note({ ...off, jar: small, ul: 5_000 })
    await expect(book()).rejects.toMatchObject({ code: 'OverCapacity' })
    expect(await studio.run(listPieces)).toEqual([])
    await studio.run((tx) => putRunAside(tx, r.id))
    await expect(note({ kind: 'note', text: 'x' })).rejects.toThrow('put aside')
    await expectBalanced(studio)
  })
  it('two devices at once: both are kept, in an order', async () => {
    const { night, note, run } = await planned()
    await Promise.all([1, 2, 3, 4].map(() => note({ kind: 'check', bottle: night })))
    expect((await run()).events.map((e) => e.n)).toEqual([1, 2, 3, 4])
  })
  it('without a plan: a size and a technique are enough', async () => {
    const { studio, night } = await planned()
    const surface = { shape: 'round' as const, diameterMm: 300, edgeMm: 0, count: 1 }
    const begin = (more: object = {}) =>
      studio.run((tx) =>
        beginRun(tx, {
          id: uuidv7(),
          planId: null,
          title: 'Moon',
          technique: 'ring',
          surfaces: [{ surface, stockId: null }],
          ...more,
        }),
      )
    const { id } = await begin()
    const [piece] = (await studio.run((tx) => findRun(tx, id))).plan.pieces
    await studio.run((tx) =>
      noteRunEvent(tx, id, {
        requestId: uuidv7(),
        event: {
          kind: 'load',
          cup: uuidv7(),
          layer: null,
          way: 'side',
          piece: piece!.id,
          bottle: night,
          ul: 30_000,
          how: 'eye',
        },
      }),
    )
    const { pieces } = await studio.run((tx) => bookRun(tx, { id, findRest: false }))
    expect(await studio.run((tx) => findPiece(tx, pieces[0]!.id))).toMatchObject({
      title: 'Moon',
      stayedHow: 'estimated',
      planId: null,
      setId: null,
    })
    await expect(begin({ surfaces: [] })).rejects.toThrow('Say what is poured on')
    await expect(begin({ technique: 'none' })).rejects.toMatchObject({ code: 'Invalid' })
    await expectBalanced(studio)
  })
  it('what a squeeze gives is learned where it was weighed, without what was taken back', async () => {
    const { studio, night, snow, note, run } = await planned()
    const [cup] = (await run()).plan.cups
    const squeeze = (bottle: string, ul: number, how: string, squeezes?: number) =>
      note({ kind: 'load', cup: cup!.id, layer: null, way: 'side', piece: cup!.piece, bottle, ul, how, squeezes })
    await squeeze(night, 5_000, 'scale', 1)
    await squeeze(night, 8_000, 'scale', 2)
    await squeeze(night, 90_000, 'scale')
    await squeeze(snow, 4_000, 'eye', 1)
    const { revision } = await squeeze(night, 30_000, 'scale', 1)
    await note({ kind: 'undo', of: revision })
    expect(await studio.run(squeezesWeighed)).toEqual([{ bottle: night, squeezes: 3, ul: 13_000 }])
  })
  it('what worked is counted over every run, without what was taken back', async () => {
    const { studio, note, run } = await planned()
    const { plan } = await run()
    const piece = plan.pieces[0]!.id
    const tryIt = async (yes: boolean) => {
      const bother = (await note({ kind: 'bother', piece, what: 'no cells here' })).revision
      const remedy = (await note({ kind: 'remedy', bother, which: 'heat', piece, bottle: null, ul: 0, how: 'eye' }))
        .revision
      return (await note({ kind: 'worked', remedy, yes })).revision
    }
    await tryIt(true)
    await tryIt(false)
    const third = await tryIt(true)
    await note({ kind: 'undo', of: third })
    expect(await studio.run(remediesFared)).toEqual([{ bother: 'no cells here', remedy: 'heat', worked: 1, tried: 2 }])
  })
})
