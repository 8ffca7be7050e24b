import { v7 as uuidv7 } from 'uuid'
import { migrating } from '../support/migrating'

const { db, up, begin, end } = migrating(`apart_${process.pid}`)
beforeAll(begin)
afterAll(end)

it('a set that hung as one piece becomes a piece for each object, and what lies on it is shared by area', async () => {
  await up(13)
  const [studio, set, alone, lots] = [uuidv7(), uuidv7(), uuidv7(), [uuidv7(), uuidv7()]]
  const vessels = [uuidv7(), uuidv7()]
  const movement = uuidv7()
  const square = (lengthMm: number, count: number) => ({ shape: 'rectangle', lengthMm, widthMm: 100, edgeMm: 0, count })
  const plan = uuidv7()
  await db.query(`insert into studio (studio_id, name) values ($1, 'Room')`, [studio])
  // Rows that what they point at is not wanted for.
  await db.query('set session_replication_role = replica')
  await db.query(
    `insert into plan (studio_id, id, title, technique, design, cup_ul) values ($1, $2, 'Ferry', 'ring', $3, 0)`,
    [
      studio,
      plan,
      // Two of 100 and one of 300 by 100: 1/5, 1/5, 3/5 of the face.
      JSON.stringify({ surfaces: [{ surface: square(100, 2) }, { surface: square(300, 1) }] }),
    ],
  )
  for (const id of lots)
    await db.query('insert into lot (studio_id, id, material_id, tracked) values ($1, $2, $3, false)', [
      studio,
      id,
      uuidv7(),
    ])
  for (const id of vessels)
    await db.query(`insert into vessel (studio_id, id, kind, label) values ($1, $2, 'pour', 'Ferry')`, [studio, id])
  await db.query(
    `insert into movement (studio_id, id, kind, request_id, payload_hash) values ($1, $2, 'pour', $3, '')`,
    [studio, movement, uuidv7()],
  )
  for (const [i, [lot, ul]] of [
    [lots[0], 10_003],
    [lots[1], 7],
  ].entries())
    await db
      .query('insert into vessel_content (studio_id, vessel_id, lot_id, ul) values ($1, $2, $3, $4)', [
        studio,
        vessels[0],
        lot,
        ul,
      ])
      .then(() =>
        db.query(
          'insert into movement_line (studio_id, movement_id, line_no, lot_id, to_vessel_id, ul) values ($1, $2, $3, $4, $5, $6)',
          [studio, movement, i + 1, lot, vessels[0], ul],
        ),
      )
  for (const [i, [id, planId]] of [
    [set, plan],
    [alone, null],
  ].entries())
    await db.query(
      `insert into piece (studio_id, id, plan_id, vessel_id, movement_id, title, technique, surface, surface_cost_minor, poured_at, rating, fate)
       values ($1, $2, $3, $4, $5, 'Ferry', 'ring', $6, 500, now(), 4, 'keep')`,
      [studio, id, planId, vessels[i], i ? uuidv7() : movement, JSON.stringify(square(300, 1))],
    )
  await db.query('set session_replication_role = origin')
  await up(1)

  const { rows } = await db.query<{
    title: string
    count: number
    length: number
    cost: number
    share: number
    rating: number
    set_id: string
    content: string[]
  }>(
    `select p.title, (p.surface ->> 'count')::int as count, (p.surface ->> 'lengthMm')::int as length, p.surface_cost_minor::int as cost,
       p.poured_share as share, p.rating, p.set_id,
       array(select c.ul::text from vessel_content c where c.studio_id = p.studio_id and c.vessel_id = p.vessel_id order by c.lot_id) as content
     from piece p where p.set_id is not null order by p.title`,
  )
  expect(rows.map((r) => [r.title, r.count, r.length, r.cost, r.rating, r.set_id])).toEqual([
    ['Ferry (1)', 1, 100, 100, 4, set],
    ['Ferry (2)', 1, 100, 100, 4, set],
    ['Ferry (3)', 1, 300, 300, 4, set],
  ])
  expect(rows.map((r) => r.share)).toEqual([0.2, 0.2, 0.6])
  // 10,003 and 7 µl: a fifth, a fifth and three fifths, and the first keeps what rounding leaves.
  expect(rows.map((r) => r.content.map(Number))).toEqual([
    [2_002, 2],
    [2_000, 1],
    [6_001, 4],
  ])
  const one = await db.query('select title, set_id, poured_share from piece where id = $1', [alone])
  expect(one.rows).toEqual([{ title: 'Ferry', set_id: null, poured_share: 1 }])
  // Per lot, what went in is what lies there: nothing was made and nothing lost.
  const sums = await db.query<{ lot: string; ul: string }>(
    'select lot_id as lot, sum(ul) as ul from vessel_content where studio_id = $1 group by 1 order by 1',
    [studio],
  )
  expect(sums.rows.map((r) => Number(r.ul))).toEqual([10_003, 7])
  const lines = await db.query<{ kind: string; n: number }>(
    `select m.kind, count(*)::int as n from movement m join movement_line l on l.studio_id = m.studio_id and l.movement_id = m.id where m.studio_id = $1 group by 1 order by 1`,
    [studio],
  )
  expect(lines.rows).toEqual([
    { kind: 'pour', n: 2 },
    { kind: 'set-split', n: 4 },
  ])
})
