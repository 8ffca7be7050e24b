import { deltaE00 } from '@/core/colour/deltaE00'
import { hexToLab } from '@/core/colour/lab'
import fc from 'fast-check'
import { v7 as uuidv7 } from 'uuid'
import { FikaError } from '@/core/errors'
import { expectBalanced } from '../../../tests/support/balance'
import { random } from '../../../tests/support/random'
import { makeStudio, mixOf } from '../../../tests/support/studio'
import { findBottle, listJars } from '@/db/bottles/read'
import { endPool } from '../base/pool'
import { recipeOfContent } from './recipeOf'
import { addMember } from '@/db/people/members'
import { withStudio, type Tx } from '../base/withStudio'
import { pour, takeOut, type Booked } from '../ledger'
import {
  fillKeep,
  mergeBottles,
  mixBottle,
  reclaimRunOff,
  refreshKeep,
  splitBottle,
  topUpBottle,
  waterBottle,
  weighInBottle,
} from '.'
import { undo } from '@/server/undo'
import { refusalsUnsaid } from '../../../tests/support/refusals'

afterAll(endPool)

const DAY = 86_400_000

async function two() {
  const studio = await makeStudio()
  const [teal, flow, water] = [await studio.paint('Teal'), await studio.medium('Flow'), await studio.water()]
  const a = await studio.bottle('A', [
    { materialId: teal, ul: 40_000 },
    { materialId: flow, ul: 80_000 },
  ])
  const b = await studio.bottle('B', [
    { materialId: teal, ul: 30_000 },
    { materialId: flow, ul: 30_000 },
  ])
  const bottle = (id: string) => studio.run((tx) => findBottle(tx, id))
  const facts = (id: string, set: string) =>
    studio.run((tx) => tx.q(`update bottle set ${set} where studio_id = $1 and vessel_id = $2`, [tx.studioId, id]))
  return { studio, teal, flow, water, a, b, bottle, facts }
}

describe('a bottle shared out', () => {
  it('fills others that are what it was, to the microlitre', async () => {
    const { studio, a, bottle, facts } = await two()
    await facts(
      a,
      `palette = 'Night', technique = 'ring', level_time_s = 3, read_at = now(), read_w = 0.1, w = 0.1, curve_b = 9, thickens = 0.004, evaporated_share = 0.03`,
    )
    const into = [33_333, 33_334, 1].map((ul, i) => ({
      vesselId: uuidv7(),
      label: `A${i}`,
      ul,
      capacityUl: 50_000,
      tareMg: 20_000,
    }))
    const booked = await studio.run((tx) => splitBottle(tx, { requestId: uuidv7(), vesselId: a, into }))
    expect(await studio.holds(a)).toBe(120_000 - 66_668)
    for (const i of into) expect(await studio.holds(i.vesselId)).toBe(i.ul)
    const [from, one] = [await bottle(a), await bottle(into[0]!.vesselId)]
    expect(one).toMatchObject({
      palette: 'Night',
      technique: 'ring',
      levelTimeS: 3,
      curveB: 9,
      thickens: expect.closeTo(0.004, 6),
      evaporatedUl: 1_000,
      mixedAt: from.mixedAt,
      keepUntil: from.keepUntil,
      hex: from.hex,
      tareMg: 20_000,
    })
    expect(one.code).not.toBe(from.code)
    await expectBalanced(studio)
    await studio.run((tx) => undo(tx, { requestId: uuidv7(), movementId: booked.movementId }))
    expect(await studio.holds(a)).toBe(120_000)
    await expectBalanced(studio)
  })
  it('refuses more than there is, a bottle that is too small, and nothing at all', async () => {
    const { studio, a } = await two()
    const split = (ul: number, capacityUl: number | null = null) =>
      studio.run((tx) =>
        splitBottle(tx, {
          requestId: uuidv7(),
          vesselId: a,
          into: [{ vesselId: uuidv7(), label: 'X', ul, capacityUl, tareMg: null }],
        }),
      )
    await expect(split(120_001)).rejects.toMatchObject({ code: 'NotEnough' })
    await expect(split(50_000, 40_000)).rejects.toThrow(/X holds 40.ml at most/)
    await expect(split(0)).rejects.toThrow('more than nothing')
    expect(await studio.holds(a)).toBe(120_000)
  })
})

