import { v7 as uuidv7 } from 'uuid'
import type { Signed } from '@/db/people/sessions'
import { signUp } from '../support/accounts'
import { findBottle } from '@/db/bottles/read'
import { houseRules } from '@/db/people/houseRules'
import { loggedTitrations } from '@/db/bottles/consistency'
import { findMixing, openMixings } from '@/db/mixings/mixings'
import { endPool } from '@/db/base/pool'
import { listRecipes } from '@/db/recipes/recipes'
import {
  correctAction,
  readBottleAction,
  referenceAction,
  waterBottleAction,
} from '@/stations/bench/consistency/actions'
import { consistencyData } from '@/stations/bench/consistency/queries'
import { beginByEyeAction, beginGuideAction, putAsideAction, weighOnceAction } from '@/stations/bench/guide/actions'
import {
  bandsAction,
  bodyRatioAction,
  paintRatioAction,
  putRecipeAwayAction,
  saveRecipeAction,
  schoolAction,
  rackWarmthAction,
} from '@/stations/bench/recipes/actions'
import type { RecipeBody } from '@/db/recipes/schema'
import { benchStart } from '@/stations/bench/start'
import { benchView } from '@/stations/bench/mixDraft'
import { listMixable } from '@/db/materials/mixable'
import { refusalsUnsaid } from '../support/refusals'
import { makeStudio } from '../support/studio'

/** The sealed cookie is stood in for by whose token it holds; everything behind it is real. */
const holder: { token?: string } = {}
jest.mock('@/session/cookie', () => ({ tokenHere: async () => holder.token }))
jest.mock('next/cache', () => ({ revalidatePath: () => undefined }))
jest.mock('react', () => ({ ...jest.requireActual<object>('react'), cache: (work: unknown) => work }))

afterAll(endPool)

async function room() {
  const signed: Signed = await signUp({
    name: 'Runa',
    email: `${uuidv7()}@example.org`,
    password: 'a long pass phrase',
    studioName: 'Upper lock',
  })
  holder.token = signed.token
  const studio = await makeStudio(signed)
  const [teal, flow, water] = [await studio.paint('Teal'), await studio.medium('Flow'), await studio.water()]
  const bottle = (label: string) =>
    studio.bottle(label, [
      { materialId: teal, ul: 40_000 },
      { materialId: flow, ul: 80_000 },
    ])
  return { signed, studio, teal, flow, water, bottle, find: (id: string) => studio.run((tx) => findBottle(tx, id)) }
}
const read = (vesselId: string, levelTimeS: number, more: object = {}) =>
  readBottleAction({
    requestId: uuidv7(),
    vesselId,
    levelTimeS,
    sigma: 0.1,
    tries: [levelTimeS],
    how: 'stopwatch',
    ...more,
  })

