import { v7 as uuidv7 } from 'uuid'
import type { Answer } from '@/core/answer'
import { contentKey } from '@/core/vessel/content'
import { shortCode } from '@/core/vessel/shortCode'
import type { Signed } from '@/db/people/sessions'
import { signUp } from '../support/accounts'
import { findBottle, portionsOf } from '@/db/bottles/read'
import { journal } from '@/db/ledger/journal'
import { takeOut } from '@/db/ledger'
import { undo } from '@/server/undo'
import { endPool } from '@/db/base/pool'
import { weightsTaken } from '@/db/bottles/stocktake'
import { withStudio } from '@/db/base/withStudio'
import {
  addWaterAction,
  dropWeightAction,
  editBottleAction,
  extendAction,
  findByCodeAction,
  mergeAction,
  nameLossAction,
  shakenAction,
  splitAction,
  stocktakeAction,
  takeWeightAction,
} from '@/stations/rack/actions'
import { besideBottle } from '@/stations/rack/queries'
import { toWeigh } from '@/stations/rack/stocktake/queries'
import { reclaimAction } from '@/stations/wall/actions'
import { makeStudio } from '../support/studio'
import { expectBalanced } from '../support/balance'

/** The sealed cookie is stood in for by whose token it holds; everything behind it is real. */
const holder: { token?: string } = {}
jest.mock('@/session/cookie', () => ({ tokenHere: async () => holder.token }))
jest.mock('next/cache', () => ({ revalidatePath: () => undefined }))
jest.mock('react', () => ({ ...jest.requireActual<object>('react'), cache: (work: unknown) => work }))

afterAll(endPool)

const as = (who: Signed) => {
  holder.token = who.token
}
const newStudio = async (name: string) => {
  const signed = await signUp({
    name,
    email: `${uuidv7()}@example.org`,
    password: 'a long pass phrase',
    studioName: name,
  })
  return { signed, room: await makeStudio(signed) }
}
async function rack() {
  const { signed, room } = await newStudio('Upper lock')
  as(signed)
  const [teal, flow, water] = [await room.paint('Teal'), await room.medium('Flow'), await room.water()]
  const bottle = (label: string) =>
    room.bottle(label, [
      { materialId: teal, ul: 30_000 },
      { materialId: flow, ul: 60_000 },
      { materialId: water, ul: 10_000 },
    ])
  const [a, b] = [await bottle('A'), await bottle('B')]
  const find = (id: string) => room.run((tx) => findBottle(tx, id))
  const massMg = async (id: string) =>
    (await room.run((tx) => portionsOf(tx, [id]))).reduce((s, p) => s + p.ul * p.densityGPerMl, 0)
  return { signed, room, teal, flow, water, a, b, bottle, find, massMg }
}
/** The other studio's hand on this one's bottles. */
const refused = (answer: Answer<unknown>) => expect(answer.ok).toBe(false)

