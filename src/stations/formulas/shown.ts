import type { DriedPair } from '@/core/colour/driedIn'
import { hexToLab } from '@/core/colour/lab'
import { mixToHex } from '@/core/colour/mixColour'
import { opticsOf } from '@/core/colour/packOptics'
import type { WetDryPair } from '@/core/colour/wetDry'
import { sheenOfMix, sheenShares } from '@/core/paint/sheenOfMix'
import { formatRatio } from '@/core/quantity/ratio'
import type { BottleFull } from '@/db/bottles/read'
import type { Material } from '@/db/materials/mixable'
import type { Formula, FormulaPart, WetDryRow } from '@/db/formulas/formulas'
import type { Coloured } from './target/target'

export type Paints = ReadonlyMap<string, Material>

/** A formula's parts that still are in the drawer, with their paints. */
const partsIn = (parts: readonly FormulaPart[], paints: Paints) =>
  parts.flatMap((p) => {
    const material = paints.get(p.paintId)
    return material ? [{ material, parts: Number(p.parts) }] : []
  })

/** `#rrggbb` computed for parts; grey where none of the paints is in the drawer any more. */
export function hexOfParts(parts: readonly FormulaPart[], paints: Paints): string {
  const list = partsIn(parts, paints)
  return (
    mixToHex(
      list.map((p) => opticsOf(p.material)),
      list.map((p) => p.parts),
    ) ?? '#9a9a9a'
  )
}

/** `Canal Teal 3 : Sluice White 1`. */
export const textOfParts = (parts: readonly FormulaPart[], paints: Paints) =>
  parts.map((p) => `${paints.get(p.paintId)?.name ?? 'a paint put away'} ${formatRatio([Number(p.parts)])}`).join(' : ')

/** Body, opacity and sheen by which a formula is drawn: those of the paint there is most of. */
export function lookOfParts(parts: readonly FormulaPart[], paints: Paints) {
  const list = partsIn(parts, paints)
  const most = [...list].sort((a, b) => b.parts - a.parts)[0]?.material
  return {
    body: most?.body ?? ('soft' as const),
    opacity: most?.opacity ?? ('semi-opaque' as const),
    sheen: sheenOfMix(sheenShares(list.map((p) => ({ sheen: p.material.sheen!, ul: p.parts })))),
  }
}

/** Everything in the studio that has a colour, to choose a target from. */
export const colouredOf = (
  paints: Paints,
  bottles: readonly BottleFull[],
  formulas: readonly Formula[],
): Coloured[] => [
  ...formulas.map((f): Coloured => {
    const { parts, dryHex } = f.versions[0]!
    return {
      id: f.id,
      kind: 'formula',
      label: f.name,
      hex: dryHex ?? hexOfParts(parts, paints),
      sheen: lookOfParts(parts, paints).sheen,
    }
  }),
  ...[...paints.values()].map((p): Coloured => ({
    id: p.id,
    kind: 'paint',
    label: p.name,
    hex: p.hex!,
    sheen: p.sheen,
  })),
  ...bottles.flatMap((b): Coloured[] =>
    b.hex ? [{ id: b.id, kind: 'bottle', label: b.label, hex: b.hex, sheen: b.sheen as Coloured['sheen'] }] : [],
  ),
]

/** The studio's wet and dry pairs as the colour core takes them. */
export const pairsOf = (rows: readonly WetDryRow[]): WetDryPair[] =>
  rows.map((p) => ({
    wet: hexToLab(p.wetHex),
    dry: hexToLab(p.dryHex),
    medium: p.mediumKind,
    mediumShare: Number(p.mediumShare),
  }))

/** Versions that were painted out in a medium, against what their paints come to by themselves. */
export const driedPairs = (formulas: readonly Formula[], paints: Paints): DriedPair[] =>
  formulas.flatMap((f) =>
    f.versions.flatMap((v): DriedPair[] =>
      v.dryHex && v.parts.every((p) => paints.has(p.paintId))
        ? [
            {
              computed: hexToLab(hexOfParts(v.parts, paints)),
              dried: hexToLab(v.dryHex),
              medium: v.mediumKind,
              mediumShare: Number(v.mediumShare),
            },
          ]
        : [],
    ),
  )
