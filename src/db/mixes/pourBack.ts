import { Conflict, Invalid, NotEnough, NotFound } from '@/core/errors'
import { formatMl } from '@/core/quantity/format'
import { contentUl, inProportion, type Portion } from '@/core/vessel/content'
import type { Tx } from '../base/withStudio'
import type { Booked } from '../ledger/book'
import { bookMix } from './settle'
import { notUndone } from '../ledger/notUndone'
import type { Follow } from '../ledger/undo'
import { mixedIn, watered } from './water'

/** Something that left a bottle and may go back into it. */
export interface MayGoBack {
  readonly movementId: string
  readonly kind: 'take-out' | 'pour'
  readonly at: string
  /** What it was for: the note of a taking, the title of a pour. */
  readonly what: string
  /** Of what left, what has not gone back yet, µl. */
  readonly leftUl: number
}

/** How many of the last takings and pours of a bottle are offered. */
const OFFERED = 5

/** Lines of a movement out of a bottle, less what went back of them, by lot: `m` the movement, `$2` the bottle. */
const LEFT = `select x.lot_id, sum(x.ul)::bigint as ul, (array_agg(x.to_vessel_id) filter (where x.ul > 0))[1] as "to"
  from (
    select l.lot_id, l.ul, l.to_vessel_id from movement_line l
    where l.studio_id = m.studio_id and l.movement_id = m.id and l.from_vessel_id = $2
    union all
    select l.lot_id, -l.ul, null from poured_back p
    join movement_line l on l.studio_id = p.studio_id and l.movement_id = p.movement_id and l.to_vessel_id = $2
    where p.studio_id = m.studio_id and p.of_movement_id = m.id
      and ${notUndone('p', 'movement_id')}
  ) x group by x.lot_id`

/** What was lately taken out of a bottle or poured from it, and could go back, newest first. */
export function mayGoBack(tx: Tx, vesselId: string): Promise<MayGoBack[]> {
  return tx.q<MayGoBack>(
    `select m.id as "movementId", m.kind, m.at, case when m.kind = 'pour' then v.label else m.note end as what,
       t.ul as "leftUl"
     from (select distinct movement_id from movement_line where studio_id = $1 and from_vessel_id = $2) gave
     join movement m on m.studio_id = $1 and m.id = gave.movement_id
     cross join lateral (select sum(s.ul)::bigint as ul, (array_agg(s."to") filter (where s."to" is not null))[1] as "to" from (${LEFT}) s) t
     left join vessel v on v.studio_id = m.studio_id and v.id = t."to"
     where m.studio_id = $1 and m.kind in ('take-out', 'pour') and t.ul > 0 and ${notUndone('m')}
     order by m.at desc, m.id desc limit $3`,
    [tx.studioId, vesselId, OFFERED],
  )
}

export interface PourBack {
  readonly requestId: string
  /** The bottle it goes back into. */
  readonly vesselId: string
  /** The taking or the pour it left by. */
  readonly movementId: string
  readonly ul: number
}

/**
 * Pours unused colour or medium back into the bottle it was taken or poured from, of the composition it left with.
 * @throws NotEnough for more than left; Conflict where that was undone; OverCapacity, NotFound, Invalid
 */
export async function pourBack(tx: Tx, p: PourBack): Promise<Booked> {
  if (!(p.ul > 0)) throw new Invalid('Type how much goes back, more than nothing.', 'amount')
  const left = () =>
    tx.q<Portion & { to: string | null; kind: string; undone: boolean }>(
      `select s.lot_id as "lotId", s.ul, s."to", m.kind, not (${notUndone('m')}) as undone
       from movement m cross join lateral (${LEFT}) s
       where m.studio_id = $1 and m.id = $3 and m.kind in ('take-out', 'pour') order by s.lot_id`,
      [tx.studioId, p.vesselId, p.movementId],
    )
  const [first] = await left()
  if (!first?.to) throw new NotFound('pour from this bottle')
  const from = first.to
  const isSink = first.kind === 'take-out'
  let before = { ul: 0, waterUl: 0 }
  return bookMix(tx, {
    kind: 'pour-back',
    requestId: p.requestId,
    payload: { vesselId: p.vesselId, movementId: p.movementId, ul: p.ul },
    vessels: isSink ? [p.vesselId] : [p.vesselId, from],
    sinks: isSink ? [from] : [],
    async decide() {
      // Read again under the lock: another device may have poured back meanwhile, or undone it all.
      const rows = await left()
      if (rows.some((r) => r.undone)) throw new Conflict('That was undone, so all of it is in the bottle again.')
      const content = rows.filter((r) => r.ul > 0)
      const haveUl = contentUl(content)
      if (p.ul > haveUl)
        throw new NotEnough(
          `${formatMl(haveUl)} of it may still go back, and ${formatMl(p.ul)} are named. Weigh what is left, or choose what else it was taken for.`,
          { vesselId: p.vesselId, haveUl, needUl: p.ul },
        )
      before = await watered(tx, p.vesselId)
      return inProportion(content, p.ul).map((l) => ({ ...l, from, to: p.vesselId }))
    },
    async follow(movementId) {
      await tx.q('insert into poured_back (studio_id, movement_id, of_movement_id) values ($1, $2, $3)', [
        tx.studioId,
        movementId,
        p.movementId,
      ])
      await mixedIn(tx, p.vesselId, before)
    },
  })
}

/** What was taken is not undone while part of it has gone back: it would be in the bottle twice. */
export const notWhileBack: Follow = async (tx, { movementId }) => {
  const back = await tx.q(
    `select 1 from poured_back p where p.studio_id = $1 and p.of_movement_id = $2
       and ${notUndone('p', 'movement_id')}`,
    [tx.studioId, movementId],
  )
  if (back.length) throw new Conflict('Part of it was poured back since. Undo that first, then this.')
}
