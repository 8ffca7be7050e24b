import type { Lean } from '@/core/tilt/hand'
import type { Told } from '@/core/tilt/kept'
import type { Correction } from '@/core/tilt/start'
import type { Tx } from '../base/withStudio'

/** How rehearsals of a technique are corrected, and by how many weighed pieces. */
export interface KeptCorrection extends Correction {
  readonly technique: string
  readonly pieces: number
  readonly madeAt: string
}

/** The correction of a technique; undefined where it is rehearsed as its bottles read. */
export async function correctionOf(tx: Tx, technique: string): Promise<KeptCorrection | undefined> {
  const [row] = await tx.q<KeptCorrection>(
    `select technique, nu_factor as "nuFactor", lip_mm as "lipMm", pieces, made_at as "madeAt"
     from tilt_correction where studio_id = $1 and technique = $2`,
    [tx.studioId, technique],
  )
  return row
}

/** Rehearsals of a technique are corrected so from now on; what was kept before stays as it was. */
export const keepCorrection = (
  tx: Tx,
  { technique, nuFactor, lipMm, pieces }: Omit<KeptCorrection, 'madeAt'>,
): Promise<unknown> =>
  tx.q(
    `insert into tilt_correction (studio_id, technique, nu_factor, lip_mm, pieces) values ($1, $2, $3, $4, $5)
     on conflict (studio_id, technique)
     do update set nu_factor = $3, lip_mm = $4, pieces = $5, made_at = now()`,
    [tx.studioId, technique, nuFactor, lipMm, pieces],
  )

/** Rehearsals of a technique run as its bottles read again. */
export const dropCorrection = (tx: Tx, technique: string): Promise<unknown> =>
  tx.q('delete from tilt_correction where studio_id = $1 and technique = $2', [tx.studioId, technique])

/** A weighed piece, and a rehearsal that was kept of its plan before it was poured. */
export interface RehearsedPiece {
  readonly pieceId: string
  readonly planId: string
  readonly surfaceId: string
  readonly path: readonly Lean[]
  readonly told: Told
}

/** Weighed pieces of a technique with the rehearsals kept of their plans before: newest piece first, newest rehearsal first. */
export const rehearsedPieces = (tx: Tx, technique: string): Promise<RehearsedPiece[]> =>
  tx.q<RehearsedPiece>(
    `select p.id as "pieceId", p.plan_id as "planId", r.surface_id as "surfaceId", r.path, r.told
     from piece p join rehearsal r on r.studio_id = p.studio_id and r.plan_id = p.plan_id and r.made_at <= p.poured_at
     where p.studio_id = $1 and p.technique = $2 and p.stayed_how in ('weighed', 'by run-off') and p.fate <> 'undone'
     order by p.poured_at desc, p.id, r.made_at desc limit 200`,
    [tx.studioId, technique],
  )