describe('bottles poured together', () => {
  it('make one with the recipe of what is in it, the age of the oldest and the date of the weakest; undone it is as before', async () => {
    const { studio, a, b, bottle, facts } = await two()
    await facts(
      a,
      `mixed_at = now() - interval '3 days', keep_until = now() + interval '200 days', level_time_s = 2, read_at = now(), read_w = 0, w = 0.05, palette = 'Night'`,
    )
    await facts(b, `mixed_at = now() - interval '40 days', keep_until = now() + interval '20 days'`)
    const [was, other] = [await bottle(a), await bottle(b)]
    const booked = await studio.run((tx) =>
      mergeBottles(tx, { requestId: uuidv7(), intoId: a, fromIds: [b], restHours: 12 }),
    )
    const now = await bottle(a)
    expect(now).toMatchObject({
      ul: 180_000,
      mixedAt: other.mixedAt,
      keepUntil: other.keepUntil,
      levelTimeS: null,
      w: expect.closeTo((120 * 0.05) / 1.05 / (120 / 1.05 + 60), 6) as number,
      palette: 'Night',
    })
    expect(Date.parse(now.restUntil)).toBeGreaterThan(Date.now() + 11 * 3_600_000)
    // 70 paint to 110 medium.
    expect(now.recipe).toMatchObject({ paintParts: 1, mediums: [{ name: 'Flow', parts: 1.571 }] })
    expect(await studio.holds(b)).toBe(0)
    await expectBalanced(studio)
    await studio.run((tx) => undo(tx, { requestId: uuidv7(), movementId: booked.movementId }))
    expect(await bottle(a)).toEqual(was)
    expect(await studio.holds(b)).toBe(60_000)
  })
  it('refuses an empty one, itself, and what does not fit', async () => {
    const { studio, a, b } = await two()
    const merge = (fromIds: string[]) =>
      studio.run((tx) => mergeBottles(tx, { requestId: uuidv7(), intoId: a, fromIds, restHours: 2 }))
    await expect(merge([])).rejects.toThrow('at least one other')
    await expect(merge([a])).rejects.toThrow('at least one other')
    await studio.run((tx) =>
      tx.q('update vessel set capacity_ul = 150000 where studio_id = $1 and id = $2', [tx.studioId, a]),
    )
    await expect(merge([b])).rejects.toMatchObject({ code: 'OverCapacity' })
    await studio.run((tx) => takeOut(tx, { requestId: uuidv7(), vesselId: b, ul: 60_000 }))
    await expect(merge([b])).rejects.toThrow('B is empty')
  })
})

