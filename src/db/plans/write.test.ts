import { v7 as uuidv7 } from 'uuid'
import { makeStudio } from '../../../tests/support/studio'
import { endPool } from '@/db/base/pool'
import { findPlan, listPlans } from './read'
import { pricedBottles } from '@/stations/plan/queries'
import { planSchema, type PlanInput } from './schema'
import { savePlan } from './write'

afterAll(endPool)

const plan = (more: Partial<Record<keyof PlanInput, unknown>>): PlanInput =>
  planSchema.validateSync({
    id: uuidv7(),
    title: 'Ferry',
    technique: 'ring',
    surface: { shape: 'rectangle', lengthMm: 16 * 25.4, widthMm: 20 * 25.4, edgeMm: 20, count: 1 },
    coverage: { kind: 'rule-of-28' },
    surfaceCostMinor: 750,
    cup: [],
    apart: [],
    ...more,
  })

async function room() {
  const studio = await makeStudio()
  const paint = await studio.paint('Teal', { priceMinor: 600, sizeUl: 60_000 })
  const a = await studio.bottle('Teal 1', [{ materialId: paint, ul: 60_000 }])
  const b = await studio.bottle('White 1', [{ materialId: paint, ul: 60_000 }])
  return { studio, a, b }
}

describe('a plan', () => {
  it('works out the cup anew on the server, and its parts sum to it', async () => {
    const { studio, a, b } = await room()
    const input = plan({
      cup: [
        { vesselId: a, parts: 2 },
        { vesselId: b, parts: 1 },
      ],
      apart: [{ use: 'base coat', vesselId: b, ul: 50_000 }],
    })
    await studio.run((tx) => savePlan(tx, input))
    const saved = await studio.run((tx) => findPlan(tx, input.id))
    // 320 in² / 28 fl oz = 337.983 ml; two thirds and one third.
    expect(saved.cupUl).toBe(337_983)
    expect(saved.parts.map((p) => [p.use, p.label, p.ul])).toEqual([
      ['cup', 'Teal 1', 225_322],
      ['cup', 'White 1', 112_661],
      ['base coat', 'White 1', 50_000],
    ])
  })
  it('is changed as a whole', async () => {
    const { studio, a, b } = await room()
    const input = plan({ cup: [{ vesselId: a, parts: 1 }] })
    await studio.run((tx) => savePlan(tx, input))
    const film = plan({
      id: input.id,
      title: 'Round ferry',
      surface: { shape: 'round', diameterMm: 300, edgeMm: 0, count: 2 },
      coverage: { kind: 'film', wetMm: 1, runOffShare: 0 },
      cup: [{ vesselId: b, parts: 1 }],
    })
    await studio.run((tx) => savePlan(tx, film))
    const saved = await studio.run((tx) => findPlan(tx, input.id))
    expect(saved).toMatchObject({ title: 'Round ferry', surface: { shape: 'round', diameterMm: 300, count: 2 } })
    // Two rounds of 706.858 cm² at 1 mm.
    expect(saved.cupUl).toBe(141_372)
    expect(saved.parts.map((p) => p.label)).toEqual(['White 1'])
    expect(await studio.run(listPlans)).toHaveLength(1)
  })
  it('refuses a bottle that is not there, and writes nothing then', async () => {
    const { studio } = await room()
    await expect(
      studio.run((tx) => savePlan(tx, plan({ cup: [{ vesselId: uuidv7(), parts: 1 }] }))),
    ).rejects.toMatchObject({ code: 'Conflict' })
    expect(await studio.run(listPlans)).toEqual([])
  })
  it('knows what a millilitre of each bottle cost', async () => {
    const { studio, a } = await room()
    const bottles = await studio.run(pricedBottles)
    expect(bottles.find((x) => x.id === a)!.costPerMl).toBeCloseTo(10, 9)
  })
  it.each([
    [{ title: ' ' }, 'Give the plan a title.'],
    [{ technique: 'sneeze' }, 'Choose a technique.'],
    [
      { surface: { shape: 'rectangle', lengthMm: 1, widthMm: 1, edgeMm: -1, count: 1 } },
      'The edge depth cannot be below zero.',
    ],
    [
      { surface: { shape: 'rectangle', lengthMm: 21_000, widthMm: 1, edgeMm: 0, count: 1 } },
      'The length is more than 20 m. Check the unit.',
    ],
    [{ surface: { shape: 'round', diameterMm: 10, edgeMm: 0, count: 0 } }, 'Plan at least one piece.'],
    [{ coverage: { kind: 'film', wetMm: 30 } }, 'A wet film above 20 mm is not a film. Check the unit.'],
    [{ surfaceCostMinor: 1e9 }, 'That price is too high to be one. Check it.'],
  ])('refuses %j', (more, sentence) => expect(() => plan(more)).toThrow(sentence))
})
