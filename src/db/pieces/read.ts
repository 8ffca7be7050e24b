import type { Fate, WayUp } from '@/core/piece/fates'
import type { LookMoment, Moment } from '@/core/piece/looks'
import type { StayedWay } from '@/core/run/stayed'
import { NotFound } from '@/core/errors'
import type { Surface } from '@/core/surface/shapes'
import { notUndone } from '../ledger'
import type { Tx } from '@/db/base/withStudio'
import { FAULTS_SEEN, IS_DUE, RATING } from './seen'

export interface PieceColour {
  readonly label: string
  readonly hex: string | null
  readonly ul: number
}

export interface Piece {
  readonly id: string
  readonly planId: string | null
  readonly vesselId: string
  readonly title: string
  readonly technique: string
  readonly surface: Surface
  readonly surfaceCostMinor: number
  readonly pouredAt: string
  readonly nextTime: string
  /** Of the newest look that rated it. */
  readonly rating: number | null
  /** Faults that were seen at any look, each once. */
  readonly faults: readonly string[]
  readonly fate: Fate
  readonly revision: number
  /** How far it hangs turned to the right from how it was poured, degrees. */
  readonly up: WayUp
  readonly fateOn: string | null
  readonly priceMinor: number | null
  readonly fateTo: string
  readonly fateReason: string
  /** Shared by the pieces of one set; null where it is one alone. */
  readonly setId: string | null
  /** The run it was poured in; null where it was booked at once. */
  readonly runId: string | null
  /** How it is known what stayed on it; null where nobody said. */
  readonly stayedHow: StayedWay | null
  readonly driesAt: string
  /** What the books say lies on it, µl. */
  readonly leftUl: number
  /** Looks it asks for. */
  readonly due: readonly {
    readonly moment: LookMoment
    readonly dueAt: string
    readonly doneAt: string | null
    /** Its time has come, and nobody has looked. */
    readonly isDue: boolean
  }[]
  /** What went in, bottle by bottle, most first. */
  readonly colours: readonly PieceColour[]
  readonly photos: readonly PhotoOfPiece[]
}

/** A photo of a piece; its pixels are asked for by its id. */
export interface PhotoOfPiece {
  readonly id: string
  readonly moment: Moment
  readonly width: number
  readonly height: number
  readonly takenAt: string
  /** In light from the side, for shine and skin. */
  readonly isRaked: boolean
  /** Size of the picture laid flat by its corners; null where they were not said. */
  readonly flat: { readonly width: number; readonly height: number } | null
}

/** What bottles gave a piece `p`, less what was poured back into them, by line. */
const GIVEN = `select l.from_vessel_id as bottle_id, round(l.ul * p.poured_share)::bigint as ul from movement_line l
    where l.studio_id = p.studio_id and l.movement_id = p.movement_id and l.to_vessel_id = p.poured_into
  union all
  select l.to_vessel_id, -l.ul from movement_line l
    join movement m on m.studio_id = l.studio_id and m.id = l.movement_id and m.kind = 'pour-back'
    where l.studio_id = p.studio_id and l.from_vessel_id = p.vessel_id
      and ${notUndone('m')}`

/** What the books say lies on a piece `p`, µl. */
const LEFT = `(select coalesce(sum(c.ul), 0) from vessel_content c where c.studio_id = p.studio_id and c.vessel_id = p.vessel_id)`

const SELECT = `select p.id, p.plan_id as "planId", p.vessel_id as "vesselId", p.title, p.technique, p.surface,
    p.surface_cost_minor as "surfaceCostMinor", p.poured_at as "pouredAt", p.next_time as "nextTime",
    ${RATING} as rating, ${FAULTS_SEEN} as faults, p.fate, p.revision, p.up, p.fate_on::text as "fateOn",
    p.price_minor as "priceMinor", p.fate_to as "fateTo", p.fate_reason as "fateReason", p.set_id as "setId", p.run_id as "runId", p.stayed_how as "stayedHow", p.dries_at as "driesAt",
    ${LEFT}::bigint as "leftUl",
    coalesce((select json_agg(json_build_object('moment', d.moment, 'dueAt', d.due_at, 'doneAt', d.done_at, 'isDue', ${IS_DUE}) order by d.due_at)
      from look_due d where d.studio_id = p.studio_id and d.piece_id = p.id), '[]') as due,
    coalesce((select json_agg(json_build_object('label', x.label, 'hex', x.hex, 'ul', x.ul) order by x.ul desc)
      from (select v.label, b.colour_hex as hex, sum(g.ul)::bigint as ul
            from (${GIVEN}) g
            join vessel v on v.studio_id = p.studio_id and v.id = g.bottle_id
            join bottle b on b.studio_id = p.studio_id and b.vessel_id = g.bottle_id
            group by v.id, v.label, b.colour_hex) x where x.ul > 0), '[]') as colours,
    coalesce((select json_agg(json_build_object('id', f.id, 'moment', f.moment, 'width', f.width, 'height', f.height, 'takenAt', f.taken_at,
      'isRaked', f.is_raked, 'flat', case when f.flat is not null then json_build_object('width', f.flat_width, 'height', f.flat_height) end) order by f.taken_at)
      from piece_photo f where f.studio_id = p.studio_id and f.piece_id = p.id), '[]') as photos
  from piece p`

