import { v7 as uuidv7 } from 'uuid'
import { endPool } from '@/db/base/pool'
import { makeStudio } from '../../../tests/support/studio'
import { stateSchema } from './batchSchema'
import { findBatch, listBatches, saveBatch, type SaveBatch } from './batches'

afterAll(endPool)

async function room() {
  const studio = await makeStudio()
  const paintId = await studio.paint('Teal')
  const formulaId = await studio.formula('Sea', [{ paintId, parts: 1 }])
  const state = stateSchema.cast({ paintUl: 400_000, containers: 2, sizeUl: 1_000_000, keptHex: '#136a78' })
  const batch: SaveBatch = {
    id: uuidv7(),
    revision: 0,
    title: 'Nine panels',
    formulaId,
    formulaVersion: 1,
    state,
    finished: false,
  }
  return { ...studio, batch }
}

describe('a batch under way', () => {
  it('is kept as it stands, step by step, and read back on another device', async () => {
    const { run, batch } = await room()
    expect(await run((tx) => saveBatch(tx, batch))).toBe(1)
    const next = {
      ...batch,
      revision: 1,
      state: { ...batch.state, done: ['0/sample'], readings: [{ hex: '#126877', reflectance: null }, null] },
    }
    expect(await run((tx) => saveBatch(tx, next))).toBe(2)
    expect(await run((tx) => findBatch(tx, batch.id))).toMatchObject({
      title: 'Nine panels',
      formulaName: 'Sea',
      revision: 2,
      doneAt: null,
      state: next.state,
    })
    expect(await run((tx) => saveBatch(tx, { ...next, revision: 2, finished: true }))).toBe(3)
    expect((await run(listBatches))[0]!.doneAt).not.toBeNull()
  })
  it('a repeated step counts once; two devices do not overwrite each other', async () => {
    const { run, batch } = await room()
    await run((tx) => saveBatch(tx, batch))
    expect(await run((tx) => saveBatch(tx, batch))).toBe(1)
    const mine = { ...batch, revision: 1, state: { ...batch.state, done: ['0/sample'] } }
    expect(await run((tx) => saveBatch(tx, mine))).toBe(2)
    expect(await run((tx) => saveBatch(tx, mine))).toBe(2)
    const theirs = { ...batch, revision: 1, state: { ...batch.state, done: ['1/sample'] } }
    await expect(run((tx) => saveBatch(tx, theirs))).rejects.toThrow('Another device changed this batch')
    expect((await run((tx) => findBatch(tx, batch.id))).state.done).toEqual(['0/sample'])
  })
  it('refuses formulas that are not there, and batches of another studio', async () => {
    const { run, batch } = await room()
    const other = await room()
    await expect(run((tx) => saveBatch(tx, { ...batch, formulaVersion: 7 }))).rejects.toMatchObject({
      code: 'NotFound',
    })
    await run((tx) => saveBatch(tx, batch))
    await expect(other.run((tx) => findBatch(tx, batch.id))).rejects.toMatchObject({ code: 'NotFound' })
  })
})
