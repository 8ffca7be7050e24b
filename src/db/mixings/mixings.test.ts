import { v7 as uuidv7 } from 'uuid'
import { Invalid } from '@/core/errors'
import { makeStudio } from '../../../tests/support/studio'
import { onChange, type Topic } from '@/db/base/announce'
import {
  houseRules,
  rulesOf,
  saveBands,
  saveRatioOfBody,
  saveRatioOfPaint,
  saveSchool,
  saveRackWarmth,
} from '@/db/people/houseRules'
import { addEvent, beginMixing, endMixing, findMixing, openMixings, type Mixing } from './mixings'
import { takeOut } from '@/db/ledger'
import { endPool } from '@/db/base/pool'
import { findRecipe, listRecipes, putRecipeAway, saveRecipe } from '@/db/recipes/recipes'

afterAll(endPool)

type Any = Mixing<object, { n: number }>
const fits = () => undefined

describe('a mix in the making', () => {
  async function begun() {
    const studio = await makeStudio()
    const id = uuidv7()
    const begin = () => studio.run((tx) => beginMixing(tx, { id, kind: 'guided', plan: { label: 'Teal' } }))
    await Promise.all([begin(), begin()])
    const add = (n: number, after: number, requestId = uuidv7(), check: () => void = fits) =>
      studio.run((tx) => addEvent<object, { n: number }>(tx, { mixingId: id, requestId, after, event: { n } }, check))
    const find = () => studio.run((tx) => findMixing<object, { n: number }>(tx, id))
    return { studio, id, add, find }
  }
  it('keeps what happened in order, each request once, and only after what its sender has seen', async () => {
    const { add, find } = await begun()
    const request = uuidv7()
    const answers = await Promise.all([1, 2, 3].map(() => add(1, 0, request)))
    expect(answers.map((a: Any) => a.revision)).toEqual([1, 1, 1])
    await expect(add(9, 0)).rejects.toMatchObject({ code: 'Conflict' })
    await add(2, 1)
    expect(await find()).toMatchObject({ events: [{ n: 1 }, { n: 2 }], revision: 2, ended: false, vesselId: null })
  })
  it('keeps nothing of what does not fit', async () => {
    const { add, find } = await begun()
    const refuse = () => {
      throw new Invalid('no')
    }
    await expect(add(1, 0, uuidv7(), refuse)).rejects.toThrow('no')
    expect(await find()).toMatchObject({ events: [], revision: 0 })
  })
  it('is open until it ended, and takes nothing after', async () => {
    const { studio, id, add } = await begun()
    expect((await studio.run((tx) => openMixings(tx))).map((m) => m.id)).toEqual([id])
    await studio.run((tx) => endMixing(tx, id, null))
    expect(await studio.run((tx) => openMixings(tx))).toEqual([])
    await expect(add(1, 0)).rejects.toThrow('This mix is finished')
  })
  it('is not found where there is none, nor from another studio', async () => {
    const { id } = await begun()
    const stranger = await makeStudio()
    await expect(stranger.run((tx) => findMixing(tx, id))).rejects.toMatchObject({ code: 'NotFound' })
    await expect(
      stranger.run((tx) => addEvent(tx, { mixingId: id, requestId: uuidv7(), after: 0, event: {} }, fits)),
    ).rejects.toMatchObject({ code: 'NotFound' })
  })
})

describe('news for other devices', () => {
  const heard = async (news: readonly Topic[][], what: string) => {
    for (let i = 0; i < 100; i++) {
      if (news.some((n) => n.includes(what as Topic))) return true
      await new Promise((resolve) => setTimeout(resolve, 10))
    }
    return false
  }
  it('come within a second of the commit, to that studio only, and not of what was rolled back', async () => {
    const [studio, other] = [await makeStudio(), await makeStudio()]
    const teal = await studio.paint('Teal')
    const bottle = await studio.bottle('A', [{ materialId: teal, ul: 10_000 }])
    const [news, foreign]: [Topic[][], Topic[][]] = [[], []]
    const stops = [
      onChange(studio.who.studioId, (t) => news.push([...t])),
      onChange(other.who.studioId, (t) => foreign.push([...t])),
    ]
    // The line is open when it has told everyone to look anew.
    expect(await heard(news, 'everything')).toBe(true)
    await heard(foreign, 'everything')
    // News comes in the order of the commits: with this one, all before it has been told.
    const marks = [uuidv7(), uuidv7()]
    await studio.run((tx) => beginMixing(tx, { id: marks[0]!, kind: 'by eye', plan: {} }))
    await other.run((tx) => beginMixing(tx, { id: marks[1]!, kind: 'by eye', plan: {} }))
    await studio.run((tx) => endMixing(tx, marks[0]!, null))
    await other.run((tx) => endMixing(tx, marks[1]!, null))
    expect([await heard(news, `mixing ${marks[0]}`), await heard(foreign, `mixing ${marks[1]}`)]).toEqual([true, true])
    news.length = foreign.length = 0
    await studio.run((tx) => takeOut(tx, { requestId: uuidv7(), vesselId: bottle, ul: 1_000 }))
    expect(await heard(news, 'rack')).toBe(true)
    news.length = 0
    await expect(studio.run((tx) => takeOut(tx, { requestId: uuidv7(), vesselId: bottle, ul: 1e6 }))).rejects.toThrow()
    const id = uuidv7()
    await studio.run((tx) => beginMixing(tx, { id, kind: 'by eye', plan: {} }))
    await studio.run((tx) => endMixing(tx, id, null))
    expect(await heard(news, `mixing ${id}`)).toBe(true)
    expect(news.flat()).not.toContain('rack')
    expect(foreign).toEqual([])
    stops.forEach((stop) => stop())
  })
})

