import { factsFromTexts, needsOf } from '@/core/vessel/needs'
import { isPigmentName } from '@/core/paint/properties'
import { needs } from '@/core/plan/amounts'
import { bottlesInUse } from '@/db/bottles/read'
import { demoDoor } from '@/db/people/demoDoor'
import { listPlans } from '@/db/plans/read'
import { endPool, pool } from '@/db/base/pool'
import { rackBottles } from '@/db/bottles/rack'
import { withStudio, type Tx } from '@/db/base/withStudio'
import { allMaterials } from '@/db/materials/read'
import { listPieces } from '@/db/pieces/read'
import { DISCONTINUED, FLAGS, LOW_ML, OFFERS, PAINTED_OUT, PAIRS, SUBSTITUTES, TAGS } from './catalogue'
import { COLOURS } from './colours'
import { MEDIUMS, PAINTS } from './paints'
import { seedDemo } from './seed'
import { BOTTLES, POURS } from './work'

afterAll(endPool)

describe('the data of the demo studio', () => {
  it('names each paint once, with real Colour Index names only', () => {
    expect(new Set(PAINTS.map((p) => p[2])).size).toBe(PAINTS.length)
    for (const p of PAINTS)
      for (const pigment of p[3].split(' ')) expect([p[2], isPigmentName(pigment)]).toEqual([p[2], true])
  })
  it('mixes and pours only what it has', () => {
    const materials = new Set([...PAINTS, ...MEDIUMS].map((m) => m[2]))
    for (const b of BOTTLES)
      for (const [name] of [...b.formula, ...b.mediums]) expect([b.label, materials.has(name)]).toEqual([b.label, true])
    const labels = new Set(BOTTLES.map((b) => b.label))
    for (const p of POURS) for (const [label] of p.cup) expect([p.title, labels.has(label)]).toEqual([p.title, true])
    const named = [
      ...[FLAGS, LOW_ML, TAGS, DISCONTINUED, SUBSTITUTES].flatMap((o) => Object.keys(o)),
      ...PAINTED_OUT,
      ...COLOURS.flatMap((c) => [
        ...(c.standsInFor ? [c.standsInFor] : []),
        ...c.versions.flatMap((v) => v.parts.map(([name]) => name)),
      ]),
      ...PAIRS.flatMap(([a, b]) => [a, b]),
      ...Object.values(DISCONTINUED).flatMap((parts) => parts.map(([name]) => name)),
      ...Object.values(SUBSTITUTES).flat(),
      ...OFFERS.map(([name]) => name),
    ]
    for (const name of named) expect([name, materials.has(name)]).toEqual([name, true])
    for (const b of BOTTLES) expect(b.ml).toBeLessThanOrEqual(b.holds)
  })
})

describe('the demo studio', () => {
  const now = new Date()
  const run = async <T>(work: (tx: Tx) => Promise<T>) => withStudio((await demoDoor('a computer'))!, work)
  beforeAll(() => seedDemo(now))

  it('is made once', async () => {
    expect(await seedDemo(now)).toBe(false)
    const { rows } = await pool().query(
      `select count(*)::int as n from account where email like '%@lock-house.example'`,
    )
    expect(rows[0].n).toBe(3)
  })
  it('has paints, mediums, bottles and pieces as many as promised', async () => {
    const materials = await run(allMaterials)
    expect(materials.filter((m) => m.kind === 'paint')).toHaveLength(60)
    expect(materials.filter((m) => m.kind === 'medium')).toHaveLength(8)
    const all = [...(await run((tx) => rackBottles(tx, false))), ...(await run((tx) => rackBottles(tx, true)))]
    expect(all.filter((b) => !b.isJar)).toHaveLength(36)
    expect(all.filter((b) => b.isJar)).toHaveLength(1)
    const pieces = await run(listPieces)
    expect(pieces).toHaveLength(46)
    expect(pieces.some((p) => p.faults.length > 0)).toBe(true)
    expect(
      pieces.some((p) => p.photos.some((f) => f.moment === 'wet') && p.photos.some((f) => f.moment === 'dry')),
    ).toBe(true)
  })
  it('has bottles in every state', async () => {
    const needs = (await run(bottlesInUse)).map((b) => needsOf(factsFromTexts(b, now.getTime()), now.getTime(), String))
    const kinds = new Set(needs.flat().map((n) => n.kind))
    expect([...kinds].sort()).toEqual(['check', 'evaporated', 'keep', 'low', 'resting', 'shake', 'thickened'])
    expect(needs.some((n) => n.length === 0)).toBe(true)
    expect(await run((tx) => rackBottles(tx, true))).not.toHaveLength(0)
  })
  it('plans a commission for which one bottle is short', async () => {
    const plan = (await run(listPlans)).find((p) => p.title === 'Bakery commission')!
    const have = new Map((await run(bottlesInUse)).map((b) => [b.id, b.ul]))
    const short = needs(plan.parts, have).filter((n) => n.shortUl > 0)
    expect(short.map((n) => plan.parts.find((p) => p.of.id === n.of.id)!.label)).toEqual(['Bakery teal'])
  })
  it('balances to the microlitre', async () => {
    const rows = await run((tx) =>
      tx.q(
        `select l.id,
           (select coalesce(sum(ul), 0)::bigint from vessel_content c where c.studio_id = $1 and c.lot_id = l.id) as held,
           (select coalesce(sum(case when from_vessel_id is null then ul else 0 end), 0)::bigint
              - coalesce(sum(ul) filter (where v.kind in ('waste', 'air', 'out')), 0)::bigint
            from movement_line x left join vessel v on v.studio_id = $1 and v.id = x.to_vessel_id
            where x.studio_id = $1 and x.lot_id = l.id) as came
         from lot l where l.studio_id = $1`,
        [tx.studioId],
      ),
    )
    expect(rows.length).toBeGreaterThan(40)
    for (const r of rows as { held: number; came: number }[]) expect(r.held).toBe(r.came)
  })
})
