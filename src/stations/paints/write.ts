import { reflectanceFromHex } from '@/core/colour/reflectance'
import { Conflict } from '@/core/errors'
import { refreshLook } from '@/db/ledger'
import type { Tx } from '@/db/withStudio'
import type { MaterialInput, PaintInput } from './schema'

/**
 * Writes a new material. A material of the same kind, maker, line and name is left as it is.
 * @returns whether it was new
 */
export async function insertMaterial(tx: Tx, id: string, m: MaterialInput): Promise<boolean> {
  const made = await tx.q(
    `insert into material (studio_id, id, kind, maker, line, name, density_g_per_ml, solids, water_share, container_ul, price_minor, notes)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12)
     on conflict (studio_id, kind, maker_key, line_key, name_key) do nothing returning id`,
    [tx.studioId, id, ...common(m)],
  )
  if (made.length === 0) return false
  await writeKind(tx, id, m)
  return true
}

/** Changes a material. @throws Conflict when somebody else changed it since it was opened */
export async function updateMaterial(tx: Tx, id: string, revision: number, m: MaterialInput): Promise<void> {
  const changed = await tx.q(
    `update material set kind = $4, maker = $5, line = $6, name = $7, density_g_per_ml = $8, solids = $9, water_share = $10,
       container_ul = $11, price_minor = $12, notes = $13, revision = revision + 1, updated_at = now()
     where studio_id = $1 and id = $2 and revision = $3 and kind = $4 returning id`,
    [tx.studioId, id, revision, ...common(m)],
  )
  if (changed.length === 0)
    throw new Conflict(
      'Somebody else changed this since you opened it. Open it in another tab, and add your changes there.',
    )
  await writeKind(tx, id, m)
  if (m.kind === 'paint') await refreshBottles(tx, id)
}

const common = (m: MaterialInput) => [
  m.kind,
  m.maker,
  m.line,
  m.name,
  m.densityGPerMl,
  m.solids,
  m.kind === 'paint' ? 0 : m.waterShare,
  m.containerUl,
  m.priceMinor,
  m.notes,
]

async function writeKind(tx: Tx, id: string, m: MaterialInput): Promise<void> {
  if (m.kind === 'paint') return writePaint(tx, id, m)
  await tx.q(
    `insert into medium (studio_id, material_id, kind) values ($1, $2, $3)
     on conflict (studio_id, material_id) do update set kind = excluded.kind`,
    [tx.studioId, id, m.mediumKind],
  )
}

async function writePaint(tx: Tx, id: string, p: PaintInput): Promise<void> {
  await tx.q(
    `insert into paint (studio_id, material_id, body, opacity, sheen, strength, pigments, swatch_hex, reflectance)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9)
     on conflict (studio_id, material_id) do update set body = excluded.body, opacity = excluded.opacity,
       sheen = excluded.sheen, strength = excluded.strength, pigments = excluded.pigments,
       swatch_hex = excluded.swatch_hex, reflectance = excluded.reflectance`,
    [
      tx.studioId,
      id,
      p.body,
      p.opacity,
      p.sheen,
      p.strength,
      p.pigments,
      p.swatchHex,
      [...reflectanceFromHex(p.swatchHex)],
    ],
  )
  await tx.q('delete from paint_avoid where studio_id = $1 and material_id = $2', [tx.studioId, id])
  if (p.avoid.length)
    await tx.q(
      `insert into paint_avoid (studio_id, material_id, role, reason)
       select $1, $2, * from unnest($3::text[], $4::text[]) on conflict do nothing`,
      [tx.studioId, id, p.avoid.map((a) => a.role), p.avoid.map((a) => a.reason)],
    )
}

/** A corrected swatch changes what every bottle with that paint looks like. */
async function refreshBottles(tx: Tx, materialId: string): Promise<void> {
  const rows = await tx.q<{ vessel_id: string }>(
    `select distinct b.vessel_id from bottle b
     join vessel_content c on c.studio_id = b.studio_id and c.vessel_id = b.vessel_id and c.ul > 0
     join lot l on l.studio_id = c.studio_id and l.id = c.lot_id
     where b.studio_id = $1 and l.material_id = $2`,
    [tx.studioId, materialId],
  )
  await refreshLook(
    tx,
    rows.map((r) => r.vessel_id),
  )
}
