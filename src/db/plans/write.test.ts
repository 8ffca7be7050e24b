import { v7 as uuidv7 } from 'uuid'
import { planInput } from '../../../tests/support/plans'
import { refusalsUnsaid } from '../../../tests/support/refusals'
import { makeStudio } from '../../../tests/support/studio'
import { ofBottle } from '@/core/plan/simpleDesign'
import { endPool } from '@/db/base/pool'
import { saveTechnique } from '@/db/techniques/write'
import { SHIPPED } from '@/core/technique/techniques'
import { findPlan, listPlans, openTakes, plansOfWork, triedTogether } from './read'
import { planSchema, type PlanInput } from './schema'
import { dropPlan, markPoured, savePlan } from './write'
import { saveWork } from '../works/write'

afterAll(endPool)

async function room() {
  const studio = await makeStudio()
  const paint = await studio.paint('Teal', { priceMinor: 600, sizeUl: 60_000 })
  const a = await studio.bottle('Teal 1', [{ materialId: paint, ul: 60_000 }])
  const b = await studio.bottle('White 1', [{ materialId: paint, ul: 60_000 }])
  return { studio, a, b }
}
const canvas = { shape: 'rectangle', lengthMm: 16 * 25.4, widthMm: 20 * 25.4, edgeMm: 20, count: 1 } as const

describe('a plan', () => {
  refusalsUnsaid()
  it('works out the cups anew on the server, and its parts sum to them', async () => {
    const { studio, a, b } = await room()
    const input = planInput([], {
      design: {
        surface: canvas,
        cup: [
          { of: ofBottle(a), share: 2 },
          { of: ofBottle(b), share: 1 },
        ],
        coats: [{ role: 'base coat', of: ofBottle(b), ul: 50_000 }],
      },
    })
    expect(await studio.run((tx) => savePlan(tx, input))).toEqual({ revision: 1 })
    const saved = await studio.run((tx) => findPlan(tx, input.id))
    // 320 in² / 28 fl oz = 337.983 ml; two thirds and one third.
    expect(saved.cupUl).toBe(337_983)
    expect(saved.parts.map((p) => [p.use, p.label, p.ul])).toEqual([
      ['cup', 'Teal 1', 225_322],
      ['cup', 'White 1', 112_661],
      ['base coat', 'White 1', 50_000],
    ])
    expect(saved.design).toEqual(input.design)
  })
  it('is changed as a whole, and two makers on one plan do not overwrite each other', async () => {
    const { studio, a, b } = await room()
    const input = planInput([a])
    await studio.run((tx) => savePlan(tx, input))
    const changed = { ...planInput([b], { title: 'Round ferry' }), id: input.id, revision: 1 }
    expect(await studio.run((tx) => savePlan(tx, changed))).toEqual({ revision: 2 })
    expect((await studio.run((tx) => findPlan(tx, input.id))).parts.map((p) => p.label)).toEqual(['White 1'])
    const late = { ...planInput([a], { title: 'Mine' }), id: input.id, revision: 1 }
    await expect(studio.run((tx) => savePlan(tx, late))).rejects.toThrow('Somebody else changed this plan')
    // Whatever it is that was changed, and were it a word in the notes.
    for (const more of [{ notes: 'mine' }, { technique: 'ring' }, { pourOn: '2026-12-05' }, { kind: 'test' as const }])
      await expect(studio.run((tx) => savePlan(tx, { ...changed, ...more }))).rejects.toThrow('Somebody else')
    // The same again, because its answer was lost, is no second change.
    expect(await studio.run((tx) => savePlan(tx, changed))).toEqual({ revision: 2 })
    expect((await studio.run(listPlans)).map((p) => p.title)).toEqual(['Round ferry'])
  })
  it('may be left rough: a surface alone is a plan', async () => {
    const { studio } = await room()
    const rough = planInput([])
    await studio.run((tx) => savePlan(tx, rough))
    expect((await studio.run((tx) => findPlan(tx, rough.id))).parts).toEqual([])
  })
  it('refuses a bottle that is not there, and writes nothing then', async () => {
    const { studio } = await room()
    await expect(studio.run((tx) => savePlan(tx, planInput([uuidv7()])))).rejects.toMatchObject({ code: 'Conflict' })
    expect(await studio.run(listPlans)).toEqual([])
  })
  it('comes after a plan and a piece of this studio, and no other’s', async () => {
    const [{ studio, a }, other] = [await room(), await room()]
    const theirs = planInput([other.a])
    await other.studio.run((tx) => savePlan(tx, theirs))
    await expect(studio.run((tx) => savePlan(tx, planInput([a], { afterPlanId: theirs.id })))).rejects.toMatchObject({
      code: 'Conflict',
    })
    const sketch = planInput([a], { kind: 'sketch' })
    await studio.run((tx) => savePlan(tx, sketch))
    const large = planInput([a], { afterPlanId: sketch.id })
    await studio.run((tx) => savePlan(tx, large))
    expect((await studio.run((tx) => findPlan(tx, large.id))).afterPlanId).toBe(sketch.id)
  })
  it('refuses what points at a surface that is not in it, and an id that is there twice', async () => {
    const { studio, a } = await room()
    const plan = planInput([a])
    const [cup] = plan.design.cups
    const lost = { ...plan, design: { ...plan.design, cups: [{ ...cup!, on: uuidv7() }] } }
    await expect(studio.run((tx) => savePlan(tx, lost))).rejects.toThrow('points at a surface that is not in this plan')
    const twice = { ...plan, design: { ...plan.design, cups: [cup!, cup!] } }
    await expect(studio.run((tx) => savePlan(tx, twice))).rejects.toThrow('have one id')
  })
  it('takes a technique of the studio’s own, and no other studio’s', async () => {
    const [{ studio, a }, other] = [await room(), await room()]
    const key = `own-${uuidv7()}`
    await studio.run((tx) => saveTechnique(tx, { ...SHIPPED.of('ring'), key, name: 'Canal ring' } as never))
    await studio.run((tx) => savePlan(tx, planInput([a], { technique: key })))
    await expect(other.studio.run((tx) => savePlan(tx, planInput([other.a], { technique: key })))).rejects.toThrow(
      'There is no technique',
    )
  })
  it('says what every other open plan takes, and what was poured together', async () => {
    const { studio, a, b } = await room()
    const [open, poured, dropped] = [planInput([a, b], { pourOn: '2026-12-05' }), planInput([b, a]), planInput([a])]
    for (const p of [open, poured, dropped]) await studio.run((tx) => savePlan(tx, p))
    await studio.run((tx) => markPoured(tx, poured.id, undefined))
    await studio.run((tx) => dropPlan(tx, dropped.id))
    const takes = await studio.run(openTakes)
    // A square of 10 cm by the rule of 28, 16.371 ml, in two shares.
    expect(new Set(takes.map((t) => `${t.planId} ${t.pourOn}`))).toEqual(new Set([`${open.id} 2026-12-05`]))
    expect(new Set(takes.map((t) => t.vesselId))).toEqual(new Set([a, b]))
    expect(takes.reduce((sum, t) => sum + t.ul, 0)).toBe(16_371)
    expect(await studio.run(triedTogether)).toEqual([[a, b].sort().join(' ')])
    await expect(studio.run((tx) => savePlan(tx, { ...poured, revision: 1 }))).rejects.toThrow('poured already')
    await expect(studio.run((tx) => savePlan(tx, { ...dropped, revision: 1 }))).rejects.toThrow('put away')
  })
  it('belongs to a work, sketches first', async () => {
    const { studio, a } = await room()
    const work = {
      id: uuidv7(),
      revision: null,
      kind: 'commission' as const,
      title: 'Bakery',
      dueOn: '2026-12-24',
      forWhom: 'the bakery',
      agreedOn: null,
      agreedText: '',
      priceMinor: 48_000,
      notes: '',
    }
    await studio.run((tx) => saveWork(tx, work))
    for (const kind of ['final', 'sketch'] as const)
      await studio.run((tx) => savePlan(tx, planInput([a], { kind, workId: work.id, title: kind })))
    expect((await studio.run((tx) => plansOfWork(tx, work.id))).map((p) => p.title)).toEqual(['sketch', 'final'])
  })
})

