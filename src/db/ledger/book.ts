import { v7 as uuidv7 } from 'uuid'
import { Conflict, NotFound, OverCapacity } from '@/core/errors'
import { moveOf, type MovementKind } from '@/core/vessel/kinds'
import type { Loss } from '@/core/vessel/weighIn'
import { contentUl, type Portion } from '@/core/vessel/content'
import { formatMl } from '@/core/quantity/format'
import { payloadHash } from '../base/payloadHash'
import type { Tx } from '../base/withStudio'
import { noteAfter, noteBefore } from './before'

/** One line: `ul` of a lot from one vessel to another. From null = bought or found; to null = a purchase undone. */
export interface Line {
  readonly lotId: string
  readonly from: string | null
  readonly to: string | null
  readonly ul: number
}

/** A locked vessel with what it holds now. */
export interface HeldVessel {
  readonly id: string
  readonly label: string
  /** Waste, air and what was used without a plan: they take everything, and keep no content. */
  readonly sink: boolean
  readonly capacityUl: number | null
  readonly content: readonly Portion[]
}

export interface Booking {
  readonly kind: MovementKind
  /** Made by the client, once per intention: a repeated one answers what was booked. */
  readonly requestId: string
  /** What was asked for; the same request id with another payload is a Conflict. */
  readonly payload: unknown
  /** Vessels that give, or that have a capacity limit. Pure sinks stay unlocked. */
  readonly vessels: readonly string[]
  /** Sinks the lines may go to; they are not locked, and keep no content. */
  readonly sinks?: readonly string[]
  readonly reversesId?: string
  readonly at?: Date | undefined
  readonly note?: string
  /** Where a loss went, as the maker said. */
  readonly loss?: Loss | undefined
  /** Decides the lines from what the locked vessels hold. */
  decide(held: (id: string) => HeldVessel, movementId: string): Promise<Line[]> | Line[]
  /** What else of bottles follows, once the lines are written; what follows from their content alone is settled after it. */
  follow?(movementId: string): Promise<void>
  /** Works out what follows from the content of bottles it changed; whatever changes a mix has to bring it. */
  settle?(tx: Tx, vesselIds: readonly string[], keeps: boolean): Promise<void>
}

export interface Booked {
  readonly movementId: string
  /** True where this request id had been booked before: nothing new was written. */
  readonly replayed: boolean
}

interface OpenedRow {
  booked_id: string | null
  booked_hash: string | null
  vessel_id: string | null
  label: string | null
  sink: boolean | null
  capacity_ul: number | null
  lot_id: string | null
  ul: number | null
}

/**
 * The one path for every kind of movement: header and request id, locks in id order, contents read under the lock,
 * core decides, one statement writes lines and moves content. Where that changes what is in a bottle and not only how
 * much, the bottle is noted as it was for the undo, and all that follows from its content is settled.
 * @throws Conflict when the request id was used for something else; NotFound for a vessel of another studio;
 *   OverCapacity when a vessel with a limit would overflow; whatever `decide` throws
 */
export async function book(tx: Tx, booking: Booking): Promise<Booked> {
  const movementId = uuidv7()
  const hash = payloadHash(booking.kind, booking.payload)
  const vessels = [...new Set(booking.vessels)]
  const rows = await tx.q<OpenedRow>(
    'select * from open_movement($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11)',
    [
      tx.studioId,
      movementId,
      booking.kind,
      booking.requestId,
      hash,
      booking.reversesId ?? null,
      booking.at ?? null,
      tx.accountId,
      booking.note ?? '',
      vessels,
      booking.loss ?? null,
    ],
    'open_movement',
  )
  const before = rows[0]?.booked_id
  if (before) {
    if (rows[0]!.booked_hash !== hash)
      throw new Conflict('This was sent before with other amounts. Reload the page and book it anew.')
    return { movementId: before, replayed: true }
  }
  const held = new Map<string, HeldVessel & { content: Portion[] }>()
  for (const row of rows) {
    const vessel = held.get(row.vessel_id!) ?? {
      id: row.vessel_id!,
      label: row.label!,
      sink: row.sink!,
      capacityUl: row.capacity_ul,
      content: [],
    }
    if (row.lot_id && row.ul) vessel.content.push({ lotId: row.lot_id, ul: row.ul })
    held.set(vessel.id, vessel)
  }
  if (held.size !== vessels.length) throw new NotFound('bottle')
  const lines = await booking.decide((id) => {
    const vessel = held.get(id)
    if (!vessel) throw new Error('a vessel was not locked before it was asked for')
    return vessel
  }, movementId)
  checkCapacity(lines, held)
  const sinks = [...held.values()].filter((v) => v.sink).map((v) => v.id)
  const notKept = [...sinks, ...(booking.sinks ?? [])]
  const { alters, keeps } = moveOf(booking.kind)
  const altered = alters ? alteredBy(lines, alters, notKept) : []
  const mixes = alters === 'makes' ? altered : await noteBefore(tx, movementId, altered)
  await write(tx, movementId, lines, notKept)
  tx.touched.add('rack')
  await markEmptied(tx, lines, held, booking.at)
  await booking.follow?.(movementId)
  if (mixes.length) {
    if (!booking.settle) throw new Error(`${booking.kind} changes what is in bottles, and nothing settles it`)
    await booking.settle(tx, mixes, keeps === true)
  }
  if (alters !== 'makes') await noteAfter(tx, movementId, mixes)
  return { movementId, replayed: false }
}

