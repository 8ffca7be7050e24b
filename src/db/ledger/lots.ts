import { v7 as uuidv7 } from 'uuid'
import { NotEnough, NotFound } from '@/core/errors'
import { formatMl } from '@/core/quantity/format'
import { contentUl, takeFrom, takePoured } from '@/core/vessel/content'
import type { Tx } from '../base/withStudio'
import type { HeldVessel, Line } from './book'

/** Open containers of some materials that still hold something, oldest first. */
export async function openContainers(tx: Tx, materialIds: readonly string[]): Promise<Map<string, string[]>> {
  const rows = await tx.q<{ material_id: string; vessel_id: string }>(
    `select l.material_id, c.vessel_id
     from lot l
     join vessel_content c
       on c.studio_id = l.studio_id and c.vessel_id = l.container_id and c.lot_id = l.id and c.ul > 0
     where l.studio_id = $1 and l.tracked and l.finished_at is null and l.material_id = any ($2)
     order by l.opened_at, l.id`,
    [tx.studioId, materialIds],
  )
  const byMaterial = new Map<string, string[]>()
  for (const r of rows) byMaterial.set(r.material_id, [...(byMaterial.get(r.material_id) ?? []), r.vessel_id])
  return byMaterial
}

/** The material's uncounted supply at its price of today; made when there is none. @throws NotFound */
async function untrackedLot(tx: Tx, materialId: string): Promise<string> {
  await tx.q(
    `insert into lot (studio_id, id, material_id, tracked, label, size_ul, price_minor)
     select studio_id, $3, id, false, 'untracked supply', container_ul, price_minor
     from material where studio_id = $1 and id = $2
     on conflict do nothing`,
    [tx.studioId, materialId, uuidv7()],
  )
  const [row] = await tx.q<{ id: string }>(
    `select l.id from lot l join material m on m.studio_id = l.studio_id and m.id = l.material_id
     where l.studio_id = $1 and l.material_id = $2 and not l.tracked
       and l.price_minor is not distinct from m.price_minor and l.size_ul is not distinct from m.container_ul`,
    [tx.studioId, materialId],
  )
  if (!row) throw new NotFound('paint or medium')
  return row.id
}

export interface Wanted {
  readonly materialId: string
  readonly ul: number
}
/** A mix that is used as an ingredient: a base, or what was left over. */
export interface FromBottle {
  readonly vesselId: string
  readonly ul: number
}
export type Source = Wanted | FromBottle
export const isMaterial = (s: Source): s is Wanted => 'materialId' in s

/** What the books need to know of lots to weigh them, by lot. */
export async function lotFacts(tx: Tx, lotIds: readonly string[]) {
  const rows = await tx.q<{ id: string; isWater: boolean; densityGPerMl: number; solids: number }>(
    `select l.id, m.kind = 'water' as "isWater", m.density_g_per_ml as "densityGPerMl", m.solids
     from lot l join material m on m.studio_id = l.studio_id and m.id = l.material_id
     where l.studio_id = $1 and l.id = any ($2)`,
    [tx.studioId, lotIds],
  )
  return new Map(rows.map(({ id, ...facts }) => [id, facts]))
}

/** Every bottle among the sources once, with all that is taken of it. */
export function perBottle(sources: readonly Source[]): FromBottle[] {
  const by = new Map<string, number>()
  for (const s of sources) if (!isMaterial(s) && s.ul > 0) by.set(s.vesselId, (by.get(s.vesselId) ?? 0) + s.ul)
  return [...by].map(([vesselId, ul]) => ({ vesselId, ul }))
}

/**
 * Lines that bring parts of other bottles into a vessel, each with its own composition.
 * @param findRest what was poured beyond a bottle's books is booked as found in it
 * @throws NotEnough
 */
export function bottleLines(
  sources: readonly Source[],
  into: string,
  held: (id: string) => HeldVessel,
  findRest = false,
): Line[] {
  return perBottle(sources).flatMap(({ vesselId: id, ul }) => {
    const { taken, found } = findRest ? takePoured(held(id), ul) : { taken: takeFrom(held(id), ul), found: [] }
    return [...taken.map((p) => ({ ...p, from: id, to: into })), ...found.map((p) => ({ ...p, from: null, to: into }))]
  })
}

/**
 * Lines that bring wanted amounts of materials into a vessel: from open containers, oldest first; from untracked
 * supply where a material has no containers, or where `untrackedForRest` allows it for what they lack.
 * @throws NotEnough naming the material and what to do
 */
export async function supplyLines(
  tx: Tx,
  wanted: readonly Wanted[],
  into: string,
  containers: ReadonlyMap<string, readonly string[]>,
  held: (id: string) => HeldVessel,
  untrackedForRest: boolean,
): Promise<Line[]> {
  const lines: Line[] = []
  const taken = new Map<string, number>()
  for (const { materialId, ul } of wanted) {
    let left = ul
    const own = containers.get(materialId) ?? []
    for (const id of own) {
      for (const portion of held(id).content) {
        const free = portion.ul - (taken.get(portion.lotId) ?? 0)
        const part = Math.min(left, free)
        if (part <= 0) continue
        lines.push({ lotId: portion.lotId, from: id, to: into, ul: part })
        taken.set(portion.lotId, (taken.get(portion.lotId) ?? 0) + part)
        left -= part
      }
    }
    if (left > 0 && own.length > 0 && !untrackedForRest) await refuse(tx, materialId, own, held, ul)
    if (left > 0) lines.push({ lotId: await untrackedLot(tx, materialId), from: null, to: into, ul: left })
  }
  return lines
}

async function refuse(
  tx: Tx,
  materialId: string,
  own: readonly string[],
  held: (id: string) => HeldVessel,
  needUl: number,
): Promise<never> {
  const [row] = await tx.q<{ name: string }>('select name from material where studio_id = $1 and id = $2', [
    tx.studioId,
    materialId,
  ])
  const haveUl = own.reduce((sum, id) => sum + contentUl(held(id).content), 0)
  throw new NotEnough(
    `The open containers of ${row?.name ?? 'this paint'} hold ${formatMl(haveUl)} and ${formatMl(needUl)} is wanted. Book a new container, or let the rest come from untracked supply.`,
    { vesselId: own[0]!, haveUl, needUl },
  )
}

/** Says what is wrong with a bought container, or that it is sound again (''). @throws NotFound */
export async function flagLot(tx: Tx, { lotId, flag }: { lotId: string; flag: string }): Promise<void> {
  const done = await tx.q('update lot set flag = $3 where studio_id = $1 and id = $2 and tracked returning 1', [
    tx.studioId,
    lotId,
    flag,
  ])
  if (done.length === 0) throw new NotFound('container')
}
