import { v7 as uuidv7 } from 'uuid'
import type { Answer } from '@/core/answer'
import { shortCode } from '@/core/vessel/shortCode'
import { signUp, type Signed } from '@/db/accounts'
import { findBottle, portionsOf } from '@/db/bottles'
import { journal } from '@/db/journal'
import { endPool } from '@/db/pool'
import { withStudio } from '@/db/withStudio'
import {
  addWaterAction,
  editBottleAction,
  extendAction,
  findByCodeAction,
  mergeAction,
  shakenAction,
  splitAction,
  stocktakeAction,
} from '@/stations/rack/actions'
import { besideBottle } from '@/stations/rack/queries'
import { toWeigh } from '@/stations/rack/stocktake/queries'
import { reclaimAction } from '@/stations/wall/actions'
import { makeStudio } from '../support/studio'
import { expectBalanced } from '../support/balance'

/** The sealed cookie is stood in for by whose token it holds; everything behind it is real. */
const holder: { token?: string } = {}
jest.mock('@/session/cookie', () => ({ sessionCookie: async () => holder }))
jest.mock('next/cache', () => ({ revalidatePath: () => undefined }))
jest.mock('react', () => ({ ...jest.requireActual<object>('react'), cache: (work: unknown) => work }))

afterAll(endPool)

const as = (who: Signed) => {
  holder.token = who.token
}
const newStudio = async (name: string) => {
  const signed = await signUp({ name, email: `${uuidv7()}@example.org`, password: 'a long pass phrase', studioName: name }) // prettier-ignore
  return { signed, room: await makeStudio(signed) }
}
async function rack() {
  const { signed, room } = await newStudio('Upper lock')
  as(signed)
  const [teal, flow, water] = [await room.paint('Teal'), await room.medium('Flow'), await room.water()]
  const bottle = (label: string) => room.bottle(label, [{ materialId: teal, ul: 30_000 }, { materialId: flow, ul: 60_000 }, { materialId: water, ul: 10_000 }]) // prettier-ignore
  const [a, b] = [await bottle('A'), await bottle('B')]
  const find = (id: string) => room.run((tx) => findBottle(tx, id))
  const massMg = async (id: string) => (await room.run((tx) => portionsOf(tx, [id]))).reduce((s, p) => s + p.ul * p.densityGPerMl, 0) // prettier-ignore
  return { signed, room, teal, flow, water, a, b, bottle, find, massMg }
}
/** The other studio's hand on this one's bottles. */
const refused = (answer: Answer<unknown>) => expect(answer.ok).toBe(false)