/** The vessels whose composition lines change: those they go to, or those on either side. */
function alteredBy(lines: readonly Line[], alters: 'makes' | 'into' | 'in', notKept: readonly string[]): string[] {
  const ends = lines.flatMap((l) => (l.ul > 0 ? (alters === 'in' ? [l.from, l.to] : [l.to]) : []))
  return [...new Set(ends)].filter((id): id is string => id !== null && !notKept.includes(id))
}

/** What a vessel gains by the lines, less what it gives, µl. */
const movedUl = (lines: readonly Line[], id: string) =>
  lines.reduce((sum, l) => sum + (l.to === id ? l.ul : 0) - (l.from === id ? l.ul : 0), 0)

/** Takes bottles that a movement empties off the rack, and puts back those it fills again. */
async function markEmptied(
  tx: Tx,
  lines: readonly Line[],
  held: ReadonlyMap<string, HeldVessel>,
  at: Date | undefined,
): Promise<void> {
  const turned = [...held.values()].flatMap((v) => {
    const before = contentUl(v.content)
    const isEmpty = before + movedUl(lines, v.id) === 0
    return v.sink || isEmpty === (before === 0) ? [] : [{ id: v.id, isEmpty }]
  })
  if (turned.length === 0) return
  await tx.q(
    `update bottle b set emptied_at = case when t.is_empty then coalesce($4, now()) end
     from unnest($2::uuid[], $3::boolean[]) as t (id, is_empty) where b.studio_id = $1 and b.vessel_id = t.id`,
    [tx.studioId, turned.map((t) => t.id), turned.map((t) => t.isEmpty), at ?? null],
  )
}

function checkCapacity(lines: readonly Line[], held: ReadonlyMap<string, HeldVessel>): void {
  for (const vessel of held.values()) {
    if (vessel.capacityUl === null) continue
    const moved = movedUl(lines, vessel.id)
    const wouldHoldUl = contentUl(vessel.content) + moved
    if (moved > 0 && wouldHoldUl > vessel.capacityUl)
      throw new OverCapacity(
        `${vessel.label} holds ${formatMl(vessel.capacityUl)} at most, and ${formatMl(wouldHoldUl)} would be in it. Use a larger bottle, or split it over two.`,
        { vesselId: vessel.id, capacityUl: vessel.capacityUl, wouldHoldUl },
      )
  }
}

const writing = (filling: string) => `with line as (
    select * from unnest($3::uuid[], $4::uuid[], $5::uuid[], $6::bigint[]) with ordinality
      as l (lot_id, from_id, to_id, ul, line_no)
  ), written as (
    insert into movement_line (studio_id, movement_id, line_no, lot_id, from_vessel_id, to_vessel_id, ul)
    select $1, $2, line_no, lot_id, from_id, to_id, ul from line
  ), give as (
    select from_id, lot_id, sum(ul)::bigint as ul from line
    where from_id is not null and from_id <> all ($7::uuid[]) group by 1, 2
  ), decreased as (
    update vessel_content c set ul = c.ul - give.ul from give
    where c.studio_id = $1 and c.vessel_id = give.from_id and c.lot_id = give.lot_id
    returning 1
  )${filling}
  select (select count(*) from give)::int as wanted, (select count(*) from decreased)::int as decreased`
const WRITE = writing('')
const WRITE_AND_FILL = writing(`, increased as (
    insert into vessel_content as c (studio_id, vessel_id, lot_id, ul)
    select $1, to_id, lot_id, sum(ul)::bigint from line
    where to_id is not null and to_id <> all ($7::uuid[]) group by to_id, lot_id
    order by to_id, lot_id
    on conflict (studio_id, vessel_id, lot_id) do update set ul = c.ul + excluded.ul
  )`)

/** Writes the lines and moves the content in one statement; the count of decreased rows is the proof. */
async function write(tx: Tx, movementId: string, all: readonly Line[], sinks: readonly string[]): Promise<void> {
  const lines = all.filter((l) => l.ul > 0)
  if (lines.length === 0) return
  // Most withdrawals go to sinks, which keep no content: theirs is a statement without the half that fills vessels.
  const fills = lines.some((l) => l.to !== null && !sinks.includes(l.to))
  const [result] = await tx.q<{ wanted: number; decreased: number }>(
    fills ? WRITE_AND_FILL : WRITE,
    [
      tx.studioId,
      movementId,
      lines.map((l) => l.lotId),
      lines.map((l) => l.from),
      lines.map((l) => l.to),
      lines.map((l) => l.ul),
      sinks,
    ],
    fills ? 'write_and_fill' : 'write_lines',
  )
  if (!result || result.wanted !== result.decreased)
    throw new Conflict('What was to be taken is not there any more. Reload and look at the amounts.')
}