describe('what is done to bottles', () => {
  it('brings one to a volume in its own ratio', async () => {
    const { room, a, find } = await rack()
    const request = { requestId: uuidv7(), vesselId: a, totalUl: 250_000 }
    expect(await extendAction(request)).toEqual({ ok: true, value: null })
    expect(await extendAction({ ...request, requestId: uuidv7() })).toMatchObject({
      ok: false,
      message: expect.stringMatching('holds that much already'),
    })
    const content = (await room.run((tx) => portionsOf(tx, [a]))).map((p) => p.ul)
    // Thirty, sixty and ten in a hundred, of 250.
    expect([...content].sort((x, y) => x - y)).toEqual([25_000, 75_000, 150_000])
    expect((await find(a)).movedAt).not.toBeNull()
    expect(await extendAction({ requestId: uuidv7(), vesselId: a })).toMatchObject({
      ok: false,
      message: 'Type how much it should hold then.',
    })
    await expectBalanced(room)
  })
  it('shares out, pours together and waters, each once however often it is sent', async () => {
    const { room, a, b, water, find } = await rack()
    const fresh = uuidv7()
    const split = {
      requestId: uuidv7(),
      vesselId: a,
      into: [{ vesselId: fresh, label: 'A 2', ul: 40_000, capacityUl: null, tareMg: null }],
    }
    await Promise.all([splitAction(split), splitAction(split)])
    expect([(await find(a)).ul, (await find(fresh)).ul]).toEqual([60_000, 40_000])
    const merge = { requestId: uuidv7(), intoId: fresh, fromIds: [a, b] }
    await Promise.all([mergeAction(merge), mergeAction(merge)])
    expect([(await find(fresh)).ul, (await find(a)).ul]).toEqual([200_000, 0])
    const add = { requestId: uuidv7(), vesselId: fresh, waterId: water, ul: 2_000 }
    await Promise.all([addWaterAction(add), addWaterAction(add)])
    expect((await find(fresh)).ul).toBe(202_000)
    expect(await splitAction({ ...split, requestId: uuidv7(), into: [] })).toMatchObject({
      ok: false,
      message: 'Say into how many bottles.',
    })
    expect(await mergeAction({ ...merge, requestId: uuidv7(), fromIds: [] })).toMatchObject({
      ok: false,
      field: 'fromIds',
    })
    expect(await addWaterAction({ ...add, requestId: uuidv7(), ul: 2e8 })).toMatchObject({
      ok: false,
      message: expect.stringMatching('Check the unit'),
    })
    await expectBalanced(room)
  })
  it('notes that it was shaken, and its palette and technique; another palette has another reference', async () => {
    const { room, a, find } = await rack()
    expect(await shakenAction({ vesselId: a })).toEqual({ ok: true, value: null })
    expect(Date.parse((await find(a)).movedAt!)).toBeGreaterThan(Date.now() - 60_000)
    const edit = (palette: string) =>
      editBottleAction({ vesselId: a, label: 'Night', role: 'swipe', palette, technique: 'swipe', notes: '' })
    await edit('Night')
    await room.run((tx) =>
      tx.q('update bottle set is_reference = true where studio_id = $1 and vessel_id = $2', [tx.studioId, a]),
    )
    await edit('Night')
    expect(await find(a)).toMatchObject({ label: 'Night', palette: 'Night', technique: 'swipe', isReference: true })
    await edit('Day')
    expect(await find(a)).toMatchObject({ palette: 'Day', isReference: false })
    expect(await shakenAction({ vesselId: uuidv7() })).toMatchObject({ ok: false, code: 'NotFound' })
  })
  it('finds it by its code, and tells a mistyped one from a missing one', async () => {
    const { a, find } = await rack()
    const { code } = await find(a)
    expect(await findByCodeAction({ code: shortCode(code).toLowerCase() })).toEqual({ ok: true, value: { id: a } })
    expect(await findByCodeAction({ code: `${code}-!` })).toMatchObject({
      ok: false,
      message: expect.stringMatching('mistyped'),
    })
    const free = code === '0000' ? '1111' : '0000'
    expect(await findByCodeAction({ code: shortCode(free) })).toMatchObject({
      ok: false,
      message: expect.stringMatching('No bottle of this studio'),
    })
    expect(await findByCodeAction({ code: ' ' })).toMatchObject({ ok: false, field: 'code' })
  })
  it('knows what stands beside it: waters, other bottles, and no pours yet', async () => {
    const { room, a, b } = await rack()
    const beside = await room.run((tx) => besideBottle(tx, a))
    expect(beside.waters.map((w) => w.name)).toContain('Distilled water')
    expect(beside.others).toEqual([{ id: b, label: 'B' }])
    expect(beside.fed).toEqual([])
  })
})

