import { Invalid } from '@/core/errors'
import type { Tx } from '../withStudio'
import { book, type Booked } from './book'
import { refreshLook } from './colour'
import { openContainers, supplyLines, type Wanted } from './lots'

/** The recipe as it was mixed; kept with the bottle, whatever becomes of the paints later. */
export interface RecipeSnapshot {
  readonly paintParts: number
  readonly paints: readonly { materialId: string; name: string; parts: number }[]
  readonly mediums: readonly { materialId: string; name: string; parts: number }[]
  readonly water: { materialId: string; name: string; parts: number } | null
}

export interface MixBottle {
  readonly requestId: string
  /** Made by the caller (UUIDv7). */
  readonly vesselId: string
  readonly label: string
  readonly role: string
  readonly recipe: RecipeSnapshot
  /** What was really poured, µl. */
  readonly poured: readonly Wanted[]
  readonly capacityUl: number | null
  readonly tareMg: number | null
  readonly restHours: number
  readonly untrackedForRest: boolean
  readonly notes?: string
  readonly at?: Date | undefined
}

/**
 * Mixes a bottle from containers and untracked supply, all or nothing.
 * @throws NotEnough naming the paint; OverCapacity when it does not fit; Invalid for an empty mix
 */
export async function mixBottle(tx: Tx, mix: MixBottle): Promise<Booked> {
  const poured = mix.poured.filter((p) => p.ul > 0)
  if (poured.length === 0) throw new Invalid('Nothing was poured. Type an amount for at least one ingredient.')
  const total = poured.reduce((sum, p) => sum + p.ul, 0)
  if (mix.capacityUl !== null && total > mix.capacityUl)
    throw new Invalid('The bottle is smaller than the mix. Choose a larger one, or mix less.', 'capacity')
  const containers = await openContainers(
    tx,
    poured.map((p) => p.materialId),
  )
  const booked = await book(tx, {
    kind: 'mix',
    requestId: mix.requestId,
    payload: { vesselId: mix.vesselId, label: mix.label, poured, role: mix.role },
    vessels: [...containers.values()].flat(),
    at: mix.at,
    async decide(held) {
      await tx.q(
        `insert into vessel (studio_id, id, kind, label, capacity_ul, created_at)
         values ($1, $2, 'bottle', $3, $4, coalesce($5, now()))`,
        [tx.studioId, mix.vesselId, mix.label, mix.capacityUl, mix.at ?? null],
      )
      await tx.q(
        `insert into bottle (studio_id, vessel_id, role, mixed_at, rest_until, recipe, tare_mg, notes)
         values ($1, $2, $3, coalesce($4, now()), coalesce($4, now()) + make_interval(secs => $5), $6, $7, $8)`,
        [
          tx.studioId,
          mix.vesselId,
          mix.role,
          mix.at ?? null,
          mix.restHours * 3600,
          JSON.stringify(mix.recipe),
          mix.tareMg,
          mix.notes ?? '',
        ],
      )
      return supplyLines(tx, poured, mix.vesselId, containers, held, mix.untrackedForRest)
    },
  })
  if (!booked.replayed) {
    await refreshLook(tx, [mix.vesselId])
    await noteUse(tx, mix.vesselId, poured, mix.at)
  }
  return booked
}

/** Keeps what each material is used for, and when last. */
async function noteUse(tx: Tx, vesselId: string, poured: readonly Wanted[], at: Date | undefined): Promise<void> {
  await tx.q(
    `insert into material_use as u (studio_id, material_id, role, last_at, bottles)
     select $1, m, b.role, coalesce($4, now()), 1 from bottle b, unnest($3::uuid[]) as m
     where b.studio_id = $1 and b.vessel_id = $2 order by m
     on conflict (studio_id, material_id, role) do update
       set last_at = greatest(u.last_at, excluded.last_at), bottles = u.bottles + 1`,
    [tx.studioId, vesselId, [...new Set(poured.map((p) => p.materialId))], at ?? null],
  )
}

export interface TopUpBottle {
  readonly requestId: string
  readonly vesselId: string
  readonly poured: readonly Wanted[]
  readonly restHours: number
  readonly untrackedForRest: boolean
  readonly at?: Date | undefined
}

/** Adds more of a mix to a bottle; it rests anew. @throws NotEnough, OverCapacity, NotFound, Invalid */
export async function topUpBottle(tx: Tx, top: TopUpBottle): Promise<Booked> {
  const poured = top.poured.filter((p) => p.ul > 0)
  if (poured.length === 0) throw new Invalid('Nothing was poured. Type an amount for at least one ingredient.')
  const containers = await openContainers(
    tx,
    poured.map((p) => p.materialId),
  )
  const booked = await book(tx, {
    kind: 'top-up',
    requestId: top.requestId,
    payload: { vesselId: top.vesselId, poured },
    vessels: [...containers.values()].flat().concat(top.vesselId),
    at: top.at,
    decide: (held) => supplyLines(tx, poured, top.vesselId, containers, held, top.untrackedForRest),
  })
  if (!booked.replayed) {
    await tx.q(
      `update bottle set rest_until = greatest(rest_until, coalesce($4, now()) + make_interval(secs => $3))
       where studio_id = $1 and vessel_id = $2`,
      [tx.studioId, top.vesselId, top.restHours * 3600, top.at ?? null],
    )
    await refreshLook(tx, [top.vesselId])
    await noteUse(tx, top.vesselId, poured, top.at)
  }
  return booked
}
