import fc from 'fast-check'
import { v7 as uuidv7 } from 'uuid'
import { FikaError } from '@/core/errors'
import { expectBalanced } from '../../../tests/support/balance'
import { makeStudio, mixOf } from '../../../tests/support/studio'
import { findBottle, portionsOf } from '@/db/bottles/read'
import { endPool } from '../base/pool'
import { withStudio } from '../base/withStudio'
import {
  buyContainer,
  buyTogether,
  finishContainer,
  weighContainer,
  discard,
  mixBottle,
  pour,
  takeOut,
  topUpBottle,
  weighInBottle,
} from '.'
import { undo } from '@/server/undo'

afterAll(endPool)

describe('mixing and pouring', () => {
  it('takes from the oldest container first, then the next, and books what has none as untracked', async () => {
    const studio = await makeStudio()
    const teal = await studio.paint('Teal')
    const flow = await studio.medium('Flow')
    const newer = await studio.container(teal, 60_000, 1000, new Date('2026-03-01'))
    const older = await studio.container(teal, 50_000, 900, new Date('2026-01-01'))
    const bottle = await studio.bottle('Teal 1', [
      { materialId: teal, ul: 70_000 },
      { materialId: flow, ul: 140_000 },
    ])
    expect(await studio.holds(older.vesselId)).toBe(0)
    expect(await studio.holds(newer.vesselId)).toBe(40_000)
    expect(await studio.holds(bottle)).toBe(210_000)
    const content = await studio.content(bottle)
    expect(content.find((c) => c.lot_id === older.lotId)?.ul).toBe(50_000)
    await expectBalanced(studio)
  })

  it('refuses what the containers lack, says so, and changes nothing', async () => {
    const studio = await makeStudio()
    const teal = await studio.paint('Teal')
    const tube = await studio.container(teal, 40_000)
    const mix = mixOf(uuidv7(), 'Teal 1', [{ materialId: teal, ul: 60_000 }])
    await expect(studio.run((tx) => mixBottle(tx, mix))).rejects.toThrow(
      'The open containers of Teal hold 40\u00a0ml and 60\u00a0ml is wanted. Book a new container, or let the rest come from untracked supply.',
    )
    expect(await studio.holds(tube.vesselId)).toBe(40_000)
    expect(
      await studio.run((tx) =>
        tx.q('select 1 from vessel where studio_id = $1 and id = $2', [tx.studioId, mix.vesselId]),
      ),
    ).toEqual([])
    await studio.run((tx) => mixBottle(tx, { ...mix, untrackedForRest: true }))
    expect(await studio.holds(mix.vesselId)).toBe(60_000)
    await expectBalanced(studio)
  })

  it('books a repeated request once, and refuses the same id for something else', async () => {
    const studio = await makeStudio()
    const teal = await studio.paint('Teal')
    const mix = mixOf(uuidv7(), 'Teal 1', [{ materialId: teal, ul: 60_000 }])
    const first = await studio.run((tx) => mixBottle(tx, mix))
    const second = await studio.run((tx) => mixBottle(tx, mix))
    expect([first.replayed, second.replayed]).toEqual([false, true])
    expect(second.movementId).toBe(first.movementId)
    expect(await studio.holds(mix.vesselId)).toBe(60_000)
    const other = { ...mix, poured: [{ materialId: teal, ul: 1_000 }] }
    await expect(studio.run((tx) => mixBottle(tx, other))).rejects.toMatchObject({ code: 'Conflict' })
  })

  it('pours all or nothing and names the bottle that holds too little', async () => {
    const studio = await makeStudio()
    const teal = await studio.paint('Teal')
    const [a, b] = [
      await studio.bottle('Teal 1', [{ materialId: teal, ul: 60_000 }]),
      await studio.bottle('White 2', [{ materialId: teal, ul: 10_000 }]),
    ]
    const takes = [
      { vesselId: a, ul: 20_000 },
      { vesselId: b, ul: 20_000 },
    ]
    const input = { requestId: uuidv7(), vesselId: uuidv7(), title: 'Ferry 1', takes }
    await expect(studio.run((tx) => pour(tx, input))).rejects.toThrow(
      /^White 2 holds 10\u00a0ml and 20\u00a0ml is wanted\. Mix/,
    )
    expect(await studio.holds(a)).toBe(60_000)
    // The same bottle twice (cup and reserve) gives the sum.
    const twice = { ...input, requestId: uuidv7(), takes: [takes[0]!, { vesselId: a, ul: 5_000 }] }
    await studio.run((tx) => pour(tx, twice))
    expect(await studio.holds(a)).toBe(35_000)
    expect(await studio.holds(twice.vesselId)).toBe(25_000)
    await expectBalanced(studio)
  })

  it('tops up within the bottle’s capacity only', async () => {
    const studio = await makeStudio()
    const teal = await studio.paint('Teal')
    const bottle = await studio.bottle('Teal 1', [{ materialId: teal, ul: 60_000 }], 100_000)
    const top = (ul: number) => ({
      requestId: uuidv7(),
      vesselId: bottle,
      poured: [{ materialId: teal, ul }],
      restHours: 2,
      untrackedForRest: true,
    })
    await studio.run((tx) => topUpBottle(tx, top(40_000)))
    await expect(studio.run((tx) => topUpBottle(tx, top(1_000)))).rejects.toMatchObject({ code: 'OverCapacity' })
    expect(await studio.holds(bottle)).toBe(100_000)
  })

  it('mixes the bottle’s colour from what is in it', async () => {
    const studio = await makeStudio()
    const [blue, white] = [
      await studio.paint('Blue', { hex: '#1d4e9e' }),
      await studio.paint('White', { hex: '#f6f4ee' }),
    ]
    const bottle = await studio.bottle('Sky', [
      { materialId: blue, ul: 10_000 },
      { materialId: white, ul: 90_000 },
    ])
    const [row] = await studio.run((tx) =>
      tx.q<{ colour_hex: string }>('select colour_hex from bottle where studio_id = $1 and vessel_id = $2', [
        tx.studioId,
        bottle,
      ]),
    )
    expect(row!.colour_hex).toMatch(/^#[0-9a-f]{6}$/)
  })
})

describe('weigh-in', () => {
  it('books evaporation to the air, asks about more, and keeps the tare', async () => {
    const studio = await makeStudio()
    const [teal, water] = [await studio.paint('Teal'), await studio.water()]
    const bottle = await studio.bottle('Teal 1', [
      { materialId: teal, ul: 100_000 },
      { materialId: water, ul: 20_000 },
    ])
    // 100 ml at 1.2 and 20 ml at 0.998: 139.96 g net. 5 g of water are gone.
    const weigh = { requestId: uuidv7(), vesselId: bottle, grossMg: 30_000 + 134_960, tareMg: 30_000 }
    const result = await studio.run((tx) => weighInBottle(tx, weigh))
    expect(result.measuredUl).toBe(120_000 - Math.round(5_000 / 0.998))
    expect(await studio.holds(bottle)).toBe(result.measuredUl)
    const low = { ...weigh, requestId: uuidv7(), grossMg: 90_000 }
    await expect(studio.run((tx) => weighInBottle(tx, low))).rejects.toThrow('Say whether the rest dried, was spilled')
    await studio.run((tx) => weighInBottle(tx, { ...low, requestId: uuidv7(), named: 'spilled' }))
    await expectBalanced(studio)
    // All of its water is gone, and what was spilled took its share of that loss along: half of the paint is left.
    const left = await studio.run((tx) => findBottle(tx, bottle))
    expect(left.ul).toBe(50_000)
    expect(left.evaporatedUl).toBe(10_000)
  })
  it('books what dried out of paint and medium by its weight, with the water that brings it back, and undoes it', async () => {
    const studio = await makeStudio()
    const [teal, flow] = [await studio.paint('Teal'), await studio.medium('Flow')]
    const bottle = await studio.bottle('Teal 1', [
      { materialId: teal, ul: 100_000 },
      { materialId: flow, ul: 200_000 },
    ])
    const facts = () => studio.run((tx) => findBottle(tx, bottle))
    const massMg = async () =>
      (await studio.run((tx) => portionsOf(tx, [bottle]))).reduce((s, p) => s + p.ul * p.densityGPerMl, 0)
    const [before, gross] = [await facts(), (await massMg()) + 30_000]
    const weigh = { requestId: uuidv7(), vesselId: bottle, grossMg: Math.round(gross) - 6_000, tareMg: 30_000 }
    await expect(studio.run((tx) => weighInBottle(tx, weigh))).rejects.toThrow(
      'no water was added that could evaporate',
    )
    const { movementId } = await studio.run((tx) => weighInBottle(tx, { ...weigh, named: 'dried' }))
    const after = await facts()
    expect(after.evaporatedUl).toBe(6_000)
    expect(after.w).toBeCloseTo(-6 / 300, 4)
    // Six grams of paint and medium are less than six millilitres of them.
    expect(after.ul).toBeLessThan(before.ul - 5_000)
    expect(after.ul).toBeGreaterThan(before.ul - 6_000)
    expect(Math.abs((await massMg()) + 30_000 - weigh.grossMg)).toBeLessThan(3)
    await studio.run((tx) => undo(tx, { requestId: uuidv7(), movementId }))
    const back = await facts()
    expect(back.ul).toBe(before.ul)
    expect(back.w).toBeCloseTo(0, 4)
    expect(back.evaporatedUl).toBeLessThan(3)
    await expectBalanced(studio)
  })
})

describe('undo', () => {
  it('brings a pour back, once', async () => {
    const studio = await makeStudio()
    const teal = await studio.paint('Teal')
    const bottle = await studio.bottle('Teal 1', [{ materialId: teal, ul: 60_000 }])
    const taken = await studio.run((tx) => takeOut(tx, { requestId: uuidv7(), vesselId: bottle, ul: 25_000 }))
    const undoTaken = () => studio.run((tx) => undo(tx, { requestId: uuidv7(), movementId: taken.movementId }))
    const both = await Promise.allSettled([undoTaken(), undoTaken()])
    expect(both.filter((r) => r.status === 'fulfilled')).toHaveLength(1)
    expect((both.find((r) => r.status === 'rejected') as PromiseRejectedResult).reason).toMatchObject({
      code: 'Conflict',
    })
    expect(await studio.holds(bottle)).toBe(60_000)
    await expectBalanced(studio)
  })
  it('refuses when a lot has been used since, and says what is left', async () => {
    const studio = await makeStudio()
    const teal = await studio.paint('Teal')
    const mix = mixOf(uuidv7(), 'Teal 1', [{ materialId: teal, ul: 60_000 }])
    const mixed = await studio.run((tx) => mixBottle(tx, mix))
    await studio.run((tx) => takeOut(tx, { requestId: uuidv7(), vesselId: mix.vesselId, ul: 1_000 }))
    await expect(studio.run((tx) => undo(tx, { requestId: uuidv7(), movementId: mixed.movementId }))).rejects.toThrow(
      'Teal 1 has been used since: 59\u00a0ml of one ingredient is left and 60\u00a0ml would go back.',
    )
  })
  it('takes a purchase back out of the books', async () => {
    const studio = await makeStudio()
    const teal = await studio.paint('Teal')
    const vesselId = uuidv7()
    const bought = await studio.run((tx) =>
      buyContainer(tx, {
        requestId: uuidv7(),
        materialId: teal,
        lotId: uuidv7(),
        vesselId,
        label: 'Tube',
        sizeUl: 60_000,
        priceMinor: 990,
      }),
    )
    await studio.run((tx) => undo(tx, { requestId: uuidv7(), movementId: bought.movementId }))
    expect(await studio.holds(vesselId)).toBe(0)
    await expectBalanced(studio)
  })
})

describe('any sequence of movements', () => {
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
                    vesselId: uuidv7(),
                    title: 'P',
                    takes: [
                      { vesselId, ul },
                      { vesselId: other, ul: Math.ceil(ul / 2) },
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
