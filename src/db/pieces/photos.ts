import { FikaError, NotFound } from '@/core/errors'
import type { PhotoMeasures } from '@/core/photo/measurePhoto'
import type { Moment } from '@/core/piece/looks'
import type { Quad } from '@/core/surface/homography'
import type { Point } from '@/core/surface/polygon'
import type { Surface } from '@/core/surface/shapes'
import type { Tx } from '../base/withStudio'
import type { MeasuredInput } from './measuresSchema'
import { PHOTO } from './schema'
import { speaks, SPEAKS_FIRST } from './seen'

/** A photo as it is kept: encoded anew, upright. */
export interface PiecePhoto {
  readonly id: string
  readonly pieceId: string
  readonly moment: Moment
  readonly isRaked: boolean
  readonly width: number
  readonly height: number
  readonly image: Buffer
}

/** Hangs a photo beside a piece; the same photo sent twice is one. @throws NotFound for a piece of another studio */
export async function addPhoto(tx: Tx, p: PiecePhoto): Promise<void> {
  const [piece] = await tx.q('select 1 from piece where studio_id = $1 and id = $2', [tx.studioId, p.pieceId])
  if (!piece) throw new NotFound('piece')
  const [here] = await tx.q<{ piece: number; studio: number }>(
    `select count(*) filter (where piece_id = $2)::int as piece, count(*)::int as studio
     from piece_photo where studio_id = $1 and id <> $3`,
    [tx.studioId, p.pieceId, p.id],
  )
  if (here!.piece >= PHOTO.ofPiece)
    throw new FikaError('TooLarge', `A piece keeps ${PHOTO.ofPiece} photos. Take one away first, then add this one.`)
  if (here!.studio >= PHOTO.ofStudio)
    throw new FikaError('TooLarge', 'This studio holds as many photos as Fika keeps. Take some away first.')
  await tx.q(
    `insert into piece_photo (studio_id, id, piece_id, moment, is_raked, width, height, image) values ($1, $2, $3, $4, $5, $6, $7, $8)
     on conflict (studio_id, id) do nothing`,
    [tx.studioId, p.id, p.pieceId, p.moment, p.isRaked, p.width, p.height, p.image],
  )
}

/** Takes a photo away, and what was seen in it; one that is gone already stays gone. */
export async function removePhoto(tx: Tx, id: string): Promise<void> {
  const [gone] = await tx.q<{ pieceId: string; wasMeasured: boolean }>(
    `delete from piece_photo where studio_id = $1 and id = $2
     returning piece_id as "pieceId", measures is not null as "wasMeasured"`,
    [tx.studioId, id],
  )
  if (gone?.wasMeasured) await seeAgain(tx, gone.pieceId)
}

/** What is kept of a photo that was laid flat and measured. */
export interface KeptMeasures {
  readonly photoId: string
  readonly moment: Moment
  readonly takenAt: string
  readonly corners: Quad
  readonly measures: PhotoMeasures
}

/** Measured photos of a piece, as they were taken. */
export function measuresOf(tx: Tx, pieceId: string): Promise<KeptMeasures[]> {
  return tx.q(
    `select id as "photoId", moment, taken_at as "takenAt", corners, measures from piece_photo
     where studio_id = $1 and piece_id = $2 and measures is not null order by taken_at, id`,
    [tx.studioId, pieceId],
  )
}

/** A kept photo and the surface that is on it, to lay it flat; undefined where there is none. */
export async function photoToFlatten(tx: Tx, id: string): Promise<{ image: Buffer; surface: Surface } | undefined> {
  const [row] = await tx.q<{ image: Buffer; surface: Surface }>(
    `select f.image, p.surface from piece_photo f join piece p on p.studio_id = f.studio_id and p.id = f.piece_id
     where f.studio_id = $1 and f.id = $2`,
    [tx.studioId, id],
  )
  return row
}

/** Keeps corners and measures of a photo, and its picture laid flat by them. @returns the piece it is of @throws NotFound */
export async function keepMeasures(
  tx: Tx,
  m: {
    readonly photoId: string
    readonly corners: readonly Point[]
    readonly measures: MeasuredInput['measures']
  },
  flat: { readonly image: Buffer; readonly width: number; readonly height: number },
): Promise<string> {
  const [done] = await tx.q<{ pieceId: string }>(
    `update piece_photo set corners = $3, measures = $4, flat = $5, flat_width = $6, flat_height = $7
     where studio_id = $1 and id = $2 returning piece_id as "pieceId"`,
    [
      tx.studioId,
      m.photoId,
      JSON.stringify(m.corners),
      JSON.stringify(m.measures),
      flat.image,
      flat.width,
      flat.height,
    ],
  )
  if (!done) throw new NotFound('photo')
  await seeAgain(tx, done.pieceId)
  return done.pieceId
}

/** Notes the colours seen of a piece anew: those of the photo that speaks for it; none where there is none. */
async function seeAgain(tx: Tx, pieceId: string): Promise<void> {
  await tx.q('delete from seen_colour where studio_id = $1 and piece_id = $2', [tx.studioId, pieceId])
  // Colours that share a swatch are seen as one.
  await tx.q(
    `insert into seen_colour (studio_id, piece_id, hex, share)
     select $1, $2, lower(c ->> 'hex'), least(1, sum((c ->> 'seen')::float8))
     from (select f.measures from piece_photo f where f.studio_id = $1 and f.piece_id = $2 and ${speaks('colours')}
           order by ${SPEAKS_FIRST} limit 1) best, jsonb_array_elements(best.measures -> 'colours') c
     group by 3`,
    [tx.studioId, pieceId],
  )
}

/** Pictures of a piece for a printed page: the first wet one beside the newest dry one, laid flat where they can be. */
export async function picturesToPrint(
  tx: Tx,
  pieceId: string,
): Promise<{ image: Buffer; width: number; height: number }[]> {
  const all = await tx.q<{ id: string; isDry: boolean }>(
    `select id, moment in ('dry', 'month', 'year') as "isDry" from piece_photo
     where studio_id = $1 and piece_id = $2 and not is_raked order by taken_at, id`,
    [tx.studioId, pieceId],
  )
  const wanted = [all.find((f) => !f.isDry), all.findLast((f) => f.isDry)].flatMap((f) => f?.id ?? [])
  return tx.q(
    `select coalesce(flat, image) as image, coalesce(flat_width, width) as width, coalesce(flat_height, height) as height
     from piece_photo where studio_id = $1 and id = any ($2) order by array_position($2, id)`,
    [tx.studioId, wanted],
  )
}
