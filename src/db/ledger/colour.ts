import { mixToHex } from '@/core/colour/mixColour'
import { sureOf } from '@/core/colour/predict'
import { surePaint, type KeptPaint } from '@/core/colour/sureWords'
import type { Sheen } from '@/core/paint/properties'
import { sheenOfMix, sheenShares } from '@/core/paint/sheenOfMix'
import type { Tx } from '../base/withStudio'

/** Recomputes what bottles look like from what they hold: mixed colour of the paints, how sure it is, and the sheen that shows. */
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
}
