import { v7 as uuidv7 } from 'uuid'
import { waterContent } from '@/core/consistency/reference'
import { MOVEMENT_KINDS, type MovementKind } from '@/core/vessel/kinds'
import { editBottle, pourTogether } from '@/db/bottles/edit'
import { findBottle } from '@/db/bottles/read'
import { readBottle } from '@/db/bottles/readings'
import { undo } from '@/server/undo'
import { expectBalanced } from '../../../tests/support/balance'
import { refusalsUnsaid } from '../../../tests/support/refusals'
import { makeStudio } from '../../../tests/support/studio'
import { endPool } from '../base/pool'
import type { Tx } from '../base/withStudio'
import { discard, pour, takeOut, wasteRunOff, type Booked } from '../ledger'
import { keepRunOff, pourBack, splitBottle, topUpBottle, waterBottle, weighInBottle } from '.'
import { COPIED } from './transfer'

afterAll(endPool)

const DAY = 86_400_000

/** A bottle with a history: watered, timed, dried, moved, and not one column as a new one has it. */
async function world() {
  const studio = await makeStudio()
  const [teal, flow, water] = [await studio.paint('Teal'), await studio.medium('Flow'), await studio.water()]
  const [a, b] = [
    await studio.bottle('A', [
      { materialId: teal, ul: 40_000 },
      { materialId: flow, ul: 80_000 },
      { materialId: water, ul: 6_000 },
    ]),
    await studio.bottle('B', [
      { materialId: teal, ul: 20_000 },
      { materialId: flow, ul: 30_000 },
    ]),
  ]
  const jar = uuidv7()
  await studio.run(async (tx) => {
    const set = `palette = 'Night', technique = 'ring', notes = 'by hand', level_time_s = 3, read_at = now() - interval '3 days',
      read_w = 0.09, curve_b = 9, thickens = 0.004, evaporated_share = 0.013, moved_at = now() - interval '5 days',
      rest_until = now() - interval '9 days', mixed_at = now() - interval '10 days', keep_until = now() + interval '33 days', tare_mg = 31234`
    await tx.q(`update bottle set ${set} where studio_id = $1 and vessel_id = $2`, [tx.studioId, a])
    const p = uuidv7()
    await pour(tx, {
      requestId: uuidv7(),
      onto: [{ vesselId: p, title: 'First', takes: [{ vesselId: b, ul: 9_000 }] }],
    })
    await keepRunOff(tx, {
      requestId: uuidv7(),
      from: [{ vesselId: p, ul: 2_000 }],
      jarId: jar,
      newJar: { label: 'Jar', capacityUl: null, tareMg: null },
    })
    await takeOut(tx, { requestId: uuidv7(), vesselId: a, ul: 5_000, note: 'sample' })
  })
  const rows = () =>
    studio.run((tx) =>
      tx.q<{ row: Record<string, unknown> }>(
        'select to_jsonb(b) as row from bottle b where studio_id = $1 and vessel_id = any ($2) order by vessel_id',
        [tx.studioId, [a, b, jar]],
      ),
    )
  const back = (movementId: string) => studio.run((tx) => undo(tx, { requestId: uuidv7(), movementId }))
  return { studio, teal, flow, water, a, b, jar, rows, back }
}
type World = Awaited<ReturnType<typeof world>>

const requestId = () => uuidv7()
const newBottle = (label: string, ul: number) => ({ vesselId: uuidv7(), label, ul, capacityUl: null, tareMg: null })

/** A pour of 10 ml from A. */
async function poured(tx: Tx, { a }: World) {
  const vesselId = uuidv7()
  const booked = await pour(tx, {
    requestId: requestId(),
    onto: [{ vesselId, title: 'Ferry', takes: [{ vesselId: a, ul: 10_000 }] }],
  })
  return { vesselId, ...booked }
}

