import { mixToHex } from '@/core/colour/mixColour'
import { opticsOf } from '@/core/colour/packOptics'
import { formatRatio } from '@/core/quantity/ratio'
import { standInsFor } from '@/db/formulas/formulas'
import { readOptics } from '@/db/materials/optics'
import type { Tx } from '@/db/base/withStudio'
import type { DrawerPaint } from '@/db/materials/drawer'
import type { StandIn } from './StandIns'

/** Every formula that can stand in for a paint: the named ones, and the one written on the paint itself. */
export async function standInsOf(
  tx: Tx,
  paint: DrawerPaint,
  byId: ReadonlyMap<string, DrawerPaint>,
): Promise<StandIn[]> {
  const named = await standInsFor(tx, paint.id)
  const rivals = [
    ...named.map((f) => ({
      href: `/formulas/${f.id}`,
      name: f.name,
      parts: f.versions[0]!.parts,
      dry: f.versions[0]!.dryHex,
    })),
    ...(paint.standIn.length
      ? [
          {
            href: `/formulas/new?paints=${paint.standIn.map((s) => s.paintId).join(',')}&parts=${paint.standIn.map((s) => s.parts).join(',')}&target=${paint.swatchHex.slice(1)}`,
            name: 'As written on the paint',
            parts: paint.standIn,
            dry: null,
          },
        ]
      : []),
  ]
  const optics = new Map(
    (
      await readOptics(
        tx,
        rivals.flatMap((r) => r.parts.map((p) => p.paintId)),
      )
    ).map((o) => [o.id, o]),
  )
  return rivals.flatMap((r) => {
    const known = r.parts.filter((p) => optics.has(p.paintId))
    const hex =
      r.dry ??
      mixToHex(
        known.map((p) => opticsOf(optics.get(p.paintId)!)),
        known.map((p) => Number(p.parts)),
      )
    const text = r.parts
      .map((p) => `${byId.get(p.paintId)?.name ?? 'a paint put away'} ${formatRatio([Number(p.parts)])}`)
      .join(' : ')
    return hex ? [{ href: r.href, name: r.name, text, hex }] : []
  })
}
