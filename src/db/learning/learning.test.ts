import { v7 as uuidv7 } from 'uuid'
import { traceFault } from '@/core/learning/faultCause'
import { factorsOf } from '@/core/learning/factors'
import { SHIPPED } from '@/core/technique/techniques'
import { endPool } from '@/db/base/pool'
import { noteReading } from '@/db/bottles/readings'
import { discard, finishContainer, takeOut } from '@/db/ledger'
import { weighInBottle } from '@/db/mixes'
import { pourPlan } from '@/db/pieces/pour'
import { noteLook } from '@/db/pieces/write'
import { savePlan } from '@/db/plans/write'
import { undo } from '@/server/undo'
import { planInput } from '../../../tests/support/plans'
import { makeStudio } from '../../../tests/support/studio'
import { pieceCosts } from './costs'
import { paintGoes } from './paintGoes'
import { pouredFacts } from './pieces'
import { ratiosCame } from './ratios'

afterAll(endPool)

/** A studio that pours two bottles, of which the black craters; counted and uncounted containers. */
async function poured(pieces: number) {
  const studio = await makeStudio()
  const black = await studio.paint('Soot', { hex: '#101010', priceMinor: 500, sizeUl: 100_000 })
  const teal = await studio.paint('Teal', { hex: '#136a78', priceMinor: null })
  const flow = await studio.medium('Flow', { priceMinor: 1000, sizeUl: 1_000_000 })
  const tube = await studio.container(black, 500_000, 2500)
  const one = await studio.bottle('Black 1', [
    { materialId: black, ul: 200_000 },
    { materialId: flow, ul: 400_000 },
  ])
  const two = await studio.bottle('Teal 1', [
    { materialId: teal, ul: 200_000 },
    { materialId: flow, ul: 410_000 },
  ])
  const ids: string[] = []
  for (let i = 0; i < pieces; i++) {
    const bottles = i % 2 ? [two] : [one, two]
    const plan = planInput([bottles[0]!, bottles[1] ?? two], {
      title: `Piece ${i}`,
      design: { school: { kind: 'own', ul: 16_000 } },
    })
    await studio.run((tx) => savePlan(tx, plan))
    const pieceId = uuidv7()
    ids.push(pieceId)
    await studio.run((tx) =>
      pourPlan(
        tx,
        {
          requestId: uuidv7(),
          planId: plan.id,
          pieceId,
          vesselId: uuidv7(),
          takes: bottles.map((vesselId) => ({ vesselId, ul: 8_000 })),
        },
        new Date(Date.now() - (pieces - i) * 86_400_000),
      ),
    )
    await studio.run((tx) =>
      noteLook(
        tx,
        {
          pieceId,
          moment: 'dry',
          revision: 0,
          words: '',
          rating: i % 2 ? 4 : 2,
          weak: [],
          best: null,
          faults: i % 2 ? [] : [{ fault: 'craters', spots: ['middle'], much: 2 }],
        },
        null,
      ),
    )
  }
  return { studio, black, teal, flow, one, two, tube, ids }
}