/** Each kind of movement that can happen to a bottle that is there. */
const DONE: Readonly<Partial<Record<MovementKind, (tx: Tx, w: World) => Promise<Booked>>>> = {
  'top-up': (tx, { a, flow, teal }) =>
    topUpBottle(tx, {
      requestId: requestId(),
      vesselId: a,
      poured: [
        { materialId: teal, ul: 7_000 },
        { materialId: flow, ul: 20_000 },
      ],
      restHours: 12,
      untrackedForRest: true,
    }),
  pour: poured,
  'take-out': (tx, { a }) => takeOut(tx, { requestId: requestId(), vesselId: a, ul: 3_000 }),
  discard: (tx, { a }) => discard(tx, { requestId: requestId(), vesselId: a }),
  'weigh-in': (tx, { a }) =>
    weighInBottle(tx, { requestId: requestId(), vesselId: a, grossMg: 155_000, tareMg: 30_000, named: 'dried' }),
  water: (tx, { a, water }) => waterBottle(tx, { requestId: requestId(), vesselId: a, waterId: water, ul: 4_000 }),
  split: (tx, { a }) => splitBottle(tx, { requestId: requestId(), vesselId: a, into: [newBottle('A2', 50_000)] }),
  merge: (tx, { a, b }) => pourTogether(tx, { requestId: requestId(), intoId: a, fromIds: [b], restHours: 24 }),
  reclaim: async (tx, w) => {
    const { vesselId } = await poured(tx, w)
    return keepRunOff(tx, { requestId: requestId(), from: [{ vesselId, ul: 4_000 }], jarId: w.jar, newJar: null })
  },
  'pour-back': async (tx, { a }) => {
    const [taken] = await tx.q<{ id: string }>(`select id from movement where studio_id = $1 and kind = 'take-out'`, [
      tx.studioId,
    ])
    return pourBack(tx, { requestId: requestId(), vesselId: a, movementId: taken!.id, ul: 2_000 })
  },
  'run-off': async (tx, w) =>
    wasteRunOff(tx, { requestId: requestId(), from: [{ vesselId: (await poured(tx, w)).vesselId, ul: 1_000 }] }),
}

describe('an undo leaves bottles as they were', () => {
  it('every kind of movement that can happen to a bottle is looked at here', () => {
    const elsewhere: MovementKind[] = ['purchase', 'mix', 'finish', 'undo', 'set-split']
    expect([...Object.keys(DONE), ...elsewhere].sort()).toEqual([...MOVEMENT_KINDS].sort())
  })
  it.each(Object.entries(DONE))('%s: in every column', async (_, doIt) => {
    const w = await world()
    const before = await w.rows()
    const booked = await w.studio.run((tx) => doIt(tx, w))
    await w.back(booked.movementId)
    expect(await w.rows()).toEqual(before)
    await expectBalanced(w.studio)
  })
  it('a bottle that was emptied long ago and topped up was emptied long ago again', async () => {
    const w = await world()
    await w.studio.run((tx) => discard(tx, { requestId: requestId(), vesselId: w.a, at: new Date(Date.now() - DAY) }))
    const before = await w.rows()
    const booked = await w.studio.run((tx) => DONE['top-up']!(tx, w))
    await w.back(booked.movementId)
    expect(await w.rows()).toEqual(before)
  })
  it('tap water taken back gives a bottle its days again', async () => {
    const w = await world()
    const tap = await w.studio.run(async (tx) => {
      const [row] = await tx.q<{ id: string }>(
        `select id from material where studio_id = $1 and kind = 'water' and thinner = 'tap'`,
        [tx.studioId],
      )
      return row!.id
    })
    const dry = await w.studio.bottle('Dry', [{ materialId: w.teal, ul: 40_000 }])
    const days = async () => {
      const { keepUntil, mixedAt } = await w.studio.run((tx) => findBottle(tx, dry))
      return Math.round((Date.parse(keepUntil!) - Date.parse(mixedAt)) / DAY)
    }
    expect(await days()).toBe(270)
    const wet = await w.studio.run((tx) =>
      waterBottle(tx, { requestId: requestId(), vesselId: dry, waterId: tap, ul: 1_000 }),
    )
    expect(await days()).toBeLessThan(30)
    await w.back(wet.movementId)
    expect(await days()).toBe(270)
  })
})

