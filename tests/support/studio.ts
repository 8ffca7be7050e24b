import { v7 as uuidv7 } from 'uuid'
import { hexToSrgb } from '@/core/colour/srgb'
import { createStudio } from '@/db/people/newStudio'
import { saveFormula } from '@/db/formulas/formulas'
import { buyContainer } from '@/db/ledger'
import { mixBottle } from '@/db/mixes'
import { withStudio, type Tx } from '@/db/base/withStudio'

/** A fresh studio for one test (or one that is there), and short ways to fill it. Invented data only. */
export async function makeStudio(known?: { studioId: string; accountId: string | null }) {
  const who = known ?? { studioId: uuidv7(), accountId: null }
  if (!known) await withStudio(who, (tx) => createStudio(tx, { studioId: who.studioId, name: 'Test room' }))
  return {
    who,
    run: <T>(work: (tx: Tx) => Promise<T>) => withStudio(who, work),
    paint: (name: string, more: { hex?: string; priceMinor?: number | null; sizeUl?: number | null } = {}) =>
      withStudio(who, (tx) => addMaterial(tx, 'paint', name, more)),
    medium: (name: string, more: { priceMinor?: number | null; sizeUl?: number | null } = {}) =>
      withStudio(who, (tx) => addMaterial(tx, 'medium', name, more)),
    water: () =>
      withStudio(who, async (tx) => {
        const [row] = await tx.q<{ id: string }>(
          `select id from material where studio_id = $1 and kind = 'water' order by name limit 1`,
          [tx.studioId],
        )
        return row!.id
      }),
    async container(materialId: string, sizeUl: number, priceMinor: number | null = 900, at?: Date) {
      const [lotId, vesselId] = [uuidv7(), uuidv7()]
      await withStudio(who, (tx) =>
        buyContainer(tx, { requestId: uuidv7(), materialId, lotId, vesselId, label: 'Tube', sizeUl, priceMinor, at }),
      )
      return { lotId, vesselId }
    },
    async bottle(label: string, poured: { materialId: string; ul: number }[], capacityUl: number | null = null) {
      const vesselId = uuidv7()
      await withStudio(who, (tx) =>
        mixBottle(tx, { ...mixOf(vesselId, label, poured), capacityUl, untrackedForRest: true }),
      )
      return vesselId
    },
    async formula(name: string, parts: { paintId: string; parts: number }[]) {
      const id = uuidv7()
      await withStudio(who, (tx) =>
        saveFormula(tx, {
          requestId: uuidv7(),
          id,
          name,
          notes: '',
          standsInFor: null,
          note: '',
          targetHex: null,
          parts,
        }),
      )
      return id
    },
    content: (vesselId: string) =>
      withStudio(who, (tx) =>
        tx.q<{ lot_id: string; ul: number }>(
          'select lot_id, ul from vessel_content where studio_id = $1 and vessel_id = $2 and ul > 0 order by lot_id',
          [tx.studioId, vesselId],
        ),
      ),
    async holds(vesselId: string) {
      const [row] = await withStudio(who, (tx) =>
        tx.q<{ ul: number }>(
          'select coalesce(sum(ul), 0)::bigint as ul from vessel_content where studio_id = $1 and vessel_id = $2',
          [tx.studioId, vesselId],
        ),
      )
      return row!.ul
    },
  }
}

export function mixOf(vesselId: string, label: string, poured: { materialId: string; ul: number }[]) {
  return {
    requestId: uuidv7(),
    vesselId,
    label,
    role: 'pour',
    recipe: { paintParts: 1, paints: [], mediums: [], water: null },
    poured,
    capacityUl: null,
    tareMg: 30_000,
    restHours: 12,
    untrackedForRest: false,
  }
}

async function addMaterial(
  tx: Tx,
  kind: 'paint' | 'medium',
  name: string,
  {
    hex = '#1f6f8b',
    priceMinor = 990,
    sizeUl = 60_000,
  }: { hex?: string; priceMinor?: number | null; sizeUl?: number | null },
): Promise<string> {
  const id = uuidv7()
  await tx.q(
    `insert into material (studio_id, id, kind, name, density_g_per_ml, solids, container_ul, price_minor)
     values ($1, $2, $3, $4, $5, 0.3, $6, $7)`,
    [tx.studioId, id, kind, name, kind === 'paint' ? 1.2 : 1.05, sizeUl, priceMinor],
  )
  if (kind === 'paint')
    await tx.q(
      `insert into paint (studio_id, material_id, body, opacity, sheen, swatch_hex, reflectance)
       values ($1, $2, 'soft', 'opaque', 'satin', $3, $4)`,
      [tx.studioId, id, hex, new Array(36).fill(hexToSrgb(hex)[1])],
    )
  else
    await tx.q(`insert into medium (studio_id, material_id, kind) values ($1, $2, 'pouring medium')`, [tx.studioId, id])
  return id
}