describe('a stocktake', () => {
  const answered = <T>(answer: Answer<T>) => {
    if (!answer.ok) throw new Error(answer.message)
    return answer.value
  }
  /** Puts a bottle on the scale, so much off what the books say. @returns the request id of its weight */
  async function weigh({ massMg }: Awaited<ReturnType<typeof rack>>, vesselId: string, off: number, tareMg = 30_000) {
    const requestId = uuidv7()
    answered(
      await takeWeightAction({
        requestId,
        vesselId,
        tareMg,
        grossMg: Math.round((await massMg(vesselId)) + tareMg + off),
      }),
    )
    return requestId
  }
  const taken = (room: Awaited<ReturnType<typeof rack>>['room']) => room.run(weightsTaken)
  const weighIns = async ({ room }: Awaited<ReturnType<typeof rack>>, id: string) =>
    (await room.run((tx) => journal(tx, id))).filter((e) => e.kind === 'weigh-in')

  it('books every difference as its own movement, and none where one cannot be', async () => {
    const at = await rack()
    const { room, a, b, find } = at
    const list = await room.run(toWeigh)
    expect(list.map((x) => [x.label, x.ul, x.tareMg])).toEqual([
      ['A', 100_000, 30_000],
      ['B', 100_000, 30_000],
    ])
    expect(list[0]!.content.filter((c) => c.isWater)).toHaveLength(1)
    const requestIds = [await weigh(at, b, -30_000), await weigh(at, a, -3_000)]
    // B lost more than its water and nobody says how: A is not booked either.
    expect(await stocktakeAction({ requestIds })).toMatchObject({ ok: false, field: 'named' })
    expect((await find(a)).ul).toBe(100_000)
    expect(await taken(room)).toHaveLength(2)
    answered(await nameLossAction({ vesselId: b, requestId: requestIds[0], named: 'spilled' }))
    const both = await Promise.all([stocktakeAction({ requestIds }), stocktakeAction({ requestIds })])
    expect(both.map((x) => x.ok)).toEqual([true, true])
    expect((await find(a)).ul).toBe(100_000 - Math.round(3_000 / 0.998))
    expect((await find(a)).evaporatedUl).toBe(Math.round(3_000 / 0.998))
    expect([await weighIns(at, a), await weighIns(at, b)].map((x) => x.length)).toEqual([1, 1])
    expect(await taken(room)).toEqual([])
    expect(await stocktakeAction({ requestIds: [] })).toMatchObject({
      ok: false,
      message: 'Weigh at least one bottle first.',
    })
    await expectBalanced(room)
  })
  it('keeps weights in the order they were taken, the last of each bottle, for every device', async () => {
    const at = await rack()
    const { room, a, b } = at
    const first = await weigh(at, a, 0)
    await weigh(at, b, -1_000)
    const second = await weigh(at, a, -2_000)
    const list = await taken(room)
    expect(list.map((w) => [w.vesselId, w.mine])).toEqual([
      [b, true],
      [a, true],
    ])
    expect(list[1]).toMatchObject({ requestId: second, named: null, tareMg: 30_000 })
    // Whoever still sees the first weight of A changes nothing of the second.
    refused(await nameLossAction({ vesselId: a, requestId: first, named: 'spilled' }))
    answered(await dropWeightAction({ vesselId: a, requestId: first }))
    answered(await stocktakeAction({ requestIds: [first] }))
    expect(await taken(room)).toHaveLength(2)
    answered(await dropWeightAction({ vesselId: a, requestId: second }))
    expect((await taken(room)).map((w) => w.vesselId)).toEqual([b])
    refused(await takeWeightAction({ requestId: uuidv7(), vesselId: uuidv7(), grossMg: 1, tareMg: 0 }))
    refused(await takeWeightAction({ requestId: uuidv7(), vesselId: a, grossMg: 2e8, tareMg: 0 }))
  })
  it('refuses a weight of a bottle that has changed since, and books it where that was undone', async () => {
    const at = await rack()
    const { room, a, b, find } = at
    const requestIds = [await weigh(at, a, -3_000), await weigh(at, b, -2_000)]
    const { movementId } = await room.run((tx) => takeOut(tx, { requestId: uuidv7(), vesselId: a, ul: 20_000 }))
    expect(await stocktakeAction({ requestIds })).toMatchObject({
      ok: false,
      code: 'Conflict',
      message: 'A has changed since it was weighed. Weigh it again.',
    })
    expect([(await find(a)).ul, (await find(b)).ul]).toEqual([80_000, 100_000])
    expect((await taken(room))[0]!.heldAs).not.toBe(
      contentKey((await room.run(toWeigh)).find((x) => x.id === a)!.content),
    )
    await room.run((tx) => undo(tx, { requestId: uuidv7(), movementId }))
    answered(await stocktakeAction({ requestIds }))
    expect((await find(a)).evaporatedUl).toBe(Math.round(3_000 / 0.998))
    await expectBalanced(room)
  })
  it('of a bottle that is as booked remembers what it weighs empty, and books nothing', async () => {
    const at = await rack()
    const { room, a, b, massMg } = at
    const requestId = await weigh(at, a, 150, 27_500)
    // By what is in it now, B would be as booked; but that is not what was weighed.
    const less = await weigh(at, b, -Math.round(0.2 * (await massMg(b))))
    await room.run((tx) => takeOut(tx, { requestId: uuidv7(), vesselId: b, ul: 20_000 }))
    expect(await stocktakeAction({ requestIds: [less] })).toMatchObject({ ok: false, code: 'Conflict' })
    answered(await stocktakeAction({ requestIds: [requestId] }))
    expect((await room.run(toWeigh)).find((x) => x.id === a)).toMatchObject({ tareMg: 27_500, ul: 100_000 })
    expect([await weighIns(at, a), await weighIns(at, b)]).toEqual([[], []])
    expect((await taken(room)).map((w) => w.vesselId)).toEqual([b])
  })
})

