import { v7 as uuidv7 } from 'uuid'
import { makeStudio } from '../support/studio'
import { planInput } from '../support/plans'
import { notePair, updateMaterial } from '@/db/materials/write'
import { findMaterial, inputOf } from '@/db/materials/read'
import { moveSurfaces, saveSurface } from '@/db/surfaces/write'
import { savePlan } from '@/db/plans/write'
import { pourPlan } from '@/db/pieces/pour'
import { undo } from '@/server/undo'
import { makersWord } from '@/db/materials/makersWord'
import { endPool } from '@/db/base/pool'
import { listSurfaces } from '@/db/surfaces/read'

afterAll(endPool)

/** A studio with a bottle, and three panels on the shelf. */
async function setting() {
  const studio = await makeStudio()
  const teal = await studio.paint('Teal')
  const bottle = await studio.bottle('B', [{ materialId: teal, ul: 500_000 }])
  const surfaceId = uuidv7()
  await studio.run(async (tx) => {
    await saveSurface(tx, {
      id: surfaceId,
      kind: 'panel',
      name: 'Panel',
      shape: 'rectangle',
      lengthMm: 200,
      widthMm: 200,
      diameterMm: 0,
      edgeMm: 10,
      grade: 'sale',
    })
    await moveSurfaces(tx, { requestId: uuidv7(), surfaceId, count: 3, priceMinor: 900, note: 'pack' })
  })
  const left = async () => (await studio.run(listSurfaces))[0]!.onHand
  const pour = async (count: number) => {
    const planId = uuidv7()
    await studio.run((tx) =>
      savePlan(
        tx,
        planInput([bottle], {
          id: planId,
          title: 'Ferry',
          design: {
            surface: { shape: 'rectangle', lengthMm: 200, widthMm: 200, edgeMm: 10, count },
            stockId: surfaceId,
            eachMinor: 300,
          },
        }),
      ),
    )
    const request = {
      requestId: uuidv7(),
      planId,
      pieceId: uuidv7(),
      vesselId: uuidv7(),
      takes: [{ vesselId: bottle, ul: 10_000 }],
    }
    await studio.run((tx) => pourPlan(tx, request))
    await studio.run((tx) => pourPlan(tx, request))
    const [movement] = await studio.run((tx) =>
      tx.q<{ id: string }>('select id from movement where studio_id = $1 and request_id = $2', [
        tx.studioId,
        request.requestId,
      ]),
    )
    return movement!.id
  }
  return { studio, teal, left, pour }
}

describe('a surface from the shelf', () => {
  it('is booked out by the pour, once, and put back when it is undone', async () => {
    const { studio, left, pour } = await setting()
    const movementId = await pour(2)
    expect(await left()).toBe(1)
    await studio.run((tx) => undo(tx, { requestId: uuidv7(), movementId }))
    expect(await left()).toBe(3)
  })
  it('does not stop a pour where the shelf was miscounted', async () => {
    const { studio, left, pour } = await setting()
    const movementId = await pour(5)
    expect(await left()).toBe(0)
    await pour(1)
    expect(await left()).toBe(0)
    await studio.run((tx) => undo(tx, { requestId: uuidv7(), movementId }))
    expect(await left()).toBe(3)
  })
})

describe('the maker’s own word', () => {
  it('holds every pair note and flag of this studio, and none of another', async () => {
    const { studio, teal } = await setting()
    const gold = await studio.paint('Gold')
    const plain = await studio.paint('Plain')
    await studio.run(async (tx) => {
      await notePair(tx, { paintId: gold, otherId: teal, verdict: 'together', note: 'deep' })
      const row = await findMaterial(tx, teal)
      const input = inputOf(row)
      if (input.kind === 'paint')
        await updateMaterial(tx, teal, row.revision, {
          ...input,
          flags: [{ role: 'top', rule: 'avoid', reason: 'dull' }],
        })
    })
    const word = await studio.run(makersWord)
    expect(word.pairs).toEqual([
      { aId: [gold, teal].sort()[0], bId: [gold, teal].sort()[1], verdict: 'together', note: 'deep' },
    ])
    expect(word.paints).toEqual({
      [teal]: { name: 'Teal', flags: [{ role: 'top', rule: 'avoid', reason: 'dull' }] },
      [gold]: { name: 'Gold', flags: [] },
    })
    expect(word.paints[plain]).toBeUndefined()
    const other = await makeStudio()
    expect(await other.run(makersWord)).toEqual({ pairs: [], paints: {} })
  })
})