describe('what is sent as a plan', () => {
  const good = planInput([uuidv7()])
  const check = (more: object) => () => planSchema.validateSync({ ...good, ...more })
  const inDesign = (more: object) => ({ design: { ...good.design, ...more } })
  const surface = (more: object) =>
    inDesign({ surfaces: [{ ...good.design.surfaces[0]!, surface: { ...good.design.surfaces[0]!.surface, ...more } }] })
  it('goes through unchanged', () => expect(planSchema.validateSync(good)).toEqual(good))
  it('takes every shape and school, and keeps nothing that is not in them', () => {
    const shapes = [
      { shape: 'round', diameterMm: 300 },
      { shape: 'ellipse', lengthMm: 300, widthMm: 200 },
      { shape: 'polygon', sides: 6, acrossMm: 200 },
      { shape: 'tiles', lengthMm: 100, widthMm: 100, across: 2, down: 3, gapMm: 2 },
      {
        shape: 'profile',
        points: [
          { heightMm: 0, radiusMm: 4 },
          { heightMm: 9, radiusMm: 5 },
        ],
      },
      { shape: 'area', areaMm2: 9_000 },
    ]
    for (const s of shapes) {
      const sent = {
        ...good,
        ...inDesign({ surfaces: [{ ...good.design.surfaces[0]!, surface: { ...s, edgeMm: 0, count: 1 } }] }),
      }
      expect((planSchema.validateSync(sent) as PlanInput).design.surfaces[0]!.surface).toEqual({
        ...s,
        edgeMm: 0,
        count: 1,
      })
    }
    for (const school of [
      { kind: 'film', wetMm: 1, runOffShare: 0.2 },
      { kind: 'learned', factor: 0.9 },
      { kind: 'own', ul: 9_000 },
    ])
      expect((planSchema.validateSync({ ...good, ...inDesign({ school }) }) as PlanInput).design.school).toEqual(school)
  })
  it.each([
    [{ title: ' ' }, 'Give the plan a title.'],
    [{ technique: '../x' }, 'Choose a technique.'],
    [{ pourOn: '2026-02-30' }, 'There is no such day'],
    [surface({ edgeMm: -1 }), 'The edge depth cannot be below zero.'],
    [surface({ lengthMm: 21_000 }), 'The length is more than 20 m. Check the unit.'],
    [surface({ count: 0 }), 'Plan at least one piece.'],
    [surface({ shape: 'cloud' }), 'Choose the shape of the surface.'],
    [
      inDesign({ school: { kind: 'film', wetMm: 30, runOffShare: 0 } }),
      'A wet film above 20 mm is not a film. Check the unit.',
    ],
    [inDesign({ school: { kind: 'guess' } }), 'Choose how the amount is found.'],
    [inDesign({ finishMinor: 1e9 }), 'That price is too high to be one. Check it.'],
    [inDesign({ surfaces: [] }), 'A plan wants at least one surface.'],
    [inDesign({ cups: [{ ...good.design.cups[0]!, copies: 0 }] }), 'Cups alike: at least one.'],
    [inDesign({ cups: [{ ...good.design.cups[0]!, at: [0] }] }), /tuple|at/],
  ])('refuses %j', (more, sentence) => expect(check(more)).toThrow(sentence))
})
