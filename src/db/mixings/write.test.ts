import { v7 as uuidv7 } from 'uuid'
import { type GuideEvent, guideState } from '@/core/mix/guide'
import { findBottle, portionsOf } from '@/db/bottles/read'
import { listBases, listMixable, rememberDensity } from '@/db/materials/mixable'
import { START_AGEING } from '@/core/consistency/ageing'
import { findMixing } from './mixings'
import { beliefsOf, learnedOf, loggedTitrations } from '@/db/bottles/consistency'
import { journal, discard } from '@/db/ledger'
import { undo } from '@/server/undo'
import { beginMixing } from './mixings'
import { endPool } from '@/db/base/pool'
import { checked } from '@/server/answer'
import { derivedId } from '@/db/base/derivedId'
import { expectBalanced } from '../../../tests/support/balance'
import { makeStudio } from '../../../tests/support/studio'
import { pourables } from '@/stations/bench/eye/pourables'
import { sourcesOf } from './sources'
import { amountsOf, pouredBy, pouringOf } from '@/stations/bench/guide/pouring'
import { keptPlan } from './plan'
import { bookMixingSchema, eventSchema, type BeginGuide } from './schema'
import { readBottle } from '@/stations/bench/bottleDraft'
import { beginGuide, bookMixing, noteEvent } from './write'

jest.mock('@/session/current', () => ({ requireSession: () => Promise.resolve(undefined) }))
afterAll(endPool)

const details = {
  label: 'Teal',
  role: 'pour' as const,
  palette: 'Night',
  capacityUl: null,
  tareMg: 30_000,
  restHours: 12,
  findRest: false,
}

async function room() {
  const studio = await makeStudio()
  const [teal, flow, water] = [await studio.paint('Teal'), await studio.medium('Flow'), await studio.water()]
  const begin = (more: Partial<BeginGuide> = {}): BeginGuide => ({
    id: uuidv7(),
    lines: [
      { source: 'material', id: teal, plannedUl: 50_000, byDrop: false },
      { source: 'material', id: flow, plannedUl: 100_000, byDrop: false },
    ],
    recipe: {
      paints: [{ materialId: teal, parts: 1 }],
      paintParts: 1,
      mediums: [{ materialId: flow, parts: 2 }],
      water: null,
      drops: [],
    },
    label: 'Teal',
    role: 'pour',
    technique: 'straight',
    bandS: [1, 2],
    cupUl: null,
    waterId: water,
    steps: [],
    formula: null,
    ...more,
  })
  const note = async (id: string, events: GuideEvent[], from = 0) => {
    let after = from
    for (const event of events)
      after = (await studio.run((tx) => noteEvent(tx, id, { requestId: uuidv7(), after, event }))).revision
    return after
  }
  return { studio, teal, flow, water, begin, note }
}

/** Makes a bottle one that is mixed with as a medium is. */
const isBase = (studio: Awaited<ReturnType<typeof makeStudio>>, id: string) =>
  studio.run((tx) =>
    tx.q(`update bottle set role = 'mixing base' where studio_id = $1 and vessel_id = $2`, [tx.studioId, id]),
  )

