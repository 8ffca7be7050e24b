import { Conflict, Invalid, NotFound } from '@/core/errors'
import { v7 as uuidv7 } from 'uuid'
import { madeBefore } from '../base/onceOnly'
import type { Tx } from '../base/withStudio'
import type { Follow } from '../ledger'
import type { MoveInput, SurfaceInput } from './schema'

/** Keeps a kind of surface; the same id again changes it. @throws Invalid when it has no size */
export async function saveSurface(tx: Tx, s: SurfaceInput): Promise<void> {
  const sized = s.shape === 'round' ? s.diameterMm > 0 : s.lengthMm > 0 && s.widthMm > 0
  if (!sized) throw new Invalid('A surface needs a size above zero, like 40 x 50 cm.', 'size')
  await tx.q(
    `insert into surface_stock (studio_id, id, kind, name, shape, length_mm, width_mm, diameter_mm, edge_mm, grade)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10)
     on conflict (studio_id, id) do update set kind = excluded.kind, name = excluded.name, shape = excluded.shape,
       length_mm = excluded.length_mm, width_mm = excluded.width_mm, diameter_mm = excluded.diameter_mm,
       edge_mm = excluded.edge_mm, grade = excluded.grade`,
    [tx.studioId, s.id, s.kind, s.name, s.shape, s.lengthMm, s.widthMm, s.diameterMm, s.edgeMm, s.grade],
  )
}

/**
 * Books surfaces in or out; a repeated request counts once.
 * @throws Conflict when more go out than are there; NotFound
 */
export async function moveSurfaces(tx: Tx, m: MoveInput): Promise<void> {
  // Whoever takes the last ones waits here for whoever took some before.
  const [surface] = await tx.q<{ name: string }>(
    'select name from surface_stock where studio_id = $1 and id = $2 for no key update',
    [tx.studioId, m.surfaceId],
  )
  if (!surface) throw new NotFound('surface')
  await madeBefore(tx, m.requestId, 'surfaces', m)
  const made = await tx.q(
    `insert into surface_move (studio_id, id, request_id, surface_id, count, price_minor, by, note)
     values ($1, $2, $3, $4, $5, $6, $7, $8) on conflict (studio_id, request_id, surface_id) do nothing returning id`,
    [tx.studioId, uuidv7(), m.requestId, m.surfaceId, m.count, m.count > 0 ? m.priceMinor : null, tx.accountId, m.note],
  )
  if (made.length === 0) return
  const [sum] = await tx.q<{ n: number }>(
    'select sum(count)::int as n from surface_move where studio_id = $1 and surface_id = $2',
    [tx.studioId, m.surfaceId],
  )
  if (sum!.n < 0)
    throw new Conflict(
      `Only ${sum!.n - m.count} of ${surface.name} are on the shelf. Book a pack first, or take fewer.`,
    )
}

/** Takes a kind of surface off the list; what it was used for stays. @throws NotFound */
export async function putSurfaceAway(tx: Tx, id: string): Promise<void> {
  const done = await tx.q(
    'update surface_stock set archived_at = coalesce(archived_at, now()) where studio_id = $1 and id = $2 returning id',
    [tx.studioId, id],
  )
  if (done.length === 0) throw new NotFound('surface')
}

/** Books out what a pour used, as far as the shelf holds it: a pour is never refused for a miscounted shelf. */
export async function takeSurfaces(tx: Tx, id: string, count: number, requestId: string, title: string): Promise<void> {
  await tx.q(
    `insert into surface_move (studio_id, id, request_id, surface_id, count, by, note)
     select $1, $2, $3, $4, -least($5::int, sum(count)::int), $6, left('poured: ' || $7, 400)
     from surface_move where studio_id = $1 and surface_id = $4 having sum(count) > 0
     on conflict (studio_id, request_id, surface_id) do nothing`,
    [tx.studioId, uuidv7(), requestId, id, count, tx.accountId, title],
  )
}

/** What a pour took off the shelf goes back when it is undone. */
export const surfacesReturned: Follow = async (tx, { movementId, requestId }) => {
  await tx.q(
    `insert into surface_move (studio_id, id, request_id, surface_id, count, by, note)
     select $1, gen_random_uuid(), $3, s.surface_id, -s.count, $4, 'pour undone'
     from surface_move s join movement m on m.studio_id = s.studio_id and m.request_id = s.request_id
     where s.studio_id = $1 and m.id = $2 on conflict (studio_id, request_id, surface_id) do nothing`,
    [tx.studioId, movementId, requestId, tx.accountId],
  )
}
