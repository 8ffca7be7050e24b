import fc from 'fast-check'
import { v7 as uuidv7 } from 'uuid'
import { expectBalanced } from '../../../tests/support/balance'
import { makeStudio } from '../../../tests/support/studio'
import { undo } from '@/server/undo'
import { endPool } from '../base/pool'
import { findBottle } from '../bottles/read'
import { pour, takeOut } from '../ledger'
import { mayGoBack, pourBack, topUpBottle, waterBottle } from '.'

afterAll(endPool)

async function room() {
  const studio = await makeStudio()
  const [teal, flow, water] = [await studio.paint('Teal'), await studio.medium('Flow'), await studio.water()]
  const bottle = await studio.bottle('Night', [
    { materialId: teal, ul: 40_000 },
    { materialId: flow, ul: 80_000 },
  ])
  const take = async (ul: number, note = '') =>
    (await studio.run((tx) => takeOut(tx, { requestId: uuidv7(), vesselId: bottle, ul, note }))).movementId
  const onto = uuidv7()
  const pourIt = async (ul: number, vesselId = onto) =>
    (
      await studio.run((tx) =>
        pour(tx, { requestId: uuidv7(), onto: [{ vesselId, title: 'Ferry 3', takes: [{ vesselId: bottle, ul }] }] }),
      )
    ).movementId
  const back = (movementId: string, ul: number, requestId = uuidv7()) =>
    studio.run((tx) => pourBack(tx, { requestId, vesselId: bottle, movementId, ul }))
  const offered = async () =>
    (await studio.run((tx) => mayGoBack(tx, bottle))).map((o) => [o.kind, o.what, o.leftUl] as const)
  const undoIt = (movementId: string) => studio.run((tx) => undo(tx, { requestId: uuidv7(), movementId }))
  return { studio, teal, flow, water, bottle, take, pourIt, onto, back, offered, undoIt }
}

describe('what was not used goes back into its bottle', () => {
  it('out of a taking and out of a pour, and no more than left', async () => {
    const { studio, bottle, take, pourIt, onto, back, offered } = await room()
    const taken = await take(30_000, 'test card')
    const poured = await pourIt(60_000)
    expect(await offered()).toEqual([
      ['pour', 'Ferry 3', 60_000],
      ['take-out', 'test card', 30_000],
    ])
    await back(taken, 12_000)
    await back(poured, 20_001)
    expect(await studio.holds(bottle)).toBe(62_001)
    expect(await studio.holds(onto)).toBe(39_999)
    await expect(back(taken, 18_001)).rejects.toThrow(/18.ml of it may still go back, and 18.ml are named/)
    await back(taken, 18_000)
    expect(await offered()).toEqual([['pour', 'Ferry 3', 39_999]])
    await expectBalanced(studio)
  })
  it('of the composition it left with, and the water on its curve follows', async () => {
    const { studio, water, flow, bottle, take, back } = await room()
    await studio.run((tx) => waterBottle(tx, { requestId: uuidv7(), vesselId: bottle, waterId: water, ul: 12_000 }))
    const taken = await take(66_000)
    const more = { requestId: uuidv7(), vesselId: bottle, poured: [{ materialId: flow, ul: 60_000 }], restHours: 2 }
    await studio.run((tx) => topUpBottle(tx, { ...more, untrackedForRest: true }))
    // Six of 126 ml are water; 66 ml with six of water go back.
    expect((await studio.run((tx) => findBottle(tx, bottle))).w).toBeCloseTo(6 / 120, 6)
    await back(taken, 66_000)
    expect((await studio.run((tx) => findBottle(tx, bottle))).w).toBeCloseTo(12 / 180, 6)
  })
  it('an emptied bottle stands on the rack again', async () => {
    const { studio, bottle, take, back } = await room()
    const taken = await take(120_000)
    const gone = () =>
      studio.run(async (tx) => {
        const [row] = await tx.q<{ gone: boolean }>(
          'select emptied_at is not null as gone from bottle where studio_id = $1 and vessel_id = $2',
          [tx.studioId, bottle],
        )
        return row!.gone
      })
    expect(await gone()).toBe(true)
    await back(taken, 500)
    expect(await gone()).toBe(false)
  })
  it('nothing is in the bottle twice: neither undone nor sent again', async () => {
    const { studio, bottle, take, pourIt, back, undoIt } = await room()
    const taken = await take(30_000)
    const request = uuidv7()
    const { movementId: returned } = await back(taken, 10_000, request)
    await back(taken, 10_000, request)
    expect(await studio.holds(bottle)).toBe(100_000)
    await expect(undoIt(taken)).rejects.toThrow('Part of it was poured back since. Undo that first')
    await undoIt(returned)
    await undoIt(taken)
    expect(await studio.holds(bottle)).toBe(120_000)
    await expect(back(taken, 1_000)).rejects.toMatchObject({ code: 'Conflict' })
    const poured = await pourIt(50_000)
    await back(poured, 5_000)
    await expect(undoIt(poured)).rejects.toMatchObject({ code: 'Conflict' })
    await expectBalanced(studio)
  })
  it('two devices pour back the same rest: one of them is told', async () => {
    const { studio, bottle, take, back } = await room()
    const taken = await take(30_000)
    const both = await Promise.allSettled([back(taken, 20_000), back(taken, 20_000)])
    expect(both.map((b) => b.status).sort()).toEqual(['fulfilled', 'rejected'])
    expect(await studio.holds(bottle)).toBe(110_000)
  })
  it('of another bottle, another kind of movement or another studio: there is no such thing', async () => {
    const { studio, teal, bottle, take, back } = await room()
    const taken = await take(10_000)
    const other = await studio.bottle('Other', [{ materialId: teal, ul: 9_000 }])
    await expect(
      studio.run((tx) => pourBack(tx, { requestId: uuidv7(), vesselId: other, movementId: taken, ul: 1 })),
    ).rejects.toMatchObject({ code: 'NotFound' })
    const [mix] = await studio.run((tx) =>
      tx.q<{ id: string }>(`select id from movement where studio_id = $1 and kind = 'mix' limit 1`, [tx.studioId]),
    )
    await expect(back(mix!.id, 1)).rejects.toMatchObject({ code: 'NotFound' })
    const stranger = await makeStudio()
    await expect(
      stranger.run((tx) => pourBack(tx, { requestId: uuidv7(), vesselId: bottle, movementId: taken, ul: 1 })),
    ).rejects.toMatchObject({ code: 'NotFound' })
    await expect(back(taken, 0)).rejects.toThrow('Type how much goes back')
  })
  it('whatever is taken, poured and poured back, in whatever order: the books balance and nothing is made', async () => {
    const { studio, bottle, take, pourIt, back } = await room()
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.tuple(fc.nat(3), fc.integer({ min: 1, max: 9_000 })), { maxLength: 8 }),
        async (steps) => {
          const left = new Map<string, number>()
          for (const [what, ul] of steps) {
            const held = await studio.holds(bottle)
            if (what < 2 && ul < held) left.set(what ? await take(ul) : await pourIt(ul, uuidv7()), ul)
            const [last] = [...left].at(-1) ?? []
            if (what >= 2 && last) {
              const may = left.get(last)!
              if (ul > may) await expect(back(last, ul)).rejects.toMatchObject({ code: 'NotEnough' })
              else {
                await back(last, ul)
                left.set(last, may - ul)
                expect(await studio.holds(bottle)).toBe(held + ul)
              }
            }
          }
        },
      ),
      { numRuns: 12 },
    )
    await expectBalanced(studio)
  })
})