describe('a guided mix', () => {
  it('becomes a bottle with what was really poured, its water, and its readings on the curve', async () => {
    const { studio, teal, flow, begin, note } = await room()
    const input = begin()
    await studio.run((tx) => beginGuide(tx, input))
    await note(input.id, [
      { kind: 'next' },
      { kind: 'next' },
      { kind: 'pour', ul: 101_000 },
      { kind: 'pour', ul: 50_500 },
      { kind: 'next' },
      { kind: 'reading', levelTimeS: 4, sigma: 0.1, tries: [4], how: 'stopwatch' },
      { kind: 'water', ul: 6_060 },
      { kind: 'reading', levelTimeS: 1.5, sigma: 0.1, tries: [1.5], how: 'stopwatch' },
      { kind: 'good' },
    ])
    const ids = await Promise.all([1, 2, 3].map(() => studio.run((tx) => bookMixing(tx, input.id, details))))
    expect(new Set(ids).size).toBe(1)
    const bottle = await studio.run((tx) => findBottle(tx, ids[0]!))
    expect(bottle).toMatchObject({
      label: 'Teal',
      ul: 157_560,
      palette: 'Night',
      technique: 'straight',
      levelTimeS: 1.5,
      tareMg: 30_000,
    })
    expect(bottle.w).toBeCloseTo(0.04, 5)
    expect(bottle.readW).toBeCloseTo(0.04, 5)
    expect(bottle.recipe.paints[0]).toMatchObject({ name: 'Teal', parts: 1 })
    // As any reading is noted: with what its own readings say now, how it will thicken, and by one clock.
    const [{ clock, read }] = (await studio.run((tx) =>
      tx.q<{ clock: string; read: string }>(
        `select max(r.at) as clock, b.read_at as read from bottle b
         join titration t on t.studio_id = b.studio_id and t.vessel_id = b.vessel_id
         join level_reading r on r.studio_id = t.studio_id and r.titration_id = t.id
         where b.studio_id = $1 and b.vessel_id = $2 group by b.read_at`,
        [tx.studioId, ids[0]],
      ),
    )) as [{ clock: string; read: string }]
    expect(clock).toBe(read)
    expect(bottle.thickens).toBeCloseTo(START_AGEING.perDay, 6)
    const learned = await studio.run(learnedOf)
    const known = await studio.run((tx) => beliefsOf(tx, [bottle], learned, new Date(read)))
    expect(bottle.curveB).toBeCloseTo(known.get(bottle.id)!.belief.b, 3)
    const unread = (await studio.run((tx) => findMixing<{ belief: { b: number } }, unknown>(tx, input.id))).plan.belief
      .b
    expect(Math.abs(bottle.curveB! - unread)).toBeGreaterThan(0.1)
    const [log] = await studio.run(loggedTitrations)
    expect(log).toMatchObject({ vesselId: ids[0], paintId: teal, mediumId: flow })
    expect(log!.points.map((p) => Math.round(p.w * 1000) / 1000)).toEqual([0, 0.04])
    await expectBalanced(studio)
  })
  it('cannot be booked before it is finished, nor begun with what is not there', async () => {
    const { studio, begin, note } = await room()
    const input = begin()
    await studio.run((tx) => beginGuide(tx, input))
    await note(input.id, [{ kind: 'next' }])
    await expect(studio.run((tx) => bookMixing(tx, input.id, details))).rejects.toThrow('not finished yet')
    await expect(
      studio.run((tx) => noteEvent(tx, input.id, { requestId: uuidv7(), after: 1, event: { kind: 'follow' } })),
    ).rejects.toThrow('Another device')
    const gone = begin({ lines: [{ source: 'material', id: uuidv7(), plannedUl: 10, byDrop: false }] })
    await expect(studio.run((tx) => beginGuide(tx, gone))).rejects.toThrow('not in the drawer any more')
  })
  it('takes a base from the rack as it takes a medium, with what that is made of', async () => {
    const { studio, teal, flow, water, begin, note } = await room()
    const base = await studio.bottle('Base', [
      { materialId: flow, ul: 80_000 },
      { materialId: water, ul: 20_000 },
    ])
    await isBase(studio, base)
    const [listed] = await studio.run(listBases)
    expect(listed).toMatchObject({ id: base, kind: 'medium', name: 'Base', inBottle: true, onHandUl: 100_000 })
    expect(listed!.waterShare).toBeCloseTo(0.2, 9)
    expect(listed!.densityGPerMl).toBeCloseTo(0.8 * 1.05 + 0.2 * 0.998, 9)
    expect(
      await studio.run((tx) =>
        sourcesOf(tx, [
          { materialId: teal, ul: 1 },
          { materialId: base, ul: 2 },
        ]),
      ),
    ).toEqual([
      { materialId: teal, ul: 1 },
      { vesselId: base, ul: 2 },
    ])
    const input = begin({
      lines: [
        { source: 'material', id: teal, plannedUl: 25_000, byDrop: false },
        { source: 'bottle', id: base, plannedUl: 50_000, byDrop: false },
      ],
      recipe: {
        paints: [{ materialId: teal, parts: 1 }],
        paintParts: 1,
        mediums: [{ materialId: base, parts: 2 }],
        water: null,
        drops: [],
      },
    })
    await studio.run((tx) => beginGuide(tx, input))
    await note(input.id, [
      { kind: 'next' },
      { kind: 'next' },
      { kind: 'pour', ul: 50_000 },
      { kind: 'pour', ul: 25_000 },
      { kind: 'next' },
      { kind: 'good' },
    ])
    const id = await studio.run((tx) => bookMixing(tx, input.id, details))
    expect(await studio.holds(base)).toBe(50_000)
    expect(await studio.holds(id)).toBe(75_000)
    const bottle = await studio.run((tx) => findBottle(tx, id))
    expect(bottle.recipe.mediums[0]!.name).toBe('Base')
    await expectBalanced(studio)
  })
  it('of which more came out of a base than its books say is not lost: it is booked as found, once the maker says so', async () => {
    const { studio, teal, flow, water, begin, note } = await room()
    const base = await studio.bottle('Base', [
      { materialId: flow, ul: 40_000 },
      { materialId: water, ul: 10_000 },
    ])
    await isBase(studio, base)
    const input = begin({
      lines: [
        { source: 'material', id: teal, plannedUl: 25_000, byDrop: false },
        { source: 'bottle', id: base, plannedUl: 60_000, byDrop: false },
      ],
    })
    await studio.run((tx) => beginGuide(tx, input))
    await note(input.id, [
      { kind: 'next' },
      { kind: 'next' },
      { kind: 'pour', ul: 60_000 },
      { kind: 'pour', ul: 25_000 },
      { kind: 'next' },
      { kind: 'good' },
    ])
    const book = (findRest: boolean) => studio.run((tx) => bookMixing(tx, input.id, { ...details, findRest }))
    await expect(book(false)).rejects.toMatchObject({
      code: 'NotEnough',
      message: expect.stringMatching(
        /^Base held 50.ml by the books, and 60.ml of it went in\. Book once more, and the 10.ml are booked as found/,
      ),
    })
    expect(await studio.holds(base)).toBe(50_000)
    const id = await book(true)
    expect([await studio.holds(base), await studio.holds(id)]).toEqual([0, 85_000])
    const found = (await studio.run((tx) => portionsOf(tx, [id]))).filter((p) => p.ul !== 25_000).map((p) => p.ul)
    expect([...found].sort((x, y) => x - y)).toEqual([12_000, 48_000])
    await expectBalanced(studio)
    // Undone, the base holds what its books said.
    const [mixed] = await studio.run((tx) => journal(tx, id))
    await studio.run((tx) => undo(tx, { requestId: uuidv7(), movementId: mixed!.id }))
    expect(await studio.holds(base)).toBe(50_000)
    await expectBalanced(studio)
  })
  it('cannot be made of a bottle that is empty by the books: nobody knows what was in it', async () => {
    const { studio, teal, flow, begin, note } = await room()
    const base = await studio.bottle('Base', [{ materialId: flow, ul: 40_000 }])
    await isBase(studio, base)
    const input = begin({
      lines: [
        { source: 'material', id: teal, plannedUl: 25_000, byDrop: false },
        { source: 'bottle', id: base, plannedUl: 60_000, byDrop: false },
      ],
    })
    await studio.run((tx) => beginGuide(tx, input))
    await note(input.id, [
      { kind: 'next' },
      { kind: 'next' },
      { kind: 'pour', ul: 60_000 },
      { kind: 'pour', ul: 25_000 },
      { kind: 'next' },
      { kind: 'good' },
    ])
    await studio.run((tx) => discard(tx, { requestId: uuidv7(), vesselId: base }))
    await expect(studio.run((tx) => bookMixing(tx, input.id, { ...details, findRest: true }))).rejects.toThrow(
      'Base is empty by the books',
    )
  })
})