describe('recipes', () => {
  it('have versions that are only added to, each request once', async () => {
    const studio = await makeStudio()
    const [id, requestId] = [uuidv7(), uuidv7()]
    const save = (more: object = {}) =>
      studio.run((tx) =>
        saveRecipe(tx, {
          requestId: uuidv7(),
          id,
          name: 'House white',
          note: '',
          body: { ratio: '2 : 1', technique: 'straight' },
          ...more,
        }),
      )
    expect([
      await save({ requestId }),
      await save({ requestId }),
      await save({ body: { ratio: '3 : 1', technique: 'straight' } }),
    ]).toEqual([1, 1, 2])
    await expect(save({ requestId, body: { ratio: 'x', technique: 'straight' } })).rejects.toMatchObject({
      code: 'Conflict',
    })
    const recipe = await studio.run((tx) => findRecipe<{ ratio: string }>(tx, id))
    expect(recipe.versions.map((v) => v.body.ratio)).toEqual(['3 : 1', '2 : 1'])
    await expect(save({ id: uuidv7(), name: ' HOUSE white' })).rejects.toThrow('already')
    await studio.run((tx) => putRecipeAway(tx, id))
    expect(await studio.run(listRecipes)).toEqual([])
    await expect(studio.run((tx) => findRecipe(tx, uuidv7()))).rejects.toMatchObject({ code: 'NotFound' })
  })
})

describe('house rules', () => {
  it('are the start values until they are changed, one by one, and again when taken back', async () => {
    const studio = await makeStudio()
    const teal = await studio.paint('Teal')
    const rules = () => studio.run(houseRules)
    expect(await rules()).toMatchObject({ byBody: {}, byPaint: [], schools: {}, rackC: 20 })
    expect((await rules()).bands[0]!.name).toBe('stands')
    await studio.run(async (tx) => {
      await saveRatioOfBody(tx, 'soft', { medium: 2.5, paint: 1 })
      await saveRatioOfBody(tx, 'heavy', { medium: 4, paint: 1 })
      await saveRatioOfPaint(tx, teal, { medium: 5, paint: 1, note: 'strong' })
      await saveRatioOfPaint(tx, teal, { medium: 6, paint: 1, note: '' })
      await saveSchool(tx, 'swipe', { lines: [{ what: 'paint', parts: 1 }], steps: [] })
      await saveBands(tx, [
        { name: 'thick', fromS: 3 },
        { name: 'thin', fromS: 0 },
      ])
      await saveRackWarmth(tx, 24)
    })
    const own = rulesOf(await rules())
    expect(own.byBody).toEqual({ soft: { medium: 2.5, paint: 1 }, heavy: { medium: 4, paint: 1 } })
    expect(own.byPaint.get(teal)).toMatchObject({ medium: 6, paint: 1 })
    expect(own.schools.get('swipe')!.lines).toEqual([{ what: 'paint', parts: 1 }])
    expect(await rules()).toMatchObject({ rackC: 24, bands: [{ name: 'thick' }, { name: 'thin' }] })
    await studio.run(async (tx) => {
      await saveRatioOfBody(tx, 'soft', null)
      await saveRatioOfPaint(tx, teal, null)
      await saveSchool(tx, 'swipe', null)
      await saveBands(tx, null)
    })
    expect(await rules()).toMatchObject({ byBody: { heavy: { medium: 4 } }, byPaint: [], schools: {} })
    expect((await rules()).bands).toHaveLength(6)
  })
})
