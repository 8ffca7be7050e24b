import { deltaE00 } from '@/core/colour/deltaE00'
import { hexToLab } from '@/core/colour/lab'
import { mixToHex } from '@/core/colour/mixColour'
import { opticsOf } from '@/core/colour/packOptics'
import { listFormulas } from '@/db/formulas/formulas'
import { listMixable } from '@/db/materials/mixable'
import { paceOf } from '@/db/materials/prices'
import type { Tx } from '@/db/base/withStudio'
import type { Sheet } from '../sheet'

export interface ColoursFacts {
  readonly formulas: readonly {
    readonly id: string
    readonly version: number
    readonly name: string
    readonly computedHex: string
    readonly dryHex: string
    readonly deltaE: number
  }[]
  /** Paints known by their masstone only that are used most: a tint of each would make the most mixes surer. */
  readonly wanting: readonly {
    readonly id: string
    readonly name: string
    readonly hex: string
    readonly usedUl: number
    readonly sigma: number
  }[]
}

/** Visible to a careful eye; from here on a colour did not come out as computed. Start value of Fika. */
export const OFF = 3
const WANTING_SHOWN = 8

export async function coloursFacts(tx: Tx, now: Date): Promise<ColoursFacts> {
  const [formulas, materials, pace] = [await listFormulas(tx), await listMixable(tx), await paceOf(tx, now)]
  const byId = new Map(materials.map((m) => [m.id, m]))
  return {
    formulas: formulas
      .flatMap((f) =>
        f.versions.flatMap((v) => {
          const parts = v.parts.flatMap((p) => {
            const paint = byId.get(p.paintId)
            return paint ? [{ optics: opticsOf(paint), parts: Number(p.parts) }] : []
          })
          if (!v.dryHex || parts.length < v.parts.length) return []
          const computedHex = mixToHex(
            parts.map((p) => p.optics),
            parts.map((p) => p.parts),
          )
          if (!computedHex) return []
          const deltaE = deltaE00(hexToLab(computedHex), hexToLab(v.dryHex))
          return [{ id: f.id, version: v.version, name: f.name, computedHex, dryHex: v.dryHex, deltaE }]
        }),
      )
      .sort((a, b) => b.deltaE - a.deltaE),
    wanting: materials
      .flatMap((m) =>
        m.kind === 'paint' && m.hex && (m.known ?? 'masstone') === 'masstone' && (pace.get(m.id) ?? 0) > 0
          ? [{ id: m.id, name: m.name, hex: m.hex, usedUl: pace.get(m.id)!, sigma: m.sigma ?? 1 }]
          : [],
      )
      .sort((a, b) => b.usedUl * b.sigma - a.usedUl * a.sigma)
      .slice(0, WANTING_SHOWN),
  }
}

export function coloursSheet({ formulas }: ColoursFacts): Sheet {
  return {
    columns: [
      { name: 'Formula' },
      { name: 'Version', isNumber: true },
      { name: 'Computed' },
      { name: 'Dry' },
      { name: 'ΔE00', isNumber: true },
    ],
    rows: formulas.map((f) => ({
      key: `${f.id} ${f.version}`,
      href: `/formulas/${f.id}?version=${f.version}`,
      cells: [f.name, f.version, f.computedHex, f.dryHex, f.deltaE],
    })),
  }
}