describe('what is learned from, out of the books', () => {
  it('knows of each piece its materials, lots, water, faults and rating', async () => {
    const { studio, black, flow, tube, ids } = await poured(4)
    const facts = await studio.run((tx) => pouredFacts(tx, SHIPPED))
    expect(facts.map((f) => f.id)).toEqual([...ids].reverse())
    const first = facts.find((f) => f.id === ids[0])!
    expect(first).toMatchObject({ rating: 2, faults: ['craters'], isLookedAt: true, pouredUl: 16_000, cupShare: 1 })
    expect(first.materials.reduce((s, m) => s + m.share, 0)).toBeCloseTo(1, 9)
    expect(first.materials.find((m) => m.id === black)!.share).toBeCloseTo(1 / 6, 3)
    expect(first.lots.map((l) => l.id)).toEqual([tube.lotId])
    expect(facts.find((f) => f.id === ids[1])!.materials.some((m) => m.id === black)).toBe(false)
    expect(first.materials[0]!.id).toBe(flow)
  })
  it('takes consistency from the last reading before a pour where no run says it, by what each bottle gave', async () => {
    const { studio, one, two, ids } = await poured(10)
    const levels = async () => {
      const facts = await studio.run((tx) => pouredFacts(tx, SHIPPED))
      return ids.map((id) => facts.find((f) => f.id === id)!.levelTimeS)
    }
    expect(await levels()).toEqual(ids.map(() => null))
    const day = 86_400_000
    const read = (vesselId: string, levelTimeS: number, daysAgo: number) =>
      studio.run((tx) =>
        noteReading(
          tx,
          vesselId,
          [{ requestId: uuidv7(), w: 0, levelTimeS, sigma: 0.1, tries: [], how: 'stopwatch' }],
          new Date(Date.now() - daysAgo * day),
        ),
      )
    // Pieces were poured 10, 9 … 1 days ago, the even ones from both bottles alike.
    await read(one, 2, 9.5)
    await read(two, 4, 8.5)
    await read(two, 6, 4.5)
    // A reading after the last pour tells of none of them.
    await read(one, 9, 0.5)
    expect((await levels()).map((s) => s && Math.round(s * 1000) / 1000)).toEqual([
      null, // both, 10 days ago: nothing read yet
      null, // two alone, 9 days ago
      3, // both, 8 days ago: 2 and 4
      4,
      3,
      4, // 5 days ago
      4, // both, 4 days ago: 2 and 6
      6,
      // Both, 2 days ago: what was read of the one is more than a week old.
      6,
      6,
    ])
  })
  it('traces craters to the black, and to the tube and bottle that always went with it together', async () => {
    const { studio, black, tube } = await poured(16)
    const facts = await studio.run((tx) => pouredFacts(tx, SHIPPED))
    const { factors, traced } = factorsOf(
      facts,
      'craters',
      () => undefined,
      (t) => t,
    )
    const [cause] = traceFault(traced, factors).causes
    expect(cause!.keys).toEqual(expect.arrayContaining([`material ${black}`, `lot ${tube.lotId}`]))
    expect(cause!.probability).toBeGreaterThan(0.6)
  })
  it('another studio has nothing to learn from', async () => {
    await poured(2)
    const other = await makeStudio()
    expect(await other.run((tx) => pouredFacts(tx, SHIPPED))).toEqual([])
    expect(await other.run(ratiosCame)).toEqual([])
    expect(await other.run(pieceCosts)).toEqual([])
    expect(await other.run(paintGoes)).toEqual([])
  })
})

