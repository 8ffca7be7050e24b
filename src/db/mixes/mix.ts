import { Invalid } from '@/core/errors'
import type { Watered } from '@/core/consistency/reference'
import type { RecipeSnapshot } from './recipeSnapshot'
import type { Tx } from '../base/withStudio'
import type { Booked } from '../ledger/book'
import { bookMix } from './settle'
import { bottleLines, isMaterial, openContainers, supplyLines, type Source, type Wanted } from '../ledger/lots'
import type { Follow } from '../ledger/undo'
import { countWater, mixedIn, watered } from './water'

export interface MixBottle {
  readonly requestId: string
  /** Made by the caller (UUIDv7). */
  readonly vesselId: string
  readonly label: string
  readonly role: string
  readonly recipe: RecipeSnapshot
  /** The version of a named colour it is mixed by. */
  readonly formula?: { readonly id: string; readonly version: number } | null | undefined
  /** What was really poured, µl: materials, and mixes out of other bottles. */
  readonly poured: readonly Source[]
  readonly palette?: string
  /** What it is thinned for. */
  readonly technique?: string | null
  /** The large batch it is a container of. */
  readonly batchId?: string
  readonly capacityUl: number | null
  readonly tareMg: number | null
  readonly restHours: number
  readonly untrackedForRest: boolean
  /** What was poured from a bottle beyond its books is a measuring gain, instead of NotEnough. */
  readonly findRest?: boolean
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
  const { containers, bottles, materials } = await sourcesOf(tx, poured)
  return bookMix(tx, {
    kind: 'mix',
    requestId: mix.requestId,
    payload: { vesselId: mix.vesselId, label: mix.label, poured, role: mix.role },
    vessels: [...[...containers.values()].flat(), ...bottles],
    at: mix.at,
    async decide(held) {
      await tx.q(
        `insert into vessel (studio_id, id, kind, label, capacity_ul, created_at)
         values ($1, $2, 'bottle', $3, $4, coalesce($5, now()))`,
        [tx.studioId, mix.vesselId, mix.label, mix.capacityUl, mix.at ?? null],
      )
      await tx.q(
        `insert into bottle (studio_id, vessel_id, role, mixed_at, rest_until, recipe, tare_mg, notes, formula_id, formula_version, palette, technique, batch_id)
         values ($1, $2, $3, coalesce($4, now()), coalesce($4, now()) + make_interval(secs => $5), $6, $7, $8, $9, $10, $11, $12, $13)`,
        [
          tx.studioId,
          mix.vesselId,
          mix.role,
          mix.at ?? null,
          mix.restHours * 3600,
          JSON.stringify(mix.recipe),
          mix.tareMg,
          mix.notes ?? '',
          mix.formula?.id ?? null,
          mix.formula?.version ?? null,
          mix.palette ?? '',
          mix.technique ?? null,
          mix.batchId ?? null,
        ],
      )
      return [
        ...bottleLines(poured, mix.vesselId, held, mix.findRest),
        ...(await supplyLines(tx, materials, mix.vesselId, containers, held, mix.untrackedForRest)),
      ]
    },
    async follow() {
      await countWater(tx, mix.vesselId)
      await noteUse(tx, mix.vesselId, materials, mix.at)
    },
  })
}

/** What a mix is taken from: counted containers of its materials, other bottles, and its materials themselves. */
async function sourcesOf(tx: Tx, poured: readonly Source[]) {
  const materials = poured.filter(isMaterial)
  const bottles = poured.flatMap((p) => (isMaterial(p) ? [] : [p.vesselId]))
  const containers = await openContainers(
    tx,
    materials.map((p) => p.materialId),
  )
  return { materials, bottles, containers }
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

/** What is undone was not used for it after all. */
export const useUndone: Follow = async (tx, { movementId }) => {
  await tx.q(
    `update material_use u set bottles = greatest(0, u.bottles - 1)
     from bottle b, (select distinct l.material_id, line.to_vessel_id
                     from movement_line line join lot l on l.studio_id = line.studio_id and l.id = line.lot_id
                     where line.studio_id = $1 and line.movement_id = $2) as went
     where u.studio_id = $1 and b.studio_id = $1 and b.vessel_id = went.to_vessel_id
       and u.material_id = went.material_id and u.role = b.role`,
    [tx.studioId, movementId],
  )
}

export interface TopUpBottle {
  readonly requestId: string
  readonly vesselId: string
  readonly poured: readonly Source[]
  readonly restHours: number
  readonly untrackedForRest: boolean
  readonly at?: Date | undefined
}

/** Adds more of a mix to a bottle; it rests anew. @throws NotEnough, OverCapacity, NotFound, Invalid */
export async function topUpBottle(tx: Tx, top: TopUpBottle): Promise<Booked> {
  const poured = top.poured.filter((p) => p.ul > 0)
  if (poured.length === 0) throw new Invalid('Nothing was poured. Type an amount for at least one ingredient.')
  if (poured.some((p) => !isMaterial(p) && p.vesselId === top.vesselId))
    throw new Invalid('A bottle cannot be poured into itself. Choose another mix, or leave it out.')
  const { containers, bottles, materials } = await sourcesOf(tx, poured)
  let before: Watered | undefined
  return bookMix(tx, {
    kind: 'top-up',
    requestId: top.requestId,
    payload: { vesselId: top.vesselId, poured },
    vessels: [...[...containers.values()].flat(), ...bottles, top.vesselId],
    at: top.at,
    decide: async (held) => {
      before = await watered(tx, top.vesselId)
      return [
        ...bottleLines(poured, top.vesselId, held),
        ...(await supplyLines(tx, materials, top.vesselId, containers, held, top.untrackedForRest)),
      ]
    },
    async follow() {
      if (before) await mixedIn(tx, top.vesselId, before)
      await tx.q(
        `update bottle set rest_until = greatest(rest_until, coalesce($4, now()) + make_interval(secs => $3)), moved_at = coalesce($4, now())
         where studio_id = $1 and vessel_id = $2`,
        [tx.studioId, top.vesselId, top.restHours * 3600, top.at ?? null],
      )
      await noteUse(tx, top.vesselId, materials, top.at)
    },
  })
}