describe('water', () => {
  it('is counted on the curve, with what evaporates and what is undone', async () => {
    const { studio, a, water, bottle } = await two()
    const add = (ul: number) =>
      studio.run((tx) => waterBottle(tx, { requestId: uuidv7(), vesselId: a, waterId: water, ul }))
    await add(6_000)
    expect((await bottle(a)).w).toBeCloseTo(0.05, 6)
    await studio.run((tx) => takeOut(tx, { requestId: uuidv7(), vesselId: a, ul: 63_000 }))
    const second = await add(3_000)
    // 60 ml undiluted are left with 3 + 3 of water.
    expect((await bottle(a)).w).toBeCloseTo(0.1, 6)
    const { ul } = await bottle(a)
    const mass = 20_000 * 1.2 + 40_000 * 1.05 + (ul - 60_000) * 0.998
    const weighed = await studio.run((tx) =>
      weighInBottle(tx, {
        requestId: uuidv7(),
        vesselId: a,
        grossMg: Math.round(30_000 + mass - 1_996),
        tareMg: 30_000,
      }),
    )
    const dry = await bottle(a)
    expect(dry.evaporatedUl).toBeCloseTo(2_000, -1)
    expect(dry.w).toBeCloseTo(4 / 60, 3)
    await studio.run((tx) => undo(tx, { requestId: uuidv7(), movementId: weighed.movementId }))
    expect(await bottle(a)).toMatchObject({ evaporatedUl: 0 })
    await studio.run((tx) => undo(tx, { requestId: uuidv7(), movementId: second.movementId }))
    expect((await bottle(a)).w).toBeCloseTo(0.05, 4)
    await expectBalanced(studio)
  })
  it('that evaporated is missed by what is left: less once some is taken out, as much once more is mixed in', async () => {
    const { studio, a, b, teal, flow, bottle, facts } = await two()
    const dry = async (id: string) => (await bottle(id)).evaporatedUl
    await facts(a, 'evaporated_share = 0.05')
    await facts(b, 'evaporated_share = 0.02')
    expect([await dry(a), await dry(b)]).toEqual([6_000, 1_200])
    await studio.run((tx) => takeOut(tx, { requestId: uuidv7(), vesselId: a, ul: 60_000 }))
    expect(await dry(a)).toBe(3_000)
    const poured = [
      { materialId: teal, ul: 20_000 },
      { materialId: flow, ul: 40_000 },
    ]
    const top = await studio.run((tx) =>
      topUpBottle(tx, { requestId: uuidv7(), vesselId: a, poured, restHours: 1, untrackedForRest: true }),
    )
    expect(await dry(a)).toBe(3_000)
    await studio.run((tx) => undo(tx, { requestId: uuidv7(), movementId: top.movementId }))
    expect([await dry(a), (await bottle(a)).ul]).toEqual([3_000, 60_000])
    const merged = await studio.run((tx) =>
      mergeBottles(tx, { requestId: uuidv7(), intoId: a, fromIds: [b], restHours: 1 }),
    )
    expect(await dry(a)).toBe(4_200)
    await studio.run((tx) => undo(tx, { requestId: uuidv7(), movementId: merged.movementId }))
    expect([await dry(a), await dry(b)]).toEqual([3_000, 1_200])
  })
  it('is less to the ml once fresh mix is poured in, as it was once that is undone', async () => {
    const { studio, a, teal, flow, water, bottle } = await two()
    await studio.run((tx) => waterBottle(tx, { requestId: uuidv7(), vesselId: a, waterId: water, ul: 12_000 }))
    expect((await bottle(a)).w).toBeCloseTo(0.1, 6)
    const top = (poured: { materialId: string; ul: number }[]) =>
      studio.run((tx) =>
        topUpBottle(tx, { requestId: uuidv7(), vesselId: a, poured, restHours: 1, untrackedForRest: true }),
      )
    await top([
      { materialId: teal, ul: 4_000 },
      { materialId: flow, ul: 8_000 },
      { materialId: water, ul: 1_200 },
    ])
    expect((await bottle(a)).w).toBeCloseTo(0.1, 6)
    const { movementId } = await top([
      { materialId: teal, ul: 44_000 },
      { materialId: flow, ul: 88_000 },
    ])
    expect((await bottle(a)).w).toBeCloseTo(0.05, 6)
    await studio.run((tx) => undo(tx, { requestId: uuidv7(), movementId }))
    expect((await bottle(a)).w).toBeCloseTo(0.1, 6)
  })
  it('makes good what evaporated, and sets the date by its kind', async () => {
    const { studio, a, bottle, facts } = await two()
    await facts(a, 'evaporated_share = 5000.0 / 120000')
    const [tap] = await studio.run((tx) =>
      tx.q<{ id: string }>(`select id from material where studio_id = $1 and thinner = 'tap'`, [tx.studioId]),
    )
    await studio.run((tx) => waterBottle(tx, { requestId: uuidv7(), vesselId: a, waterId: tap!.id, ul: 3_000 }))
    const b = await bottle(a)
    expect(b.evaporatedUl).toBe(2_000)
    expect(Date.parse(b.keepUntil!) - Date.parse(b.mixedAt)).toBe(5 * DAY)
  })
  it('is water, into a bottle that holds something', async () => {
    const { studio, a, b, teal, water } = await two()
    const add = (vesselId: string, waterId: string, ul: number) =>
      studio.run((tx) => waterBottle(tx, { requestId: uuidv7(), vesselId, waterId, ul }))
    await expect(add(a, teal, 1_000)).rejects.toThrow('Choose which water')
    await expect(add(a, water, 0)).rejects.toThrow('like 6 drops')
    await studio.run((tx) => takeOut(tx, { requestId: uuidv7(), vesselId: b, ul: 60_000 }))
    await expect(add(b, water, 1_000)).rejects.toThrow('B is empty')
  })
})

