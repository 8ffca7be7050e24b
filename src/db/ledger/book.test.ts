import fc from 'fast-check'
import { v7 as uuidv7 } from 'uuid'
import { FikaError } from '@/core/errors'
import { expectBalanced } from '../../../tests/support/balance'
import { refusalsUnsaid } from '../../../tests/support/refusals'
import { makeStudio, mixOf } from '../../../tests/support/studio'
import { endPool } from '../base/pool'
import { withStudio } from '../base/withStudio'
import { buyContainer, buyTogether, finishContainer, weighContainer, discard, pour, takeOut } from '.'
import { mixBottle, topUpBottle, weighInBottle } from '../mixes'
import { undo } from '@/server/undo'

afterAll(endPool)

describe('any sequence of movements', () => {
  refusalsUnsaid()
  type Step = {
    op: 'buy' | 'set' | 'mix' | 'top' | 'take' | 'pour' | 'weigh' | 'weigh tube' | 'finish tube' | 'discard' | 'undo'
    a: number
    b: number
    ul: number
  }
  const step: fc.Arbitrary<Step> = fc.record({
    op: fc.constantFrom(
      'buy',
      'set',
      'mix',
      'top',
      'take',
      'pour',
      'weigh',
      'weigh tube',
      'finish tube',
      'discard',
      'undo',
    ),
    a: fc.nat(20),
    b: fc.nat(20),
    ul: fc.integer({ min: 1, max: 150_000 }),
  })

  it('creates and loses nothing, undo included', async () => {
    await fc.assert(
      fc.asyncProperty(fc.array(step, { minLength: 5, maxLength: 25 }), async (steps) => {
        const studio = await makeStudio()
        const materials = [await studio.paint('Red'), await studio.medium('Flow'), await studio.water()]
        const bottles = [
          await studio.bottle(
            'B0',
            materials.map((materialId, i) => ({ materialId, ul: 30_000 + i * 7 })),
          ),
        ]
        const tubes = [(await studio.container(materials[0]!, 50_000)).vesselId]
        const movements: string[] = []
        let booked = 0
        for (const { op, a, b, ul } of steps) {
          const vesselId = bottles[a % bottles.length]!
          const other = bottles[b % bottles.length]!
          const materialId = materials[b % 3]!
          const requestId = uuidv7()
          const mix = mixOf(uuidv7(), `B${bottles.length}`, [
            { materialId, ul },
            { materialId: materials[a % 3]!, ul: Math.ceil(ul / 3) },
          ])
          const result = await studio
            .run(async (tx) => {
              switch (op) {
                case 'buy':
                  return buyContainer(tx, {
                    requestId,
                    materialId,
                    lotId: uuidv7(),
                    vesselId: uuidv7(),
                    label: 'Tube',
                    sizeUl: ul,
                    priceMinor: a,
                  })
                case 'set':
                  return buyTogether(tx, {
                    requestId,
                    totalMinor: ul,
                    containers: materials.map((m, i) => ({
                      materialId: m,
                      lotId: uuidv7(),
                      vesselId: uuidv7(),
                      label: 'Set',
                      sizeUl: ul + i,
                      worth: i,
                    })),
                  })
                case 'weigh tube':
                  return weighContainer(tx, {
                    requestId,
                    vesselId: tubes[a % tubes.length]!,
                    grossMg: ul + 9_000,
                    tareMg: 9_000,
                    lost: b % 2 ? 'used' : 'spilled',
                  })
                case 'finish tube':
                  return finishContainer(tx, { requestId, vesselId: tubes[a % tubes.length]!, residueUl: b * 100 })
                case 'mix':
                  return mixBottle(tx, { ...mix, untrackedForRest: a % 2 === 0 })
                case 'top':
                  return topUpBottle(tx, {
                    requestId,
                    vesselId,
                    poured: [{ materialId, ul }],
                    restHours: 1,
                    untrackedForRest: true,
                  })
                case 'take':
                  return takeOut(tx, { requestId, vesselId, ul })
                case 'pour':
                  return pour(tx, {
                    requestId,
                    onto: [
                      {
                        vesselId: uuidv7(),
                        title: 'P',
                        takes: [
                          { vesselId, ul },
                          { vesselId: other, ul: Math.ceil(ul / 2) },
                        ],
                      },
                    ],
                  })
                case 'weigh':
                  return weighInBottle(tx, {
                    requestId,
                    vesselId,
                    grossMg: ul + 30_000,
                    tareMg: 30_000,
                    named: ([undefined, 'residue', 'dried'] as const)[b % 3],
                  })
                case 'discard':
                  return discard(tx, { requestId, vesselId })
                default:
                  return undo(tx, {
                    requestId,
                    movementId: movements[a % Math.max(1, movements.length)] ?? uuidv7(),
                  })
              }
            })
            .catch((error: unknown) => {
              if (error instanceof FikaError) return undefined
              throw error
            })
          if (!result) continue
          booked += 1
          movements.push(result.movementId)
          if (op === 'mix') bottles.push(mix.vesselId)
        }
        await expectBalanced(studio)
        const [count] = await studio.run((tx) =>
          tx.q<{ n: number }>('select count(*)::int as n from movement where studio_id = $1', [tx.studioId]),
        )
        // The first bottle and tube are movements too; a refused one left no trace.
        expect(count!.n).toBe(booked + 2)
      }),
      { numRuns: 25 },
    )
  }, 120_000)
})

describe('fifty hands on one bottle', () => {
  it('never goes below zero, sums exactly, and books each request id once', async () => {
    const studio = await makeStudio()
    const [teal, flow] = [await studio.paint('Teal'), await studio.medium('Flow')]
    const bottle = await studio.bottle('Teal 1', [
      { materialId: teal, ul: 33_333 },
      { materialId: flow, ul: 66_667 },
    ])
    // 50 requests of 3 ml, each sent twice at once: 33 fit into 100 ml.
    const requests = Array.from({ length: 50 }, () => uuidv7())
    const take = (requestId: string) =>
      withStudio(studio.who, (tx) => takeOut(tx, { requestId, vesselId: bottle, ul: 3_000 }))
    const results = await Promise.allSettled([...requests, ...requests].map(take))
    const fresh = results.filter((r) => r.status === 'fulfilled' && !r.value.replayed)
    const refused = results.filter((r) => r.status === 'rejected')
    expect(fresh).toHaveLength(33)
    expect(refused).toHaveLength(34)
    for (const r of refused) expect((r as PromiseRejectedResult).reason).toMatchObject({ code: 'NotEnough' })
    expect(await studio.holds(bottle)).toBe(100_000 - 33 * 3_000)
    const movements = await studio.run((tx) =>
      tx.q<{ request_id: string; ul: number }>(
        `select m.request_id, sum(l.ul)::bigint as ul from movement m
         join movement_line l on l.studio_id = m.studio_id and l.movement_id = m.id
         where m.studio_id = $1 and m.kind = 'take-out' group by m.request_id`,
        [tx.studioId],
      ),
    )
    expect(movements).toHaveLength(33)
    for (const m of movements) expect(m.ul).toBe(3_000)
    await expectBalanced(studio)
  })
})
