import { v7 as uuidv7 } from 'uuid'
import { expectBalanced } from '../../../tests/support/balance'
import { makeStudio } from '../../../tests/support/studio'
import { endPool } from '@/db/base/pool'
import { findBottle } from '@/db/bottles/read'
import { stateSchema } from '@/db/formulas/batchSchema'
import { saveBatch } from '@/db/formulas/batches'
import { contentByMaterial } from '@/db/mixes'
import { undo } from '@/server/undo'
import { batchBottles, bookBatch } from './batch'
import { bookBatchSchema } from './bookBatchSchema'

afterAll(endPool)

/** 400 ml of paint at 3 : 1, twice as much medium, a tenth of water, 20 ml of sample in 40 ml of medium; two litres to stand in. */
async function begun(more: Record<string, unknown> = {}) {
  const studio = await makeStudio()
  const [teal, plum, flow] = [await studio.paint('Teal'), await studio.paint('Plum'), await studio.medium('Flow')]
  const water = await studio.water()
  const batchId = uuidv7()
  const formulaId = await studio.formula('Sea', [
    { paintId: teal, parts: 3 },
    { paintId: plum, parts: 1 },
  ])
  const state = stateSchema.cast({
    paintUl: 400_000,
    containers: 2,
    sizeUl: 1_000_000,
    samplePaintUl: 20_000,
    sampleMediumUl: 40_000,
    keptHex: '#136a78',
    ...more,
  })
  await studio.run((tx) =>
    saveBatch(tx, {
      id: batchId,
      revision: 0,
      title: 'Nine panels',
      formulaId,
      formulaVersion: 1,
      state,
      finished: true,
    }),
  )
  const input = (more: Record<string, unknown> = {}) =>
    bookBatchSchema.cast({ requestId: uuidv7(), batchId, mediumId: flow, waterId: water, restHours: 12, ...more })
  const book = (i: ReturnType<typeof input>) => studio.run((tx) => bookBatch(tx, i))
  const holds = async (id: string) =>
    Object.fromEntries(
      (await studio.run((tx) => contentByMaterial(tx, id))).map((c) => [c.kind === 'water' ? 'water' : c.name, c.ul]),
    )
  const onRack = () => studio.run((tx) => batchBottles(tx, batchId))
  return { ...studio, studio, teal, flow, formulaId, input, book, holds, onRack }
}

describe('a large batch put on the rack', () => {
  it('fills every container with its paints, medium, water and share of the sample', async () => {
    const { run, input, book, holds, onRack, formulaId, studio } = await begun()
    const ids = await book(input())
    expect(ids).toHaveLength(2)
    for (const id of ids) expect(await holds(id)).toEqual({ Teal: 150_000, Plum: 50_000, Flow: 400_000, water: 20_000 })
    expect(await run((tx) => findBottle(tx, ids[1]!))).toMatchObject({
      label: 'Nine panels 2',
      capacityUl: 1_000_000,
      ul: 620_000,
      recipe: { paintParts: 1, mediums: [{ name: 'Flow', parts: 2 }], water: { parts: 0.1 } },
    })
    // Water ÷ the rest, from the ledger.
    expect((await run((tx) => findBottle(tx, ids[0]!))).w).toBeCloseTo(20 / 600, 6)
    const [row] = await run((tx) =>
      tx.q<{ n: number }>('select count(*)::int as n from bottle where studio_id = $1 and formula_id = $2', [
        tx.studioId,
        formulaId,
      ]),
    )
    expect(row!.n).toBe(2)
    expect((await onRack()).map((b) => b.ul)).toEqual([620_000, 620_000])
    await expectBalanced(studio)
  })
  it('takes the sample out of the bottle it was poured from, and from the drawer only the rest', async () => {
    const { bottle, teal, flow, input, book, holds, studio } = await begun()
    const sample = await bottle('Sample', [
      { materialId: teal, ul: 30_000 },
      { materialId: flow, ul: 60_000 },
    ])
    const [one] = await book(input({ sampleFrom: sample }))
    // 190 ml of paint at 3 : 1, and 30 of the 90 ml of the sample: a third of it teal.
    expect(await holds(one!)).toEqual({ Teal: 152_500, Plum: 47_500, Flow: 400_000, water: 20_000 })
    expect(await holds(sample)).toEqual({ Teal: 10_000, Flow: 20_000 })
    await expectBalanced(studio)
  })
  it('counts once: sent again, and on another device at the same time', async () => {
    const { input, book, onRack } = await begun()
    const same = input()
    expect(await book(same)).toEqual(await book(same))
    await expect(book(input())).rejects.toMatchObject({ code: 'Conflict' })
    expect(await onRack()).toHaveLength(2)
    const other = await begun()
    const both = await Promise.allSettled([other.book(other.input()), other.book(other.input())])
    expect(both.map((b) => b.status).sort()).toEqual(['fulfilled', 'rejected'])
    expect(await other.onRack()).toHaveLength(2)
  })
  it('is whole or not at all: where the second container lacks paint, the first is not booked either', async () => {
    const { container, teal, input, book, onRack, holds } = await begun()
    const { vesselId: tube } = await container(teal, 200_000)
    await expect(book(input())).rejects.toThrow(/The open containers of Teal hold 50.ml and 150.ml is wanted/)
    expect(await onRack()).toEqual([])
    expect(await holds(tube)).toEqual({ Teal: 200_000 })
    await book(input({ untrackedForRest: true }))
    expect(await onRack()).toHaveLength(2)
  })
  it('undone bottle by bottle, it may be booked anew', async () => {
    const { run, input, book, onRack } = await begun()
    await book(input())
    const mixes = await run((tx) =>
      tx.q<{ id: string }>(`select id from movement where studio_id = $1 and kind = 'mix'`, [tx.studioId]),
    )
    for (const m of mixes) await run((tx) => undo(tx, { requestId: uuidv7(), movementId: m.id }))
    expect(await onRack()).toEqual([])
    await book(input())
    expect(await onRack()).toHaveLength(2)
  })
  it('without medium or water it asks for none, and says which is missing otherwise', async () => {
    const bare = await begun({ medium: 0, water: 0, samplePaintUl: 0, sampleMediumUl: 0, containers: 1 })
    const [only] = await bare.book(bare.input({ mediumId: null, waterId: null }))
    expect(await bare.holds(only!)).toEqual({ Teal: 300_000, Plum: 100_000 })
    expect((await bare.run((tx) => findBottle(tx, only!))).label).toBe('Nine panels')
    const { input, book } = await begun()
    await expect(book(input({ mediumId: null }))).rejects.toThrow('There is no such medium')
    await expect(book(input({ waterId: null }))).rejects.toThrow('There is no such water')
  })
})
