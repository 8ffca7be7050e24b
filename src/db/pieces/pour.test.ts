import { v7 as uuidv7 } from 'uuid'
import { expectBalanced } from '../../../tests/support/balance'
import { makeStudio } from '../../../tests/support/studio'
import { undo } from '@/server/undo'
import { endPool } from '@/db/base/pool'
import { findPlan } from '@/db/plans/read'
import { savePlan } from '@/db/plans/write'
import { planInput } from '../../../tests/support/plans'
import { mayGoBack, pourBack } from '@/db/mixes'
import { findPiece, piecesPouredFrom } from './read'
import { pourPlan } from './pour'

afterAll(endPool)

/** A studio with one bottle and a plan for 10 × 10 cm that takes 16 ml of it. */
async function planned(bottleUl = 60_000) {
  const studio = await makeStudio()
  const paint = await studio.paint('Teal')
  const bottle = await studio.bottle('Teal 1', [{ materialId: paint, ul: bottleUl }])
  const plan = planInput([bottle], { design: { school: { kind: 'own', ul: 16_000 } } })
  const planId = plan.id
  await studio.run((tx) => savePlan(tx, plan))
  const input = (ul = 16_000) => ({
    requestId: uuidv7(),
    planId,
    pieceId: uuidv7(),
    vesselId: uuidv7(),
    takes: [{ vesselId: bottle, ul }],
  })
  const pieces = () =>
    studio.run((tx) => tx.q<{ fate: string }>('select fate from piece where studio_id = $1', [tx.studioId]))
  return { studio, bottle, planId, input, pieces }
}

describe('pouring a plan', () => {
  it('moves the paint, makes the piece and marks the plan', async () => {
    const { studio, bottle, planId, input, pieces } = await planned()
    const pour = input()
    const at = new Date('2026-05-01T10:00:00Z')
    expect(await studio.run((tx) => pourPlan(tx, pour, at))).toEqual({ pieceId: pour.pieceId })
    expect(await studio.holds(bottle)).toBe(44_000)
    expect(await studio.holds(pour.vesselId)).toBe(16_000)
    expect((await studio.run((tx) => findPlan(tx, planId))).pouredAt).toBe(at.toISOString())
    expect(await pieces()).toEqual([{ fate: 'drying' }])
    // The same request again answers the same piece.
    expect(await studio.run((tx) => pourPlan(tx, pour, at))).toEqual({ pieceId: pour.pieceId })
    expect(await studio.holds(bottle)).toBe(44_000)
  })

  it('pours a plan once, though two hands press at once', async () => {
    const { studio, bottle, input, pieces } = await planned()
    const results = await Promise.allSettled(
      [input(), input(), input()].map((i) => studio.run((tx) => pourPlan(tx, i))),
    )
    expect(results.filter((r) => r.status === 'fulfilled')).toHaveLength(1)
    for (const r of results)
      if (r.status === 'rejected') expect(r.reason.message).toMatch('This plan has been poured already')
    expect(await studio.holds(bottle)).toBe(44_000)
    expect(await pieces()).toHaveLength(1)
  })

  it('books what was poured beyond the books as found, where the maker says so', async () => {
    const { studio, bottle, input } = await planned(10_000)
    const pour = { ...input(), findRest: true }
    await studio.run((tx) => pourPlan(tx, pour))
    expect([await studio.holds(bottle), await studio.holds(pour.vesselId)]).toEqual([0, 16_000])
    await expectBalanced(studio)
  })

  it('leaves everything as it was when a bottle holds too little', async () => {
    const { studio, bottle, planId, input, pieces } = await planned(10_000)
    await expect(studio.run((tx) => pourPlan(tx, input()))).rejects.toMatchObject({
      code: 'NotEnough',
      detail: { vesselId: bottle, haveUl: 10_000, needUl: 16_000 },
    })
    expect(await studio.holds(bottle)).toBe(10_000)
    expect(await pieces()).toEqual([])
    expect((await studio.run((tx) => findPlan(tx, planId))).pouredAt).toBeNull()
  })

  it('is open again after the pour was undone, and the piece hangs no more', async () => {
    const { studio, bottle, planId, input, pieces } = await planned()
    await studio.run((tx) => pourPlan(tx, input()))
    const [movement] = await studio.run((tx) =>
      tx.q<{ id: string }>(`select id from movement where studio_id = $1 and kind = 'pour'`, [tx.studioId]),
    )
    await studio.run((tx) => undo(tx, { requestId: uuidv7(), movementId: movement!.id }))
    expect(await studio.holds(bottle)).toBe(60_000)
    expect(await pieces()).toEqual([{ fate: 'undone' }])
    expect((await studio.run((tx) => findPlan(tx, planId))).pouredAt).toBeNull()
    await studio.run((tx) => pourPlan(tx, input(20_000)))
    expect(await studio.holds(bottle)).toBe(40_000)
  })
  it('what was poured back into its bottle is no longer of the piece', async () => {
    const { studio, bottle, input } = await planned()
    const pour = input()
    await studio.run((tx) => pourPlan(tx, pour))
    const [poured] = await studio.run((tx) => mayGoBack(tx, bottle))
    await studio.run((tx) =>
      pourBack(tx, { requestId: uuidv7(), vesselId: bottle, movementId: poured!.movementId, ul: 5_000 }),
    )
    const piece = await studio.run((tx) => findPiece(tx, pour.pieceId))
    expect(piece.colours.map((c) => [c.label, c.ul])).toEqual([['Teal 1', 11_000]])
    expect(await studio.run((tx) => piecesPouredFrom(tx, bottle))).toEqual([
      { id: pour.pieceId, title: 'Small square', ul: 11_000 },
    ])
    expect(await studio.holds(pour.vesselId)).toBe(11_000)
    await expectBalanced(studio)
  })
})