/** The wall, newest first; pours that were undone do not hang there. */
export function listPieces(tx: Tx): Promise<Piece[]> {
  return tx.q<Piece>(`${SELECT} where p.studio_id = $1 and p.fate <> 'undone' order by p.poured_at desc limit 300`, [
    tx.studioId,
  ])
}

/** One piece. @throws NotFound */
export async function findPiece(tx: Tx, id: string): Promise<Piece> {
  const [row] = await tx.q<Piece>(`${SELECT} where p.studio_id = $1 and p.id = $2`, [tx.studioId, id])
  if (!row) throw new NotFound('piece')
  return row
}

/** Pieces a bottle was poured on, newest first, with how much of it went there. */
export function piecesPouredFrom(tx: Tx, vesselId: string): Promise<{ id: string; title: string; ul: number }[]> {
  return tx.q(
    `select p.id, p.title, t.ul from piece p
     cross join lateral (select sum(g.ul)::bigint as ul from (${GIVEN}) g where g.bottle_id = $2) t
     where p.studio_id = $1 and p.fate <> 'undone' and t.ul > 0
       and p.movement_id in (select movement_id from movement_line where studio_id = $1 and from_vessel_id = $2)
     order by p.poured_at desc limit 30`,
    [tx.studioId, vesselId],
  )
}

/** What each bottle really gave a piece, µl, less what was poured back. */
export function loadedOf(tx: Tx, pieceId: string): Promise<{ bottle: string; ul: number }[]> {
  return tx.q(
    `select t.bottle, t.ul from piece p
     cross join lateral (select g.bottle_id as bottle, sum(g.ul)::bigint as ul from (${GIVEN}) g group by 1) t
     where p.studio_id = $1 and p.id = $2 and t.ul > 0 order by t.ul desc`,
    [tx.studioId, pieceId],
  )
}

/** Pieces of a set, in the order they were poured. */
export function piecesOfSet(tx: Tx, setId: string): Promise<{ id: string; title: string }[]> {
  return tx.q(
    `select id, title from piece where studio_id = $1 and set_id = $2 and fate <> 'undone' order by length(title), title`,
    [tx.studioId, setId],
  )
}

/** Run-off of pieces of one technique, as far as it was weighed: how many, and the mean share of what was poured. */
export async function weighedRunOff(tx: Tx, technique: string): Promise<{ pieces: number; share: number }> {
  const [row] = await tx.q<{ pieces: number; share: number }>(
    `select count(*)::int as pieces, coalesce(avg(1 - x.left_ul / x.poured_ul), 0)::float8 as share from (
       select ${LEFT}::float8 as left_ul,
         (select sum(g.ul) from (${GIVEN}) g)::float8 as poured_ul
       from piece p where p.studio_id = $1 and p.technique = $2 and p.fate <> 'undone' and p.stayed_how in ('weighed', 'by run-off')
     ) x where x.poured_ul > 0`,
    [tx.studioId, technique],
  )
  return row!
}

/** The picture of a photo, JPEG; undefined where there is none. */
export async function photoImage(tx: Tx, id: string): Promise<Buffer | undefined> {
  const [photo] = await tx.q<{ image: Buffer }>('select image from piece_photo where studio_id = $1 and id = $2', [
    tx.studioId,
    id,
  ])
  return photo?.image
}

/** The same, of a piece that belongs to a plan of this work. */
export async function photoOfWork(tx: Tx, workId: string, id: string): Promise<Buffer | undefined> {
  const [photo] = await tx.q<{ image: Buffer }>(
    `select f.image from piece_photo f
     join piece p on p.studio_id = f.studio_id and p.id = f.piece_id
     join plan l on l.studio_id = p.studio_id and l.id = p.plan_id
     where f.studio_id = $1 and f.id = $2 and l.work_id = $3 and l.kind <> 'final'`,
    [tx.studioId, id, workId],
  )
  return photo?.image
}

/** A photo laid flat by its corners, JPEG; undefined where these were not said. */
export async function flatImage(tx: Tx, id: string): Promise<Buffer | undefined> {
  const [photo] = await tx.q<{ flat: Buffer | null }>('select flat from piece_photo where studio_id = $1 and id = $2', [
    tx.studioId,
    id,
  ])
  return photo?.flat ?? undefined
}

/** A look that is due, with the piece it is of. */
export interface LookToTake {
  readonly pieceId: string
  readonly title: string
  readonly moment: LookMoment
  readonly dueAt: string
  readonly isDue: boolean
}

/** Looks that are due now or within a year, the earliest first. */
export function looksToTake(tx: Tx): Promise<LookToTake[]> {
  return tx.q(
    `select p.id as "pieceId", p.title, d.moment, d.due_at as "dueAt", ${IS_DUE} as "isDue"
     from look_due d join piece p on p.studio_id = d.studio_id and p.id = d.piece_id
     where d.studio_id = $1 and d.done_at is null and (d.due_at > now() or ${IS_DUE})
       and p.fate not in ('undone', 'sold', 'gift', 'scrap', 'lost')
     order by d.due_at limit 300`,
    [tx.studioId],
  )
}
