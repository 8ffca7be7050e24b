import { v7 as uuidv7 } from 'uuid'
import { START_BELIEFS } from '@/core/consistency/dilution'
import { makeStudio } from '../../../tests/support/studio'
import { beliefFor, beliefsOf, curveKeys, learnedOf, loggedTitrations } from './consistency'
import { findBottle } from './read'
import { noteReading, readBothWays, readBottle } from './readings'
import { waterBottle } from '@/db/mixes'
import { pourTogether } from './edit'
import { endPool } from '@/db/base/pool'

afterAll(endPool)

async function mixed() {
  const studio = await makeStudio()
  const [teal, flow, water] = [await studio.paint('Teal'), await studio.medium('Flow'), await studio.water()]
  const bottle = (label: string) =>
    studio.bottle(label, [
      { materialId: teal, ul: 40_000 },
      { materialId: flow, ul: 80_000 },
    ])
  const id = await bottle('Teal 1')
  const read = (vesselId: string, levelTimeS: number, more: object = {}, at?: Date) =>
    studio.run((tx) =>
      readBottle(
        tx,
        { requestId: uuidv7(), vesselId, levelTimeS, sigma: 0.08, tries: [levelTimeS], how: 'stopwatch', ...more },
        at,
      ),
    )
  const add = (vesselId: string, ul: number) =>
    studio.run((tx) => waterBottle(tx, { requestId: uuidv7(), vesselId, waterId: water, ul }))
  const belief = async (vesselId: string, now = new Date()) => {
    const b = await studio.run((tx) => findBottle(tx, vesselId))
    return (await studio.run(async (tx) => beliefsOf(tx, [b], await learnedOf(tx), now))).get(vesselId)!
  }
  return { studio, teal, flow, id, bottle, read, add, belief }
}