describe('a mix by eye', () => {
  it('becomes a bottle whose recipe is read back, leftovers and all', async () => {
    const { studio, teal, flow, note } = await room()
    const left = await studio.bottle('Left', [
      { materialId: teal, ul: 20_000 },
      { materialId: flow, ul: 40_000 },
    ])
    const id = uuidv7()
    await studio.run((tx) => beginMixing(tx, { id, kind: 'by eye', plan: { label: '' } }))
    await expect(studio.run((tx) => bookMixing(tx, id, details))).rejects.toThrow('Nothing has been poured yet')
    const events = [
      { kind: 'name', source: 'bottle', id: left },
      { kind: 'add', ul: 30_000 },
      { kind: 'name', source: 'material', id: teal },
      { kind: 'add', ul: 10_000 },
    ]
    await note(id, events as unknown as GuideEvent[])
    const vesselId = await studio.run((tx) => bookMixing(tx, id, details))
    const bottle = await studio.run((tx) => findBottle(tx, vesselId))
    // 30 of 1 : 2 are 10 + 20; with 10 of paint 20 : 20.
    expect(bottle).toMatchObject({ ul: 40_000, recipe: { paintParts: 1, mediums: [{ name: 'Flow', parts: 1 }] } })
    expect(await studio.holds(left)).toBe(30_000)
    const bottles = [await studio.run((tx) => findBottle(tx, left))]
    const [pourable] = pourables(bottles, await studio.run((tx) => portionsOf(tx, [left])))
    expect(pourable).toMatchObject({
      id: left,
      content: [
        { materialId: flow, ul: 20_000 },
        { materialId: teal, ul: 10_000 },
      ],
    })
    expect(pourable!.densityGPerMl).toBeCloseTo((2 * 1.05 + 1.2) / 3, 9)
  })
})

