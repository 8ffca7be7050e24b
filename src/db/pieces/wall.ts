import { deltaE00 } from '@/core/colour/deltaE00'
import { hexToLab } from '@/core/colour/lab'
import { NotFound } from '@/core/errors'
import type { Fate } from '@/core/piece/fates'
import type { Surface } from '@/core/surface/shapes'
import type { Tx } from '../base/withStudio'
import { BEST_PHOTO, FAULTS_SEEN, IS_DUE, RATING } from './seen'

/** What the wall is searched for; all of it together. */
export interface WallSearch {
  /** Words in title, looks, next time and to whom it went. */
  readonly words?: string | undefined
  readonly technique?: string | undefined
  readonly fault?: string | undefined
  readonly fate?: string | undefined
  /** At least this rating. */
  readonly rating?: number | undefined
  /** A bottle it was poured from; a paint that is in it. */
  readonly bottle?: string | undefined
  readonly paint?: string | undefined
  /** Long side of its face, mm. */
  readonly fromMm?: number | undefined
  readonly toMm?: number | undefined
  /** `#rrggbb`: pieces with a fair share of it come, the nearest and largest first. */
  readonly colour?: string | undefined
  /** How many of the newest (or the best) are left out. */
  readonly after?: number | undefined
}

/** A piece as it hangs on the wall. */
export interface WallPiece {
  readonly id: string
  readonly title: string
  readonly technique: string
  readonly surface: Surface
  readonly pouredAt: string
  readonly rating: number | null
  readonly faults: readonly string[]
  readonly fate: Fate
  readonly up: number
  /** Somebody should look at it now. */
  readonly isDue: boolean
  /** The photo that shows it best; null where there is none. */
  readonly photo: {
    readonly id: string
    readonly moment: string
    readonly width: number
    readonly height: number
    readonly isFlat: boolean
  } | null
  /** Share of its face that is of the colour that was looked for, 0–1. */
  readonly share: number | null
}

export interface WallPage {
  readonly pieces: readonly WallPiece[]
  readonly total: number
}

/** Pieces a page of the wall shows. */
export const PAGE = 24
/** A colour is another from this ΔE00 on. Start value of Fika. */
const FARTHEST = 14
/** Least share of a face for a piece to be found by a colour. Start value of Fika. */
const LEAST_SHARE = 0.04

const likeOf = (words: string) => `%${words.replace(/[\\%_]/g, (c) => `\\${c}`)}%`

/** Colours that bottles and measured faces have and that are about `hex`, with how near each is: 1 the same, 0 another. */
async function coloursLike(tx: Tx, hex: string): Promise<{ hexes: string[]; near: number[] }> {
  const wanted = hexToLab(hex)
  const all = await tx.q<{ hex: string }>(
    `select distinct colour_hex as hex from bottle where studio_id = $1 and colour_hex is not null
     union select distinct hex from seen_colour where studio_id = $1`,
    [tx.studioId],
  )
  const like = all
    .map((c) => ({ hex: c.hex, near: 1 - deltaE00(wanted, hexToLab(c.hex)) / FARTHEST }))
    .filter((c) => c.near > 0)
  return { hexes: like.map((c) => c.hex), near: like.map((c) => c.near) }
}

/**
 * Pieces that hold colours `hexes` (a parameter each for them and how near they are), with the share of them: seen where
 * the face was measured, else poured.
 */
const holding = (hexes: string, near: string) => `(
    select s.studio_id, s.piece_id as id, sum(s.share * c.near) as near, sum(s.share) as share
    from seen_colour s join unnest(${hexes}::text[], ${near}::float8[]) as c (hex, near) on c.hex = s.hex
    where s.studio_id = $1 group by 1, 2
    union all
    select i.studio_id, i.id, sum(l.ul * c.near) / sum(l.ul), sum(l.ul) filter (where c.hex is not null) / sum(l.ul)
    from piece i
    join movement_line l on l.studio_id = i.studio_id and l.movement_id = i.movement_id and l.to_vessel_id = i.poured_into
    join bottle b on b.studio_id = l.studio_id and b.vessel_id = l.from_vessel_id
    left join unnest(${hexes}::text[], ${near}::float8[]) as c (hex, near) on c.hex = b.colour_hex
    where i.studio_id = $1 and not exists (select 1 from seen_colour s where s.studio_id = i.studio_id and s.piece_id = i.id)
    group by 1, 2
  )`

/**
 * A page of the wall, newest first, or by a colour: then by how much of the face it takes and how near it is. A face that
 * was measured counts as it is seen; others by what was poured.
 */