describe('consistency', () => {
  it('is read, watered, and shown with what is believed of it', async () => {
    const { studio, water, bottle, find } = await room()
    const id = await bottle('Teal 1')
    expect(await read(id, 4)).toEqual({ ok: true, value: null })
    expect(await waterBottleAction({ requestId: uuidv7(), vesselId: id, waterId: water, ul: 3_000 })).toEqual({
      ok: true,
      value: null,
    })
    await read(id, 3)
    const data = await studio.run((tx) => consistencyData(tx, new Date()))
    const [desk] = data.bottles
    expect(desk).toMatchObject({ id, label: 'Teal 1', pair: 'Teal with Flow', levelTimeS: 3, ul: 123_000 })
    expect(desk!.points).toHaveLength(2)
    expect(desk!.roomUl).toBeGreaterThan(0)
    expect(data.learned).toMatchObject([{ paint: 'Teal', medium: 'Flow', hex: '#1f6f8b', mixes: 1 }])
    expect(data.bands[0]!.name).toBe('stands')
    expect(await find(id)).toMatchObject({ levelTimeS: 3 })
  })
  it('refuses what is no reading', async () => {
    const { bottle } = await room()
    const id = await bottle('Teal 1')
    expect(await read(id, 0)).toMatchObject({ ok: false, message: expect.stringMatching('above zero') })
    expect(await read(id, 601)).toMatchObject({ ok: false, message: expect.stringMatching('ten minutes') })
    expect(await read(uuidv7(), 2)).toMatchObject({ ok: false, code: 'NotFound' })
  })
  it('of a palette goes by one reference, and a correction at the table is booked and learned from', async () => {
    const { studio, water, bottle, find } = await room()
    const [a, b, other] = [await bottle('A'), await bottle('B'), await bottle('C')]
    await studio.run((tx) =>
      tx.q(`update bottle set palette = 'Night' where studio_id = $1 and vessel_id = any ($2)`, [tx.studioId, [a, b]]),
    )
    await referenceAction({ vesselId: a, isReference: true })
    await referenceAction({ vesselId: other, isReference: true })
    await referenceAction({ vesselId: b, isReference: true })
    expect([(await find(a)).isReference, (await find(b)).isReference, (await find(other)).isReference]).toEqual([
      false,
      true,
      true,
    ])
    await referenceAction({ vesselId: b, isReference: false })
    expect((await find(b)).isReference).toBe(false)
    const six = { requestId: uuidv7(), vesselId: a, waterId: water, ul: 300, likeS: 2.5 }
    await Promise.all([correctAction(six), correctAction(six)])
    expect(await find(a)).toMatchObject({ ul: 120_300, levelTimeS: 2.5 })
    const [log] = await studio.run(loggedTitrations)
    expect(log!.points).toHaveLength(1)
    expect(log!.points[0]!.w).toBeCloseTo(0.0025, 5)
    expect(await referenceAction({ vesselId: uuidv7(), isReference: true })).toMatchObject({
      ok: false,
      code: 'NotFound',
    })
  })
})

describe('recipes and rules', () => {
  refusalsUnsaid()
  const body = (teal: string, flow: string, water: string): RecipeBody => ({
    paints: [{ id: teal, parts: '1' }],
    mediums: [{ id: flow, parts: '1' }],
    ratio: '3 : 1',
    waterId: water,
    waterParts: '0.2',
    drops: [{ id: flow, parts: '2' }],
    steps: ['Shake.'],
    role: 'swipe',
    technique: 'swipe',
  })
  it('are kept in versions, and put on the bench again, scaled as one likes', async () => {
    const { studio, teal, flow, water } = await room()
    const id = uuidv7()
    const save = (more: object = {}) =>
      saveRecipeAction({
        requestId: uuidv7(),
        id,
        name: 'House swipe',
        note: '',
        body: body(teal, flow, water),
        ...more,
      })
    expect(await save()).toEqual({ ok: true, value: { id, version: 1 } })
    expect(await save({ note: 'more of it' })).toEqual({ ok: true, value: { id, version: 2 } })
    expect(await save({ id: uuidv7() })).toMatchObject({ ok: false, code: 'Conflict' })
    expect(await save({ name: '' })).toMatchObject({ ok: false, message: 'Give the recipe a name.' })
    const [recipe] = await studio.run((tx) => listRecipes<RecipeBody>(tx))
    const materials = await studio.run(listMixable)
    const start = benchStart(materials, {
      paints: [],
      parts: [],
      us: false,
      recipe: { id, name: recipe!.name, version: 2, body: recipe!.versions[0]!.body },
    })
    expect(start).toMatchObject({ label: 'House swipe', role: 'swipe', technique: 'swipe', recipe: { version: 2 } })
    const view = benchView(
      { ...start.draft, scaleBy: 'cups', scaleText: '3', cupSize: '84 ml' },
      new Map(materials.map((m) => [m.id, m])),
      'metric',
      { school: 'thinned-40' },
    )
    // 1 : 3 : 0.2 of 252 ml, and two drops for each 100 ml.
    expect(view.lines.map((l) => [l.kind, l.targetUl])).toEqual([
      ['paint', 59_964],
      ['medium', 179_893],
      ['water', 11_993],
      ['additive', 150],
    ])
    await putRecipeAwayAction({ id })
    expect(await studio.run(listRecipes)).toEqual([])
  })
  it('of the house are changed one by one, checked, and taken back', async () => {
    const { studio, teal, bottle, find } = await room()
    const id = await bottle('A')
    const rules = () => studio.run(houseRules)
    await bodyRatioAction({ body: 'soft', ratio: { medium: 2.5, paint: 1 } })
    await paintRatioAction({ paintId: teal, ratio: { medium: 4, paint: 1 } })
    await schoolAction({
      key: 'swipe',
      school: {
        lines: [
          { what: 'paint', parts: 1 },
          { what: 'conditioner', parts: 4 },
        ],
        steps: [],
      },
    })
    await bandsAction({
      bands: [
        { name: 'thick', fromS: 2 },
        { name: 'thin', fromS: 0 },
      ],
    })
    await rackWarmthAction({ rackC: 30 })
    expect(await rules()).toMatchObject({
      byBody: { soft: { medium: 2.5 } },
      byPaint: [{ paintId: teal, medium: 4 }],
      rackC: 30,
    })
    expect((await rules()).schools.swipe!.lines).toHaveLength(2)
    const bottleNow = await find(id)
    expect(Date.parse(bottleNow.keepUntil!) - Date.parse(bottleNow.mixedAt)).toBe(135 * 86_400_000)
    for (const bad of [
      await bodyRatioAction({ body: 'soft', ratio: { medium: 2, paint: 0 } }),
      await bodyRatioAction({ body: 'runny', ratio: null }),
      await paintRatioAction({ paintId: uuidv7(), ratio: { medium: 1, paint: 1 } }),
      await schoolAction({ key: 'swipe', school: { lines: [], steps: [] } }),
      await bandsAction({
        bands: [
          { name: 'a', fromS: 1 },
          { name: 'b', fromS: 2 },
        ],
      }),
      await rackWarmthAction({ rackC: 80 }),
    ])
      expect(bad.ok).toBe(false)
    expect(await rules()).toMatchObject({ byBody: { soft: { medium: 2.5 } }, rackC: 30 })
    await bandsAction({ bands: null })
    await schoolAction({ key: 'swipe', school: null })
    expect((await rules()).bands).toHaveLength(6)
    expect((await rules()).schools).toEqual({})
  })
})