describe('the plan of a guided mix', () => {
  it('pours mediums first, and says what is shaken and strained before', async () => {
    const { studio, begin } = await room()
    const materials = new Map((await studio.run(listMixable)).map((m) => [m.id, m]))
    const input = begin()
    const plan = keptPlan(input, materials, { school: 'thinned-40' }, { a: 1, b: 10, varA: 1, covAb: 0, varB: 1 })
    expect(plan.lines.map((l) => l.name)).toEqual(['Flow', 'Teal'])
    expect(plan.prepare).toEqual(['Shake or stir Teal.'])
    const [first, second] = [...materials.values()].filter((m) => m.kind === 'water')
    const paints = new Map(materials)
      .set(first!.id, {
        ...materials.get(input.lines[0]!.id)!,
        id: first!.id,
        kind: 'paint',
        name: 'Violet',
        strength: 'very strong',
      })
      .set(second!.id, {
        ...materials.get(input.lines[0]!.id)!,
        id: second!.id,
        kind: 'paint',
        name: 'Weak grey',
        strength: 'weak',
      })
    const line = (id: string) => ({ source: 'material' as const, id, plannedUl: 9, byDrop: false })
    const many = { ...input, lines: [line(first!.id), ...input.lines, line(second!.id)] }
    expect(keptPlan(many, paints, { school: 'thinned-40' }, plan.belief).lines.map((l) => l.name)).toEqual([
      'Flow',
      'Weak grey',
      'Teal',
      'Violet',
    ])
    const flow = [...materials.values()].find((m) => m.name === 'Flow')!
    const teal = [...materials.values()].find((m) => m.name === 'Teal')!
    const other = new Map([
      [flow.id, { ...flow, mediumKind: 'conditioner' as const }],
      [teal.id, { ...teal, body: 'heavy' as const, pigments: ['PR108'] }],
    ])
    const careful = keptPlan(input, other, { school: 'thinned-40' }, plan.belief).prepare
    expect(careful[0]).toMatch('Gloves on')
    expect(careful.join()).toMatch(/strain Flow.*Knead or stir Teal/)
    expect(plan.water?.name).toBe('Distilled water')
    expect(keptPlan({ ...input, waterId: teal.id }, materials, { school: 'thinned-40' }, plan.belief).water).toBeNull()
  })
  it('counts what is still to pour from what the scale shows', async () => {
    const { studio, begin } = await room()
    const materials = new Map((await studio.run(listMixable)).map((m) => [m.id, m]))
    const plan = keptPlan(begin(), materials, { school: 'thinned-40' }, { a: 1, b: 10, varA: 1, covAb: 0, varB: 1 })
    const state = guideState(plan, [{ kind: 'next' }, { kind: 'tare', grams: 30 }])
    // 100 ml of 1.05 g/ml: 105 g; at 72 g gross 40 ml are in.
    expect(pouringOf(plan, state, 72)).toMatchObject({ inUl: 40_000, leftUl: 60_000, isThere: false })
    expect(pouringOf(plan, state, 72)!.leftG).toBeCloseTo(63, 9)
    expect(pouringOf(plan, state, null)).toMatchObject({ inUl: 0 })
    expect(pouringOf(plan, state, 134)!.isThere).toBe(true)
    expect(pouredBy(plan, state, 72)).toBe(40_000)
    const held = guideState(plan, [
      { kind: 'next' },
      { kind: 'tare', grams: 30 },
      { kind: 'tare', grams: 51, heldUl: 20_000 },
    ])
    expect(pouredBy(plan, held, 72)).toBe(40_000)
    expect(pouringOf(plan, guideState(plan, []), 72)).toBeUndefined()
    const done = guideState(plan, [
      { kind: 'next' },
      { kind: 'next' },
      { kind: 'pour', ul: 100_000 },
      { kind: 'pour', ul: 50_000 },
      { kind: 'next' },
      { kind: 'water', ul: 500 },
    ])
    expect(amountsOf(plan, done).map((x) => [x.kind, x.ul])).toEqual([
      ['medium', 100_000],
      ['paint', 50_000],
      ['water', 500],
    ])
  })
})

