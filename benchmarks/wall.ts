import { findSession } from '@/db/people/sessions'
import { studioFacts } from '@/db/people/studio'
import { withStudio, type Tx } from '@/db/base/withStudio'
import { PAGE, searchWall, wallChoices } from '@/db/pieces/wall'
import { techniqueBook } from '@/db/techniques/read'
import { person, signUp } from '../tests/support/accounts'
import { makeStudio } from '../tests/support/studio'
import { cookieOf } from './http'
import { compare, type Figure } from './measure'

const PIECES = 10_000
const RUNS = 5

/** So many pieces of three of some bottles each, with a look; written as the books have them. */
async function hang(tx: Tx, bottles: readonly string[], count: number): Promise<void> {
  await tx.q(
    `create temp table hung on commit drop as
     select i, gen_random_uuid() as id, gen_random_uuid() as vessel_id, gen_random_uuid() as movement_id,
       now() - i * interval '1 hour' as at from generate_series(1, $1::int) i`,
    [count],
  )
  await tx.q(`insert into vessel (studio_id, id, kind, label) select $1, vessel_id, 'pour', 'Piece ' || i from hung`, [
    tx.studioId,
  ])
  await tx.q(
    `insert into movement (studio_id, id, kind, request_id, payload_hash, at) select $1, movement_id, 'pour', gen_random_uuid(), 'x', at from hung`,
    [tx.studioId],
  )
  await tx.q(
    `insert into movement_line (studio_id, movement_id, line_no, lot_id, from_vessel_id, to_vessel_id, ul)
     select $1, h.movement_id, k, c.lot_id, c.vessel_id, h.vessel_id, 5000 + 1000 * k
     from hung h cross join generate_series(1, 3) k
     join vessel_content c on c.studio_id = $1 and c.vessel_id = ($2::uuid[])[1 + (h.i * 7 + k * 5) % array_length($2::uuid[], 1)]`,
    [tx.studioId, bottles],
  )
  await tx.q(
    `insert into piece (studio_id, id, vessel_id, poured_into, movement_id, title, technique, surface, poured_at, fate)
     select $1, id, vessel_id, vessel_id, movement_id, 'Ferry ' || i, (array['ring','swipe','open-cup'])[1 + i % 3],
       '{"shape":"rectangle","lengthMm":300,"widthMm":200,"edgeMm":20,"count":1}', at, (array['keep','sold','scrap'])[1 + i % 3] from hung`,
    [tx.studioId],
  )
  await tx.q(
    `insert into look (studio_id, piece_id, moment, words, rating, faults)
     select $1, id, 'dry', case when i % 50 = 0 then 'The lantern rises.' else 'Quiet.' end, 1 + i % 5,
       case when i % 9 = 0 then '[{"fault":"mud","spots":[],"much":2}]'::jsonb else '[]' end from hung`,
    [tx.studioId],
  )
}

/** The wall of 10,000 pieces: its first page and its searches as served HTML, against their own SQL. */
export async function wallFigures(url: string): Promise<Figure[]> {
  const signed = await signUp({ ...person(), studioName: 'Large wall' })
  const studio = await makeStudio(signed)
  const bottles: string[] = []
  for (let i = 0; i < 40; i++) {
    const hex = `#${[40 + 5 * i, (90 + 31 * i) % 256, (200 + 77 * i) % 256].map((c) => (c % 256).toString(16).padStart(2, '0')).join('')}`
    const bottle = await studio.bottle(`Bottle ${i}`, [
      { materialId: await studio.paint(`Paint ${i}`, { hex }), ul: 900_000 },
    ])
    await studio.run((tx) =>
      tx.q('update bottle set colour_hex = $3 where studio_id = $1 and vessel_id = $2', [tx.studioId, bottle, hex]),
    )
    bottles.push(bottle)
  }
  await studio.run((tx) => hang(tx, bottles, PIECES))
  const cookie = await cookieOf(signed.token)
  const views: readonly (readonly [string, string, Parameters<typeof searchWall>[1]])[] = [
    ['first page', '/wall', {}],
    ['search by words', '/wall?q=lantern', { words: 'lantern' }],
    ['search by colour', '/wall?colour=287dc8', { colour: '#287dc8' }],
    ['search by fault and rating', '/wall?fault=mud&rating=4', { fault: 'mud', rating: 4 }],
    ['page 100', `/wall?from=${99 * PAGE}`, { after: 99 * PAGE }],
  ]
  const figures: Figure[] = []
  for (const [name, path, search] of views) {
    const page = async () => {
      const response = await fetch(`${url}${path}`, { headers: { cookie } })
      if (response.status !== 200 || !(await response.text()).includes('Ferry')) throw new Error(`${path} did not come`)
    }
    const sql = async () => {
      await findSession(signed.token)
      await withStudio(signed, async (tx) => {
        await searchWall(tx, search)
        if (search?.fault) await wallChoices(tx)
        await techniqueBook(tx)
        await studioFacts(tx)
      })
    }
    const repeat = (work: () => Promise<unknown>) => async () => {
      for (let i = 0; i < RUNS; i++) await work()
    }
    figures.push(
      await compare(
        'time',
        `wall of 10,000, ${name}: served HTML against its SQL`,
        '≤ 3',
        RUNS,
        repeat(page),
        repeat(sql),
        5,
      ),
    )
  }
  return figures
}
