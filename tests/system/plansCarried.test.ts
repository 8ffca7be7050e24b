import { v7 as uuidv7 } from 'uuid'
import { planAmounts } from '@/core/plan/amounts'
import type { Design } from '@/core/plan/design'
import { designSchema } from '@/db/plans/designSchema'
import { migrating } from '../support/migrating'

const { db, up, begin, end } = migrating(`carried_${process.pid}`)
beforeAll(begin)
afterAll(end)

/** Plans as they were: one surface, one cup by parts, what was planned apart. */
const OLD = [
  {
    surface: { shape: 'rectangle', lengthMm: 406.4, widthMm: 508, edgeMm: 20, count: 1 },
    coverage: { kind: 'rule-of-28' },
    cost: 750,
    cupUl: 337_983,
    parts: [
      ['cup', 2, 225_322],
      ['cup', 1, 112_661],
      ['base coat', null, 50_000],
      ['reserve', null, 20_000],
    ],
  },
  {
    surface: { shape: 'round', diameterMm: 300, edgeMm: 0, count: 3 },
    coverage: { kind: 'film', wetMm: 1, runOffShare: 0 },
    // Does not divide by three.
    cost: 1000,
    cupUl: 212_058,
    parts: [['cup', 1, 212_058]],
  },
  {
    surface: { shape: 'rectangle', lengthMm: 100, widthMm: 100, edgeMm: 0, count: 1 },
    coverage: { kind: 'rule-of-28' },
    cost: 0,
    cupUl: 16_371,
    parts: [['slip coat', null, 9_000]],
  },
] as const

it('plans made before surfaces, cups and layers are carried over without loss', async () => {
  await up(11)
  const studio = uuidv7()
  const ids = OLD.map(() => uuidv7())
  // Rows that what they point at is not wanted for.
  await db.query('set session_replication_role = replica')
  for (const [i, p] of OLD.entries()) {
    await db.query(
      `insert into plan (studio_id, id, title, technique, surface, coverage, surface_cost_minor, cup_ul, notes)
       values ($1, $2, $3, 'ring', $4, $5, $6, $7, 'kept')`,
      [studio, ids[i], `Plan ${i}`, JSON.stringify(p.surface), JSON.stringify(p.coverage), p.cost, p.cupUl],
    )
    for (const [line, [use, parts, ul]] of p.parts.entries())
      await db.query(
        `insert into plan_part (studio_id, plan_id, line_no, use, vessel_id, parts, ul) values ($1, $2, $3, $4, $5, $6, $7)`,
        [studio, ids[i], line + 1, use, uuidv7(), parts, ul],
      )
  }
  await db.query('set session_replication_role = origin')
  await up(1)
  const { rows } = await db.query<{ title: string; notes: string; design: Design; cup_ul: string }>(
    'select title, notes, design, cup_ul from plan order by title',
  )
  expect(rows).toHaveLength(3)
  for (const [i, row] of rows.entries()) {
    const old = OLD[i]!
    // It has the shape that is asked of every plan today.
    expect(designSchema.validateSync(row.design)).toEqual(row.design)
    const [surface] = row.design.surfaces
    expect(surface!.surface).toEqual(old.surface)
    expect(surface!.eachMinor * old.surface.count + row.design.disposablesMinor).toBe(old.cost)
    expect(row.notes).toBe('kept')
    // Worked out anew it takes what it took.
    const amounts = planAmounts(row.design)
    if (old.parts.some(([use]) => use === 'cup')) expect(amounts.pourUl).toBe(old.cupUl)
    expect(amounts.parts.map((p) => [p.use, p.ul])).toEqual(old.parts.map(([use, , ul]) => [use, ul]))
    const { rows: parts } = await db.query<{ use: string; ul: string; vessel_id: string }>(
      'select use, ul, vessel_id from plan_part where plan_id = $1 order by line_no',
      [ids[i]],
    )
    expect(parts.map((p) => [p.use, Number(p.ul), p.vessel_id])).toEqual(
      amounts.parts.map((p) => [p.use, p.ul, p.of.id]),
    )
  }
})