describe('mixes under way', () => {
  it('are begun, found on every device, and put aside', async () => {
    const { studio, teal, flow, water } = await room()
    const id = uuidv7()
    const input = {
      id,
      lines: [
        { source: 'material', id: teal, plannedUl: 10_000 },
        { source: 'material', id: flow, plannedUl: 20_000 },
      ],
      recipe: {
        paints: [{ materialId: teal, parts: 1 }],
        paintParts: 1,
        mediums: [{ materialId: flow, parts: 2 }],
        water: null,
      },
      label: 'Teal',
      role: 'pour',
      technique: 'ring',
      bandS: [3, 5],
      cupUl: 90_000,
      waterId: water,
    }
    expect(await Promise.all([beginGuideAction(input), beginGuideAction(input)])).toEqual([
      { ok: true, value: { id } },
      { ok: true, value: { id } },
    ])
    const eye = uuidv7()
    await beginByEyeAction({ id: eye })
    expect((await studio.run((tx) => openMixings(tx))).map((m) => m.kind).sort()).toEqual(['by eye', 'guided'])
    const kept = await studio.run((tx) => findMixing<{ lines: { name: string }[]; bandS: number[] }, unknown>(tx, id))
    expect(kept.plan).toMatchObject({ bandS: [3, 5], lines: [{ name: 'Flow' }, { name: 'Teal' }] })
    expect(await beginGuideAction({ ...input, id: uuidv7(), lines: [] })).toMatchObject({
      ok: false,
      message: expect.stringMatching('Choose a paint or a medium'),
    })
    await putAsideAction({ id })
    await putAsideAction({ id: eye })
    expect(await studio.run((tx) => openMixings(tx))).toEqual([])
  })
  it('remember a density that was weighed once, within reason', async () => {
    const { studio, teal } = await room()
    expect(await weighOnceAction({ materialId: teal, densityGPerMl: 1.31 })).toEqual({ ok: true, value: null })
    expect(await weighOnceAction({ materialId: teal, densityGPerMl: 9 })).toMatchObject({
      ok: false,
      message: expect.stringMatching('Heavier'),
    })
    expect((await studio.run(listMixable)).find((m) => m.id === teal)!.densityGPerMl).toBe(1.31)
  })
})