describe('what is sent', () => {
  const event = (e: object) => checked(eventSchema, { requestId: uuidv7(), after: 0, event: e })
  it('is one of the known events, with what belongs to it and nothing else', async () => {
    await expect(event({ kind: 'dance' })).rejects.toThrow('does not know that step')
    await expect(event({ kind: 'pour' })).rejects.toThrow('how much was poured')
    await expect(event({ kind: 'pour', ul: 4e9 })).rejects.toThrow('more than any vessel')
    await expect(event({ kind: 'reading', levelTimeS: 0, sigma: 0.1, tries: [], how: 'stopwatch' })).rejects.toThrow(
      'above zero',
    )
    await expect(event({ kind: 'name', source: 'cup', id: uuidv7() })).rejects.toThrow()
    expect((await event({ kind: 'tare', grams: 3.2, stray: 1 })).event).toEqual({ kind: 'tare', grams: 3.2 })
    await expect(checked(eventSchema, null)).rejects.toMatchObject({ code: 'Invalid' })
    await expect(checked(bookMixingSchema, { ...details, label: ' ' })).rejects.toThrow('Give the bottle a name')
    await expect(checked(bookMixingSchema, { ...details, restHours: 999 })).rejects.toThrow('Two weeks')
  })
  it('is read as it was typed, or a sentence says what cannot be', () => {
    const typed = {
      label: 'Teal',
      role: 'pour' as const,
      palette: '',
      capacity: '8 fl oz',
      tare: '28 g',
      rest: '2',
    }
    expect(readBottle(typed, 'metric').value).toMatchObject({
      capacityUl: 236_588,
      tareMg: 28_000,
      restHours: 2,
    })
    expect(readBottle({ ...typed, capacity: '', tare: '' }, 'metric').value).toMatchObject({
      capacityUl: null,
      tareMg: null,
    })
    expect(readBottle({ ...typed, rest: 'long' }, 'metric')).toEqual({ sentence: 'Type the rest in hours, like 12.' })
    expect(readBottle({ ...typed, tare: '28 ml' }, 'metric')).toMatchObject({
      sentence: expect.stringContaining('unit of volume') as unknown,
    })
  })
  it('has ids that follow from one another', () => {
    const id = uuidv7()
    expect(derivedId(id, 'bottle')).toBe(derivedId(id, 'bottle'))
    expect(derivedId(id, 'bottle')).not.toBe(derivedId(id, 'water'))
    expect(derivedId(id, 'bottle')).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-7[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/)
  })
})

it('a density that was measured and weighed is kept, with its history', async () => {
  const { studio, teal } = await room()
  await studio.run((tx) => rememberDensity(tx, teal, 1.187))
  const [row] = await studio.run((tx) =>
    tx.q<{ d: number; r: number }>(
      'select density_g_per_ml as d, revision as r from material where studio_id = $1 and id = $2',
      [tx.studioId, teal],
    ),
  )
  expect(row).toEqual({ d: 1.187, r: 2 })
  await expect(studio.run((tx) => rememberDensity(tx, uuidv7(), 1))).rejects.toMatchObject({ code: 'NotFound' })
})
