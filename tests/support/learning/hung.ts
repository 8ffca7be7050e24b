import type { Tx } from '@/db/base/withStudio'

/**
 * Hangs pieces of three of some bottles each, written as the books have them, with a look each: every ninth is muddy, and
 * one in two that the first bottle is in has craters; every fiftieth has a lantern in its words.
 */
export async function hangMany(tx: Tx, bottles: readonly string[], count: number): Promise<void> {
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
    `insert into movement (studio_id, id, kind, request_id, payload_hash, at)
     select $1, movement_id, 'pour', gen_random_uuid(), 'x', at from hung`,
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
    `insert into vessel_content (studio_id, vessel_id, lot_id, ul)
     select l.studio_id, l.to_vessel_id, l.lot_id, sum(l.ul)::bigint from movement_line l
     join hung h on h.movement_id = l.movement_id where l.studio_id = $1 group by 1, 2, 3`,
    [tx.studioId],
  )
  await tx.q(
    `insert into piece (studio_id, id, vessel_id, poured_into, movement_id, title, technique, surface, poured_at, fate)
     select $1, id, vessel_id, vessel_id, movement_id, 'Ferry ' || i, (array['ring','swipe','open-cup'])[1 + i % 3],
       '{"shape":"rectangle","lengthMm":300,"widthMm":200,"edgeMm":20,"count":1}', at, (array['keep','sold','scrap'])[1 + i % 3] from hung`,
    [tx.studioId],
  )
  await tx.q(
    `insert into look (studio_id, piece_id, moment, words, rating, faults)
     select $1, h.id, 'dry', case when h.i % 50 = 0 then 'The lantern rises.' else 'Quiet.' end, 1 + h.i % 5,
       (case when h.i % 9 = 0 then '[{"fault":"mud","spots":[],"much":2}]'::jsonb else '[]' end)
         || (case when h.i % 2 = 0 and exists (select from movement_line l where l.studio_id = $1
           and l.movement_id = h.movement_id and l.from_vessel_id = $2) then '[{"fault":"craters","spots":[],"much":2}]'::jsonb else '[]' end)
     from hung h`,
    [tx.studioId, bottles[0]],
  )
}

/** So many movements that stand, one bottle taken from a little each time; written as the books have them. */
export async function moveMany(tx: Tx, bottle: string, count: number): Promise<void> {
  await tx.q(
    `with made as (
       insert into movement (studio_id, id, kind, request_id, payload_hash, at, note)
       select $1, gen_random_uuid(), 'take-out', gen_random_uuid(), 'x', now() - i * interval '1 minute', 'for a card'
       from generate_series(1, $3::int) i returning id
     )
     insert into movement_line (studio_id, movement_id, line_no, lot_id, from_vessel_id, to_vessel_id, ul)
     select $1, m.id, 1, c.lot_id, c.vessel_id, v.id, 10 from made m
     join vessel_content c on c.studio_id = $1 and c.vessel_id = $2
     join vessel v on v.studio_id = $1 and v.kind = 'out'`,
    [tx.studioId, bottle, count],
  )
}