describe('a mix as an ingredient', () => {
  it('brings its own composition along', async () => {
    const { studio, teal, a } = await two()
    const id = uuidv7()
    await studio.run((tx) =>
      mixBottle(tx, {
        ...mixOf(id, 'C', []),
        poured: [
          { vesselId: a, ul: 60_000 },
          { materialId: teal, ul: 20_000 },
        ],
        untrackedForRest: true,
      }),
    )
    // 60 of 1 : 2 are 20 paint and 40 medium; with 20 of paint it is 1 : 1.
    const recipe = await studio.run((tx) => recipeOfContent(tx, id))
    expect(recipe).toMatchObject({ paintParts: 1, mediums: [{ name: 'Flow', parts: 1 }], water: null })
    expect(await studio.holds(a)).toBe(60_000)
    await expect(
      studio.run((tx) =>
        topUpBottle(tx, {
          requestId: uuidv7(),
          vesselId: id,
          poured: [{ vesselId: a, ul: 60_001 }],
          restHours: 1,
          untrackedForRest: true,
        }),
      ),
    ).rejects.toMatchObject({ code: 'NotEnough' })
    await expectBalanced(studio)
  })
})

describe('run-off', () => {
  it('goes into a jar by weight with the pour’s own composition, and again into the same jar', async () => {
    const { studio, a, b } = await two()
    const pourId = uuidv7()
    await studio.run((tx) =>
      pour(tx, {
        requestId: uuidv7(),
        onto: [
          {
            vesselId: pourId,
            title: 'P',
            takes: [
              { vesselId: a, ul: 60_000 },
              { vesselId: b, ul: 30_000 },
            ],
          },
        ],
      }),
    )
    const jarId = uuidv7()
    const newJar = { label: 'Run-off', capacityUl: 100_000, tareMg: 150_000 }
    // 35 of paint and 55 of medium: (35 × 1.2 + 55 × 1.05) / 90 = 1.10833 g/ml.
    const first = await studio.run((tx) =>
      reclaimRunOff(tx, { requestId: uuidv7(), pourId, jarId, newJar, netMg: 22_167 }),
    )
    expect(first.ul).toBe(20_000)
    const [jar] = await studio.run(listJars)
    expect(jar).toEqual({ id: jarId, label: 'Run-off' })
    const found = await studio.run((tx) => findBottle(tx, jarId))
    expect(found).toMatchObject({ isJar: true, ul: 20_000, role: 'base coat' })
    // Of the pour's own mean composition, so of its own colour.
    const poured = await studio.run((tx) => findBottle(tx, a))
    expect(deltaE00(hexToLab(found.hex!), hexToLab(poured.hex!))).toBeLessThan(3)
    expect(found.recipe.mediums[0]!.parts).toBeCloseTo(55 / 35, 2)
    await studio.run((tx) => reclaimRunOff(tx, { requestId: uuidv7(), pourId, jarId, newJar: null, netMg: 22_167 }))
    expect(await studio.holds(jarId)).toBe(40_000)
    await expect(
      studio.run((tx) => reclaimRunOff(tx, { requestId: uuidv7(), pourId, jarId, newJar: null, netMg: 222_000 })),
    ).rejects.toMatchObject({ code: 'NotEnough' })
    await expect(
      studio.run((tx) =>
        reclaimRunOff(tx, {
          requestId: uuidv7(),
          pourId,
          jarId: uuidv7(),
          newJar: { ...newJar, capacityUl: 1 },
          netMg: 22_167,
        }),
      ),
    ).rejects.toThrow('larger one')
    await studio.run((tx) => undo(tx, { requestId: uuidv7(), movementId: first.movementId }))
    expect(await studio.holds(jarId)).toBe(20_000)
    await expectBalanced(studio)
  })
})

describe('keep-untils', () => {
  it('follow the warmth of the rack, and are filled in where there are none', async () => {
    const { studio, a, bottle, facts } = await two()
    const days = async () =>
      Math.round((Date.parse((await bottle(a)).keepUntil!) - Date.parse((await bottle(a)).mixedAt)) / DAY)
    expect(await days()).toBe(270)
    await studio.run((tx) => tx.q('update studio set shelf_c = 30 where studio_id = $1', [tx.studioId]))
    await studio.run((tx) => refreshKeep(tx, [a]))
    expect(await days()).toBe(135)
    await facts(a, 'keep_until = null')
    const account = uuidv7()
    await studio.run(async (tx) => {
      await tx.q(`insert into account (id, email, name) values ($1, $2, 'Runa')`, [account, `${account}@example.org`])
      await addMember(tx, account, 'owner')
    })
    expect(await fillKeep()).toBeGreaterThanOrEqual(1)
    expect(await days()).toBe(135)
  })
})