describe('another studio', () => {
  it('cannot touch a bottle, whatever it tries, and nothing of it changes', async () => {
    const { room, a, b, water } = await rack()
    const before = await room.content(a)
    const { signed: stranger, room: theirs } = await newStudio('Lower lock')
    as(stranger)
    const own = await theirs.bottle('Own', [{ materialId: await theirs.paint('Red'), ul: 10_000 }])
    const r = () => ({ requestId: uuidv7() })
    refused(await extendAction({ ...r(), vesselId: a, totalUl: 250_000 }))
    refused(
      await splitAction({
        ...r(),
        vesselId: a,
        into: [{ vesselId: uuidv7(), label: 'X', ul: 1_000, capacityUl: null, tareMg: null }],
      }),
    )
    refused(await mergeAction({ ...r(), intoId: own, fromIds: [a] }))
    refused(await mergeAction({ ...r(), intoId: a, fromIds: [own] }))
    refused(await addWaterAction({ ...r(), vesselId: a, waterId: await theirs.water(), ul: 1_000 }))
    refused(await addWaterAction({ ...r(), vesselId: own, waterId: water, ul: 1_000 }))
    refused(await shakenAction({ vesselId: b }))
    refused(
      await editBottleAction({ vesselId: a, label: 'Mine', role: 'pour', palette: '', technique: null, notes: '' }),
    )
    refused(await takeWeightAction({ ...r(), vesselId: a, grossMg: 1, tareMg: 0 }))
    refused(
      await reclaimAction({
        ...r(),
        pourId: a,
        jarId: uuidv7(),
        newJar: { label: 'J', capacityUl: null, tareMg: null },
        netMg: 1_000,
      }),
    )
    const { code } = await room.run((tx) => findBottle(tx, a))
    refused(await findByCodeAction({ code: shortCode(code) }))
    expect(await room.content(a)).toEqual(before)
    expect(await theirs.holds(own)).toBe(10_000)
    expect(await withStudio(stranger, toWeigh)).toHaveLength(1)
  })
})
