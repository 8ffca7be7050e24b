import { mixToHex } from '@/core/colour/mixColour'
import { opticsFromMasstone } from '@/core/colour/paintOptics'
import { hexToLab } from '@/core/colour/lab'
import type { Sheen, Strength } from '@/core/paint/properties'
import type { Tx } from '../withStudio'

/** Sheens that show through a mix once they are a tenth of its paint. */
const SHOWY: readonly Sheen[] = ['metallic', 'pearl', 'colour-shift', 'glitter', 'fluorescent']

/** Recomputes what bottles look like from what they hold: mixed colour of the paints, and the sheen that shows. */
export async function refreshLook(tx: Tx, vesselIds: readonly string[]): Promise<void> {
  const rows = await tx.q<{
    vessel_id: string
    ul: number
    swatch_hex: string
    reflectance: number[]
    strength: Strength
    sheen: Sheen
  }>(
    `select c.vessel_id, c.ul, p.swatch_hex, p.reflectance, p.strength, p.sheen
     from vessel_content c
     join bottle b on b.studio_id = c.studio_id and b.vessel_id = c.vessel_id
     join lot l on l.studio_id = c.studio_id and l.id = c.lot_id
     join paint p on p.studio_id = l.studio_id and p.material_id = l.material_id
     where c.studio_id = $1 and c.vessel_id = any ($2) and c.ul > 0`,
    [tx.studioId, vesselIds],
  )
  for (const id of new Set(rows.map((r) => r.vessel_id))) {
    const paints = rows.filter((r) => r.vessel_id === id)
    const optics = paints.map((p) =>
      opticsFromMasstone(Float64Array.from(p.reflectance), hexToLab(p.swatch_hex), p.strength),
    )
    const hex = mixToHex(
      optics,
      paints.map((p) => p.ul),
    )
    await tx.q('update bottle set colour_hex = $3, sheen = $4 where studio_id = $1 and vessel_id = $2', [
      tx.studioId,
      id,
      hex ?? null,
      sheenOf(paints),
    ])
  }
}

function sheenOf(paints: readonly { ul: number; sheen: Sheen }[]): Sheen {
  const total = paints.reduce((sum, p) => sum + p.ul, 0)
  const share = (sheen: Sheen) => paints.reduce((sum, p) => sum + (p.sheen === sheen ? p.ul : 0), 0) / total
  const showy = SHOWY.filter((s) => share(s) >= 0.1).sort((a, b) => share(b) - share(a))[0]
  if (showy) return showy
  return [...paints].sort((a, b) => b.ul - a.ul)[0]?.sheen ?? 'satin'
}