export async function searchWall(tx: Tx, s: WallSearch = {}): Promise<WallPage> {
  const values: unknown[] = [tx.studioId]
  const put = (v: unknown) => `$${values.push(v)}`
  const where = [`p.studio_id = $1 and p.fate <> 'undone'`]
  if (s.words) {
    const like = put(likeOf(s.words))
    where.push(`(p.title ilike ${like} or p.next_time ilike ${like} or p.fate_to ilike ${like} or p.fate_reason ilike ${like}
      or exists (select 1 from look k where k.studio_id = p.studio_id and k.piece_id = p.id and k.words ilike ${like}))`)
  }
  if (s.technique) where.push(`p.technique = ${put(s.technique)}`)
  if (s.fate) where.push(`p.fate = ${put(s.fate)}`)
  if (s.fault)
    where.push(`exists (select 1 from look k where k.studio_id = p.studio_id and k.piece_id = p.id
      and k.faults @> ${put(JSON.stringify([{ fault: s.fault }]))}::jsonb)`)
  if (s.rating) where.push(`${RATING} >= ${put(s.rating)}`)
  if (s.bottle)
    where.push(`exists (select 1 from movement_line l where l.studio_id = p.studio_id and l.movement_id = p.movement_id
      and l.to_vessel_id = p.poured_into and l.from_vessel_id = ${put(s.bottle)})`)
  if (s.paint)
    where.push(`exists (select 1 from vessel_content c join lot on lot.studio_id = c.studio_id and lot.id = c.lot_id
      where c.studio_id = p.studio_id and c.vessel_id = p.vessel_id and lot.material_id = ${put(s.paint)})`)
  if (s.fromMm) where.push(`${LONG_SIDE} >= ${put(s.fromMm)}`)
  if (s.toMm) where.push(`${LONG_SIDE} <= ${put(s.toMm)}`)
  let share = 'null::float8'
  let order = 'p.poured_at desc, p.id desc'
  let from = 'piece p'
  if (s.colour) {
    const like = await coloursLike(tx, s.colour)
    from = `${holding(put(like.hexes), put(like.near))} h join piece p on p.studio_id = h.studio_id and p.id = h.id`
    share = 'h.share::float8'
    order = 'h.near desc, p.poured_at desc, p.id desc'
    where.push(`h.share >= ${LEAST_SHARE}`)
  }
  const [{ total }] = (await tx.q<{ total: number }>(
    `select count(*)::int as total from ${from} where ${where.join(' and ')}`,
    values,
  )) as [{ total: number }]
  const ids = await tx.q<{ id: string; share: number | null }>(
    `select p.id, ${share} as share from ${from} where ${where.join(' and ')} order by ${order}
     limit ${PAGE} offset ${put(s.after ?? 0)}`,
    values,
  )
  const shown = await tx.q<Omit<WallPiece, 'share'>>(SHOWN, [tx.studioId, ids.map((i) => i.id)])
  const byId = new Map(shown.map((p) => [p.id, p]))
  return { total, pieces: ids.flatMap(({ id, share: of }) => (byId.has(id) ? [{ ...byId.get(id)!, share: of }] : [])) }
}

/** Long side of a face, mm, as far as its shape says. */
const LONG_SIDE = `greatest((p.surface ->> 'lengthMm')::float8, (p.surface ->> 'widthMm')::float8,
    (p.surface ->> 'diameterMm')::float8, (p.surface ->> 'acrossMm')::float8)`

const SHOWN = `select p.id, p.title, p.technique, p.surface, p.poured_at as "pouredAt", ${RATING} as rating, ${FAULTS_SEEN} as faults,
    p.fate, p.up, ${BEST_PHOTO} as photo,
    exists (select 1 from look_due d where d.studio_id = p.studio_id and d.piece_id = p.id and ${IS_DUE}) as "isDue"
  from piece p where p.studio_id = $1 and p.id = any ($2)`

/** One piece as it hangs on the wall. @throws NotFound */
export async function findOnWall(tx: Tx, id: string): Promise<Omit<WallPiece, 'share'>> {
  const [piece] = await tx.q<Omit<WallPiece, 'share'>>(SHOWN, [tx.studioId, [id]])
  if (!piece) throw new NotFound('piece')
  return piece
}

/** Bottles that were poured from and paints that lie on pieces, to choose from. */
export async function wallChoices(
  tx: Tx,
): Promise<{ bottles: { id: string; label: string }[]; paints: { id: string; name: string }[] }> {
  return {
    bottles: await tx.q(
      `select v.id, v.label from vessel v join bottle b on b.studio_id = v.studio_id and b.vessel_id = v.id
       where v.studio_id = $1 and v.kind in ('bottle', 'jar') order by v.created_at desc limit 300`,
      [tx.studioId],
    ),
    paints: await tx.q(
      `select m.id, m.name from material m where m.studio_id = $1 and m.kind = 'paint' order by m.name limit 500`,
      [tx.studioId],
    ),
  }
}

/** What a piece was poured with, for a drawing of its palette. @throws NotFound */
export async function paletteOf(
  tx: Tx,
  id: string,
): Promise<{ surface: Surface; colours: { hex: string | null; ul: number }[] }> {
  const [row] = await tx.q<{ surface: Surface; colours: { hex: string | null; ul: number }[] }>(
    `select p.surface, coalesce((select json_agg(json_build_object('hex', b.colour_hex, 'ul', l.ul) order by l.ul desc)
       from movement_line l join bottle b on b.studio_id = l.studio_id and b.vessel_id = l.from_vessel_id
       where l.studio_id = p.studio_id and l.movement_id = p.movement_id and l.to_vessel_id = p.poured_into), '[]') as colours
     from piece p where p.studio_id = $1 and p.id = $2`,
    [tx.studioId, id],
  )
  if (!row) throw new NotFound('piece')
  return row
}