describe('where the paint goes', () => {
  it('sums to what came in, material by material and line by line, and an undo puts it back', async () => {
    const { studio, one, two, black } = await poured(6)
    await studio.run((tx) => takeOut(tx, { requestId: uuidv7(), vesselId: two, ul: 5_000, note: '' }))
    const thrown = await studio.run((tx) =>
      discard(tx, { requestId: uuidv7(), vesselId: one, ul: 20_000, weigh: null, note: '' } as never),
    )
    const check = async () => {
      const goes = await studio.run(paintGoes)
      // Straight from the lines, without any of the query's own words.
      const bare = await studio.run((tx) =>
        tx.q<{ id: string; ul: number }>(
          `select lot.material_id as id, sum(case when l.from_vessel_id is null then l.ul when l.to_vessel_id is null then -l.ul else 0 end)::bigint as ul
           from movement_line l join lot on lot.studio_id = l.studio_id and lot.id = l.lot_id where l.studio_id = $1 group by 1`,
          [tx.studioId],
        ),
      )
      for (const { id, ul } of bare) {
        const m = goes.find((g) => g.id === id)!
        expect(Object.values(m.places).reduce((s, x) => s + x, 0)).toBe(ul)
        expect(m.boughtUl + m.foundUl).toBe(ul)
      }
      return goes.find((g) => g.id === black)!
    }
    const before = await check()
    // 8 ml of it thrice, to the microlitre: what cannot be split evenly goes to the larger part.
    expect(Math.abs(before.places['on pieces']! - 8_000)).toBeLessThanOrEqual(3)
    expect(before.places['thrown away']).toBeGreaterThan(6_000)
    expect(before.places['in stock']).toBe(300_000)
    await studio.run((tx) => undo(tx, { requestId: uuidv7(), movementId: thrown.movementId }))
    expect((await check()).places['thrown away']).toBeUndefined()
  })
  it('tells what was spilled from what stuck to walls, and what stays in an empty tube from what is in stock', async () => {
    const studio = await makeStudio()
    const teal = await studio.paint('Teal')
    const tube = await studio.container(teal, 60_000)
    const bottle = await studio.bottle('B', [{ materialId: teal, ul: 40_000 }])
    const weigh = (ul: number, named: 'spilled' | 'residue') =>
      studio.run((tx) =>
        weighInBottle(tx, { requestId: uuidv7(), vesselId: bottle, grossMg: ul * 1.2, tareMg: 0, named }),
      )
    const spilled = await weigh(35_000, 'spilled')
    const spill = await studio.run(paintGoes)
    expect(spill[0]!.places).toEqual({ 'in stock': 20_000, 'in bottles': 35_000, spilled: 5_000 })
    await studio.run((tx) => undo(tx, { requestId: uuidv7(), movementId: spilled.movementId }))
    await weigh(38_000, 'residue')
    await studio.run((tx) => finishContainer(tx, { requestId: uuidv7(), vesselId: tube.vesselId, residueUl: 3_000 }))
    expect((await studio.run(paintGoes))[0]!.places).toEqual({
      'left in empty containers': 3_000,
      'taken out': 17_000,
      'in bottles': 38_000,
      'stuck to walls': 2_000,
    })
  })
  it('tells what was bought from what a pour found beyond the books', async () => {
    const { studio, one, black } = await poured(1)
    const plan = planInput([one, one], { title: 'Too much', design: { school: { kind: 'own', ul: 16_000 } } })
    await studio.run((tx) => savePlan(tx, plan))
    const held = (await studio.content(one)).reduce((s, c) => s + c.ul, 0)
    const input = { requestId: uuidv7(), planId: plan.id, pieceId: uuidv7(), vesselId: uuidv7(), findRest: true }
    await studio.run((tx) => pourPlan(tx, { ...input, takes: [{ vesselId: one, ul: held + 30_000 }] }, new Date()))
    const goes = (await studio.run(paintGoes)).find((g) => g.id === black)!
    expect(goes.boughtUl).toBe(500_000)
    expect(Math.abs(goes.foundUl - 10_000)).toBeLessThanOrEqual(2)
    expect(Object.values(goes.places).reduce((s, x) => s + x, 0)).toBe(goes.boughtUl + goes.foundUl)
  })
})

describe('ratios and costs', () => {
  it('tells what a mix is called from what went in', async () => {
    const { studio, two } = await poured(1)
    const ratios = await studio.run(ratiosCame)
    const teal = ratios.find((r) => r.id === two)!
    expect(teal.cameMedium).toBeCloseTo(2.05, 6)
    expect(teal.cameWater).toBe(0)
  })
  it('costs the paint that is on it at the prices paid', async () => {
    const { studio, ids } = await poured(1)
    const [cost] = await studio.run(pieceCosts)
    expect(cost!.id).toBe(ids[0])
    // 8 ml of black mix: a third paint at 5 a ml… 2500 ÷ 500 ml; two thirds medium at 1 a ml. The teal has no price.
    expect(cost!.paintMinor).toBeCloseTo((8 / 3) * 5 + (16 / 3) * 1 + 8 * (410 / 610) * 1, 0)
    expect(cost!.unpricedUl).toBeGreaterThan(2_000)
    expect(cost!.wasteMinor).toBe(0)
  })
})