describe('an undo after something else has happened', () => {
  refusalsUnsaid()
  it('leaves alone what a maker wrote since', async () => {
    const w = await world()
    const booked = await w.studio.run((tx) => DONE.water!(tx, w))
    await w.studio.run((tx) =>
      editBottle(tx, {
        vesselId: w.a,
        label: 'A',
        role: 'pour',
        palette: 'Dusk',
        technique: 'swipe',
        notes: 'written since',
      }),
    )
    await w.studio.run((tx) =>
      readBottle(tx, {
        requestId: requestId(),
        vesselId: w.a,
        levelTimeS: 1.7,
        sigma: 0.1,
        tries: [1.7],
        how: 'stopwatch',
      }),
    )
    await w.back(booked.movementId)
    const bottle = await w.studio.run((tx) => findBottle(tx, w.a))
    expect(bottle).toMatchObject({ palette: 'Dusk', technique: 'swipe', notes: 'written since', levelTimeS: 1.7 })
  })
  it('the first of two waters taken back leaves the water of the second, by what is in the bottle', async () => {
    const w = await world()
    const fresh = await w.studio.bottle('Fresh', [
      { materialId: w.teal, ul: 30_000 },
      { materialId: w.flow, ul: 60_000 },
    ])
    const add = (ul: number) =>
      w.studio.run((tx) => waterBottle(tx, { requestId: requestId(), vesselId: fresh, waterId: w.water, ul }))
    const first = await add(5_000)
    await add(2_000)
    await w.back(first.movementId)
    const { w: share, ul } = await w.studio.run((tx) => findBottle(tx, fresh))
    expect(ul).toBe(92_000)
    expect(share).toBeCloseTo(waterContent({ ul: 92_000, waterUl: 2_000 }), 6)
  })
  it('what came in twice and is taken back once is still in it: tap water and silicone', async () => {
    const w = await world()
    const [tap, silicone] = await w.studio.run(async (tx) => {
      const [row] = await tx.q<{ id: string }>(
        `select id from material where studio_id = $1 and kind = 'water' and thinner = 'tap'`,
        [tx.studioId],
      )
      const id = uuidv7()
      await tx.q(
        `insert into material (studio_id, id, kind, name, density_g_per_ml, solids) values ($1, $2, 'additive', 'Silicone', 0.96, 1)`,
        [tx.studioId, id],
      )
      return [row!.id, id]
    })
    const fresh = await w.studio.bottle('Fresh', [{ materialId: w.teal, ul: 60_000 }])
    const add = (poured: { materialId: string; ul: number }[]) =>
      w.studio.run((tx) =>
        topUpBottle(tx, { requestId: requestId(), vesselId: fresh, poured, restHours: 0, untrackedForRest: true }),
      )
    const both = [
      { materialId: tap, ul: 1_000 },
      { materialId: silicone, ul: 100 },
    ]
    const first = await add(both)
    const { keepUntil } = await w.studio.run((tx) => findBottle(tx, fresh))
    await add(both)
    await w.back(first.movementId)
    expect(await w.studio.run((tx) => findBottle(tx, fresh))).toMatchObject({ keepUntil, hasAdditive: true })
  })
  it('a top-up taken back after a water leaves the water of both the mix and the drops', async () => {
    const w = await world()
    const fresh = await w.studio.bottle('Fresh', [{ materialId: w.flow, ul: 60_000 }])
    const top = await w.studio.run((tx) =>
      topUpBottle(tx, {
        requestId: requestId(),
        vesselId: fresh,
        poured: [{ materialId: w.teal, ul: 30_000 }],
        restHours: 12,
        untrackedForRest: true,
      }),
    )
    await w.studio.run((tx) =>
      waterBottle(tx, { requestId: requestId(), vesselId: fresh, waterId: w.water, ul: 3_000 }),
    )
    await w.back(top.movementId)
    const bottle = await w.studio.run((tx) => findBottle(tx, fresh))
    expect(bottle.w).toBeCloseTo(waterContent({ ul: 63_000, waterUl: 3_000 }), 6)
    // Nothing of paint is left in it.
    expect(bottle.hex).not.toBeNull()
  })
})

it('what a bottle that is filled from another has in common with it is every column but those of its own', async () => {
  const studio = await makeStudio()
  const columns = await studio.run((tx) =>
    tx.q<{ name: string }>(
      `select attname as name from pg_attribute where attrelid = 'bottle'::regclass and attnum > 0 and not attisdropped`,
    ),
  )
  // Its own: what names it, its weight empty, whether it is empty, whether others are brought to it; the rest is settled from its content.
  const own = ['studio_id', 'vessel_id', 'code', 'tare_mg', 'emptied_at', 'is_reference']
  const settled = ['colour_hex', 'colour_off', 'sheen', 'has_additive']
  expect(columns.map((c) => c.name).sort()).toEqual([...COPIED, ...own, ...settled].sort())
})