describe('readings of bottles', () => {
  it('are noted once a request, and a request sent again with another time is refused', async () => {
    const { id, read, studio } = await mixed()
    const requestId = uuidv7()
    await read(id, 2.1, { requestId })
    await read(id, 2.1, { requestId })
    await expect(read(id, 4.2, { requestId })).rejects.toMatchObject({ code: 'Conflict' })
    expect((await studio.run((tx) => findBottle(tx, id))).levelTimeS).toBe(2.1)
  })
  it('are kept with the water they were taken at, and the bottle knows its last', async () => {
    const { studio, teal, flow, id, read, add } = await mixed()
    await read(id, 4)
    await add(id, 6_000)
    await read(id, 2.4)
    const [log] = await studio.run(loggedTitrations)
    expect(log).toMatchObject({ vesselId: id, paintId: teal, mediumId: flow, body: 'soft', ratio: 2 })
    expect(log!.points.map((p) => [p.w, Math.exp(p.lnT)].map((x) => Math.round(1000 * x) / 1000))).toEqual([
      [0, 4],
      [0.05, 2.4],
    ])
    const bottle = await studio.run((tx) => findBottle(tx, id))
    expect(bottle.levelTimeS).toBeCloseTo(2.4, 5)
    expect(bottle.readW).toBeCloseTo(0.05, 6)
    // ln 4/2.4 over 0.05: 10.2; between that and the start value.
    expect(bottle.curveB).toBeGreaterThan(9)
    expect(bottle.curveB).toBeLessThan(12)
  })
  it('lie on one curve by all the water in a mix, the recipe’s own included', async () => {
    const { studio, teal, flow, id, belief } = await mixed()
    const water = await studio.water()
    const wet = (label: string) =>
      studio.bottle(label, [
        { materialId: teal, ul: 40_000 },
        { materialId: flow, ul: 80_000 },
        { materialId: water, ul: 40_000 },
      ])
    const w = async (vesselId: string) => (await studio.run((tx) => findBottle(tx, vesselId))).w
    const three = [await wet('a'), await wet('b'), await wet('c')]
    expect(await w(id)).toBe(0)
    expect(await w(three[0]!)).toBeCloseTo(1 / 3, 6)
    // 1 : 2 and 1 : 2 : 1 are not expected to be alike.
    const expected = async (vesselId: string) => {
      const k = await belief(vesselId)
      return Math.exp(k.belief.a - k.belief.b * k.w)
    }
    const [dry, thin] = [await expected(id), await expected(three[0]!)]
    expect(thin).toBeLessThan(dry / 10)
    // Watered mixes that are thin teach nothing bad of one without water.
    for (const vesselId of three)
      await studio.run((tx) =>
        readBottle(tx, { requestId: uuidv7(), vesselId, levelTimeS: 0.3, sigma: 0.3, tries: [0.3], how: 'stopwatch' }),
      )
    expect(await expected(id)).toBeGreaterThan(dry / 1.5)
    expect((await studio.run(loggedTitrations))[0]!.points[0]!.w).toBeCloseTo(1 / 3, 6)
  })
  it('are written once per request, and another time under the same id is refused', async () => {
    const { studio, id } = await mixed()
    const input = {
      requestId: uuidv7(),
      vesselId: id,
      levelTimeS: 3,
      sigma: 0.1,
      tries: [3],
      how: 'stopwatch' as const,
    }
    await Promise.all([1, 2, 3].map(() => studio.run((tx) => readBottle(tx, input))))
    expect((await studio.run(loggedTitrations))[0]!.points).toHaveLength(1)
    await expect(studio.run((tx) => readBottle(tx, { ...input, levelTimeS: 2 }))).rejects.toMatchObject({
      code: 'Conflict',
    })
    await studio.run((tx) => noteReading(tx, id, [{ ...input, w: 0 }]))
    expect((await studio.run(loggedTitrations))[0]!.points).toHaveLength(1)
  })
  it('taken again after weeks teach how mixes thicken by standing, and do not bend the curve', async () => {
    const { studio, id, bottle, read, belief } = await mixed()
    const day = (n: number) => new Date(Date.now() - n * 86_400_000)
    const twin = await bottle('Twin')
    for (const b of [id, twin]) {
      await read(b, 3, {}, day(60))
      await read(b, 3 * Math.exp(0.3), {}, day(30))
    }
    // A hundredth a day was seen twice; the start value of a quarter of that still counts.
    const { ageing, fresh } = await studio.run(learnedOf)
    expect(ageing.perDay).toBeGreaterThan(0.006)
    expect(ageing.perDay).toBeLessThan(0.01)
    // More than half of the rise of 0.3 is taken out of the late reading.
    for (const p of fresh[0]!.points) expect(Math.abs(p.lnT - Math.log(3))).toBeLessThan(0.15)
    expect((await studio.run((tx) => findBottle(tx, twin))).thickens).toBeCloseTo(ageing.perDay, 6)
    const [then, now] = [await belief(id, day(30)), await belief(id)]
    expect(now.belief.a - then.belief.a).toBeCloseTo(30 * ageing.perDay, 6)
    expect(now.belief.varA).toBeGreaterThan(then.belief.varA)
    expect(now.points.map((p) => Math.round(p.days))).toEqual([60, 60])
  })
  it('teach the curve of their paint and medium to the next bottle of it', async () => {
    const { studio, teal, flow, bottle, read, add, belief } = await mixed()
    for (let n = 0; n < 3; n++) {
      const id = await bottle(`T${n}`)
      await read(id, 6)
      await add(id, 6_000)
      await read(id, 2)
    }
    const fresh = await bottle('Fresh')
    const known = await belief(fresh)
    // ln 3 over 0.05 is 22: far from the start value of 11.
    expect(known.belief.b).toBeGreaterThan(14)
    expect(known.points).toEqual([])
    expect(known.key).toEqual({ paintId: teal, mediumId: flow, body: 'soft', ratio: 2 })
    const foreign = await studio.run((tx) =>
      beliefFor(tx, { paintId: uuidv7(), mediumId: flow, body: 'heavy', ratio: 3 }),
    )
    expect(foreign.b).toBeCloseTo(START_BELIEFS.heavy.b, 9)
  })
  it('begin anew when bottles are poured together', async () => {
    const { studio, id, bottle, read } = await mixed()
    const other = await bottle('Other')
    await read(id, 4)
    await studio.run((tx) => pourTogether(tx, { requestId: uuidv7(), intoId: id, fromIds: [other], restHours: 1 }))
    await read(id, 2)
    const logs = await studio.run(loggedTitrations)
    expect(logs.map((l) => [l.vesselId, l.points.length])).toEqual([
      [id, 1],
      [null, 1],
    ])
  })
  it('are not of an empty bottle, nor of one that is not there', async () => {
    const { studio, read } = await mixed()
    await expect(read(uuidv7(), 2)).rejects.toMatchObject({ code: 'NotFound' })
    expect((await studio.run((tx) => curveKeys(tx, [uuidv7()]))).size).toBe(0)
  })
  it('by a flow cup and by the mound of one mix make a pair', async () => {
    const { studio, id, read } = await mixed()
    await read(id, 2)
    await read(id, 2.2, { how: 'flow cup', nu: 250 })
    expect(await studio.run(readBothWays)).toEqual([{ levelTimeS: 2, nu: 250, runMm: null }])
    await read(id, 0.4, { how: 'run', runMm: 60 })
    expect(await studio.run(readBothWays)).toContainEqual({ levelTimeS: 2, nu: null, runMm: 60 })
  })
})
