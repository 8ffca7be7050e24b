import { Invalid } from '@/core/errors'
import { mixToHex } from '@/core/colour/mixColour'
import { sureOf } from '@/core/colour/predict'
import { surePaint, type KeptPaint } from '@/core/colour/sureWords'
import type { Sheen } from '@/core/paint/properties'
import { sheenOfMix, sheenShares } from '@/core/paint/sheenOfMix'
import { barsAdditive } from '@/core/vessel/additives'
import type { Tx } from '../base/withStudio'

/**
 * Recomputes what bottles are by what they hold: mixed colour of the paints, how sure it is, the sheen that shows, and
 * whether an additive is in it.
 * @throws Invalid where an additive has come into something that is to be free of it
 */
export async function refreshLook(tx: Tx, vesselIds: readonly string[]): Promise<void> {
  const rows = await tx.q<KeptPaint & { vessel_id: string; ul: number; sheen: Sheen }>(
    `select c.vessel_id, c.ul, p.swatch_hex as hex, p.optics, p.optics_sigma as sigma, p.optics_known as known, p.strength, p.sheen
     from vessel_content c
     join bottle b on b.studio_id = c.studio_id and b.vessel_id = c.vessel_id
     join lot l on l.studio_id = c.studio_id and l.id = c.lot_id
     join paint p on p.studio_id = l.studio_id and p.material_id = l.material_id
     where c.studio_id = $1 and c.vessel_id = any ($2) and c.ul > 0`,
    [tx.studioId, vesselIds],
  )
  for (const id of new Set(rows.map((r) => r.vessel_id))) {
    const paints = rows.filter((r) => r.vessel_id === id)
    const sure = paints.map(surePaint)
    const amounts = paints.map((p) => p.ul)
    const hex = mixToHex(
      sure.map((p) => p.optics),
      amounts,
    )
    await tx.q(
      'update bottle set colour_hex = $3, sheen = $4, colour_off = $5 where studio_id = $1 and vessel_id = $2',
      [tx.studioId, id, hex ?? null, sheenOfMix(sheenShares(paints)), sureOf(sure, amounts).sureness.plusMinus],
    )
  }
  await refreshAdditive(tx, vesselIds)
}

/** Keeps whether bottles hold an additive. @throws Invalid where it may not be in one of them */
async function refreshAdditive(tx: Tx, vesselIds: readonly string[]): Promise<void> {
  const changed = await tx.q<{ role: string; label: string; has: boolean }>(
    `update bottle b set has_additive = not b.has_additive from vessel v
     where b.studio_id = $1 and b.vessel_id = any ($2) and v.studio_id = b.studio_id and v.id = b.vessel_id
       and b.has_additive is distinct from exists (
         select 1 from vessel_content c
         join lot l on l.studio_id = c.studio_id and l.id = c.lot_id
         join material m on m.studio_id = l.studio_id and m.id = l.material_id
         where c.studio_id = b.studio_id and c.vessel_id = b.vessel_id and c.ul > 0 and m.kind = 'additive')
     returning b.role, v.label, b.has_additive as has`,
    [tx.studioId, vesselIds],
  )
  for (const { role, label, has } of changed) if (has) refuseAdditive(label, role)
}

/** @throws Invalid saying why a mix that holds an additive is not to be this */
export function refuseAdditive(label: string, use: string): void {
  const why = barsAdditive(use)
  if (why)
    throw new Invalid(
      `${why}, so ${label} cannot be a ${use}. Give it another role, or leave the additive out.`,
      'role',
    )
}