describe('any interleaving from several clients', () => {
  refusalsUnsaid()
  /** Tries one thing that may happen in a studio; what is refused leaves no trace. */
  const OPS = ['mix', 'top', 'split', 'merge', 'weigh', 'pour', 'water', 'take', 'reclaim', 'undo', 'undo'] as const
  it('conserves every lot, and books every request once', async () => {
    await fc.assert(
      fc.asyncProperty(fc.integer({ min: 1, max: 1e6 }), async (seed) => {
        const { studio, teal, flow, water, a, b } = await two()
        await studio.container(teal, 200_000)
        const bottles = [a, b]
        const pours: string[] = []
        const movements: string[] = []
        const sent: string[] = []
        const client = async (next: () => number) => {
          const any = <T>(list: readonly T[]): T => list[Math.floor(next() * list.length)]!
          for (let i = 0; i < 9; i++) {
            const op = any(OPS)
            const [requestId, vesselId, other, ul] = [uuidv7(), any(bottles), any(bottles), Math.ceil(next() * 60_000)]
            const [fresh, material, pourId, movementId] = [
              uuidv7(),
              any([teal, flow]),
              any(pours) ?? a,
              any(movements) ?? uuidv7(),
            ]
            const work = (tx: Tx): Promise<Booked> => {
              if (op === 'mix')
                return mixBottle(tx, {
                  ...mixOf(fresh, 'M', []),
                  requestId,
                  poured: [
                    { vesselId, ul },
                    { materialId: material, ul },
                  ],
                  untrackedForRest: true,
                })
              if (op === 'top')
                return topUpBottle(tx, {
                  requestId,
                  vesselId,
                  poured: [
                    { materialId: teal, ul },
                    { vesselId: other === vesselId ? a : other, ul: 1_000 },
                  ],
                  restHours: 1,
                  untrackedForRest: true,
                })
              if (op === 'split')
                return splitBottle(tx, {
                  requestId,
                  vesselId,
                  into: [{ vesselId: fresh, label: 'S', ul, capacityUl: null, tareMg: null }],
                })
              if (op === 'merge')
                return mergeBottles(tx, { requestId, intoId: vesselId, fromIds: [other], restHours: 1 })
              if (op === 'weigh')
                return weighInBottle(tx, {
                  requestId,
                  vesselId,
                  grossMg: 30_000 + ul,
                  tareMg: 30_000,
                  named: ul % 2 ? 'residue' : 'dried',
                })
              if (op === 'pour')
                return pour(tx, {
                  requestId,
                  onto: [
                    {
                      vesselId: fresh,
                      title: 'P',
                      takes: [
                        { vesselId, ul },
                        { vesselId: other, ul: 500 },
                      ],
                    },
                  ],
                })
              if (op === 'water') return waterBottle(tx, { requestId, vesselId, waterId: water, ul })
              if (op === 'reclaim')
                return reclaimRunOff(tx, {
                  requestId,
                  pourId,
                  jarId: fresh,
                  newJar: { label: 'J', capacityUl: null, tareMg: null },
                  netMg: ul,
                })
              if (op === 'undo') return undo(tx, { requestId, movementId })
              return takeOut(tx, { requestId, vesselId, ul })
            }
            // A wet glove taps twice, both at once.
            const taps = next() < 0.3 ? [0, 1] : [0]
            const results = await Promise.allSettled(taps.map(() => withStudio(studio.who, work)))
            const booked = results.flatMap((r) => (r.status === 'fulfilled' ? [r.value] : []))
            for (const r of results) if (r.status === 'rejected' && !(r.reason instanceof FikaError)) throw r.reason
            if (booked.length === 0) continue
            expect(new Set(booked.map((x) => x.movementId)).size).toBe(1)
            sent.push(requestId)
            movements.push(booked[0]!.movementId)
            if (op === 'mix' || op === 'split') bottles.push(fresh)
            if (op === 'pour') pours.push(fresh)
          }
        }
        await Promise.all([1, 2, 3, 4].map((n) => client(random(seed + n))))
        await expectBalanced(studio)
        const rows = await studio.run((tx) =>
          tx.q<{ request_id: string }>('select request_id from movement where studio_id = $1', [tx.studioId]),
        )
        const booked = rows.map((r) => r.request_id).filter((id) => sent.includes(id))
        expect(booked.sort()).toEqual([...sent].sort())
      }),
      { numRuns: 12 },
    )
  }, 120_000)
})