describe('what is done to bottles', () => {
  it('brings one to a volume in its own ratio', async () => {
    const { room, a, find } = await rack()
    const request = { requestId: uuidv7(), vesselId: a, totalUl: 250_000 }
    expect(await extendAction(request)).toEqual({ ok: true, value: null })
    expect(await extendAction({ ...request, requestId: uuidv7() })).toMatchObject({ ok: false, message: expect.stringMatching('holds that much already') }) // prettier-ignore
    const content = (await room.run((tx) => portionsOf(tx, [a]))).map((p) => p.ul)
    // Thirty, sixty and ten in a hundred, of 250.
    expect([...content].sort((x, y) => x - y)).toEqual([25_000, 75_000, 150_000])
    expect((await find(a)).movedAt).not.toBeNull()
    expect(await extendAction({ requestId: uuidv7(), vesselId: a })).toMatchObject({ ok: false, message: 'Type how much it should hold then.' }) // prettier-ignore
    await expectBalanced(room)
  })
  it('shares out, pours together and waters, each once however often it is sent', async () => {
    const { room, a, b, water, find } = await rack()
    const fresh = uuidv7()
    const split = { requestId: uuidv7(), vesselId: a, into: [{ vesselId: fresh, label: 'A 2', ul: 40_000, capacityUl: null, tareMg: null }] } // prettier-ignore
    await Promise.all([splitAction(split), splitAction(split)])
    expect([(await find(a)).ul, (await find(fresh)).ul]).toEqual([60_000, 40_000])
    const merge = { requestId: uuidv7(), intoId: fresh, fromIds: [a, b] }
    await Promise.all([mergeAction(merge), mergeAction(merge)])
    expect([(await find(fresh)).ul, (await find(a)).ul]).toEqual([200_000, 0])
    const add = { requestId: uuidv7(), vesselId: fresh, waterId: water, ul: 2_000 }
    await Promise.all([addWaterAction(add), addWaterAction(add)])
    expect((await find(fresh)).ul).toBe(202_000)
    expect(await splitAction({ ...split, requestId: uuidv7(), into: [] })).toMatchObject({ ok: false, message: 'Say into how many bottles.' }) // prettier-ignore
    expect(await mergeAction({ ...merge, requestId: uuidv7(), fromIds: [] })).toMatchObject({
      ok: false,
      field: 'fromIds',
    })
    expect(await addWaterAction({ ...add, requestId: uuidv7(), ul: 2e8 })).toMatchObject({ ok: false, message: expect.stringMatching('Check the unit') }) // prettier-ignore
    await expectBalanced(room)
  })
  it('notes that it was shaken, and its palette and technique; another palette has another reference', async () => {
    const { room, a, find } = await rack()
    expect(await shakenAction({ vesselId: a })).toEqual({ ok: true, value: null })
    expect(Date.parse((await find(a)).movedAt!)).toBeGreaterThan(Date.now() - 60_000)
    const edit = (palette: string) => editBottleAction({ vesselId: a, label: 'Night', role: 'swipe', palette, technique: 'swipe', notes: '' }) // prettier-ignore
    await edit('Night')
    await room.run((tx) => tx.q('update bottle set is_reference = true where studio_id = $1 and vessel_id = $2', [tx.studioId, a])) // prettier-ignore
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
    expect(await findByCodeAction({ code: `${code}-!` })).toMatchObject({ ok: false, message: expect.stringMatching('mistyped') }) // prettier-ignore
    const free = code === '0000' ? '1111' : '0000'
    expect(await findByCodeAction({ code: shortCode(free) })).toMatchObject({ ok: false, message: expect.stringMatching('No bottle of this studio') }) // prettier-ignore
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
  it('books every difference as its own movement, and none where one cannot be', async () => {
    const { room, a, b, find, massMg } = await rack()
    const list = await room.run(toWeigh)
    expect(list.map((x) => [x.label, x.ul, x.tareMg])).toEqual([
      ['A', 100_000, 30_000],
      ['B', 100_000, 30_000],
    ])
    expect(list[0]!.content.filter((c) => c.isWater)).toHaveLength(1)
    const gross = Math.round((await massMg(a)) + 30_000)
    const line = (vesselId: string, change: number, more: object = {}) => ({ requestId: uuidv7(), vesselId, grossMg: gross + change, tareMg: 30_000, ...more }) // prettier-ignore
    // B lost more than its water and nobody says how: A is not booked either.
    const unclear = await stocktakeAction({ lines: [line(a, -3_000), line(b, -30_000)] })
    expect(unclear).toMatchObject({ ok: false, field: 'named' })
    expect((await find(a)).ul).toBe(100_000)
    const lines = [line(b, -30_000, { named: 'spilled' }), line(a, -3_000)]
    await Promise.all([stocktakeAction({ lines }), stocktakeAction({ lines })])
    expect((await find(a)).ul).toBe(100_000 - Math.round(3_000 / 0.998))
    expect((await find(a)).evaporatedUl).toBe(Math.round(3_000 / 0.998))
    expect((await room.run((tx) => journal(tx, a))).filter((e) => e.kind === 'weigh-in')).toHaveLength(1)
    expect((await room.run((tx) => journal(tx, b))).filter((e) => e.kind === 'weigh-in')).toHaveLength(1)
    expect(await stocktakeAction({ lines: [] })).toMatchObject({
      ok: false,
      message: 'Weigh at least one bottle first.',
    })
    await expectBalanced(room)
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
    refused(await splitAction({ ...r(), vesselId: a, into: [{ vesselId: uuidv7(), label: 'X', ul: 1_000, capacityUl: null, tareMg: null }] })) // prettier-ignore
    refused(await mergeAction({ ...r(), intoId: own, fromIds: [a] }))
    refused(await mergeAction({ ...r(), intoId: a, fromIds: [own] }))
    refused(await addWaterAction({ ...r(), vesselId: a, waterId: await theirs.water(), ul: 1_000 }))
    refused(await addWaterAction({ ...r(), vesselId: own, waterId: water, ul: 1_000 }))
    refused(await shakenAction({ vesselId: b }))
    refused(
      await editBottleAction({ vesselId: a, label: 'Mine', role: 'pour', palette: '', technique: null, notes: '' }),
    )
    refused(await stocktakeAction({ lines: [{ ...r(), vesselId: a, grossMg: 1, tareMg: 0, named: 'spilled' }] }))
    refused(await reclaimAction({ ...r(), pourId: a, jarId: uuidv7(), newJar: { label: 'J', capacityUl: null, tareMg: null }, netMg: 1_000 })) // prettier-ignore
    const { code } = await room.run((tx) => findBottle(tx, a))
    refused(await findByCodeAction({ code: shortCode(code) }))
    expect(await room.content(a)).toEqual(before)
    expect(await theirs.holds(own)).toBe(10_000)
    expect(await withStudio(stranger, toWeigh)).toHaveLength(1)
  })
})
