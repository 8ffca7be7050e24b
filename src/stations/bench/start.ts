import { usualWater } from '@/core/mix/thinners'
import { usualMedium } from '@/core/mix/usualMedium'
import type { Role } from '@/core/paint/properties'
import { parseNumber } from '@/core/quantity/number'
import { formatRatio } from '@/core/quantity/ratio'
import type { BottleFull } from '@/db/bottles/read'
import type { Material } from '@/db/materials/mixable'
import type { RecipeBody } from '@/db/recipes/schema'
import type { Draft } from './mixDraft'

/** What the bench is opened with. */
export interface BenchStart {
  readonly draft: Draft
  readonly label: string
  readonly role: Role
  /** The version of a named colour its paints come from. */
  readonly formula?: { readonly id: string; readonly version: number; readonly name: string }
  /** The named recipe it was opened from. */
  readonly recipe?: { readonly id: string; readonly name: string; readonly version: number }
  readonly technique?: string
  /** A bottle the mix can go into instead of a new one. */
  readonly topUp?: { readonly id: string; readonly label: string }
}

/** What a draft holds before anybody has typed. */
export const PLAIN = {
  scaleBy: 'total',
  scaleId: '',
  scaleText: '',
  cupSize: '',
  drops: [],
  steps: [],
  poured: {},
} as const

const round = (n: number) => String(Math.round(n * 1000) / 1000)

/**
 * What lies on the bench when it is opened: a bottle's recipe to mix again (`like`), the tray's paints, or nothing.
 * Totals are in µl; undefined is the usual start.
 */
export function benchStart(
  materials: readonly Material[],
  from: {
    like?: BottleFull | undefined
    paints: readonly string[]
    parts: readonly string[]
    totalUl?: number | undefined
    us: boolean
    formula?: BenchStart['formula'] | undefined
    /** A named recipe, with the version that is opened. */
    recipe?: { id: string; name: string; version: number; body: RecipeBody } | undefined
  },
): BenchStart {
  const water = usualWater(materials.filter((m) => m.kind === 'water'))
  const medium = usualMedium(materials)
  const total = from.totalUl ? `${round(from.totalUl / 1000)} ml` : from.us ? '8 fl oz' : '240 ml'
  const { like } = from
  if (like) {
    const { recipe } = like
    const mediumParts = recipe.mediums.reduce((s, m) => s + m.parts, 0)
    return {
      draft: {
        paints: recipe.paints.map((p) => ({ id: p.materialId, parts: round(p.parts) })),
        mediums: recipe.mediums.map((m) => ({ id: m.materialId, parts: round(m.parts) })),
        ratio: recipe.paints.length ? formatRatio([mediumParts, recipe.paintParts]) : '',
        waterId: recipe.water?.materialId ?? water?.id ?? '',
        waterParts: recipe.water ? round(recipe.water.parts) : '',
        ...PLAIN,
        drops: (recipe.drops ?? []).map((d) => ({ id: d.materialId, parts: round(d.parts) })),
        total,
      },
      label: like.label,
      role: like.role as Role,
      topUp: { id: like.id, label: like.label },
    }
  }
  const { recipe } = from
  if (recipe) {
    const { role, technique, ...draft } = recipe.body
    return {
      draft: { ...PLAIN, ...draft, total },
      label: recipe.name,
      role,
      technique,
      recipe: { id: recipe.id, name: recipe.name, version: recipe.version },
    }
  }
  const chosen = from.paints.flatMap((id, i) => {
    const material = materials.find((m) => m.id === id)
    return material ? [{ ...material, parts: parseNumber(from.parts[i] ?? '') ?? 1 }] : []
  })
  return {
    draft: {
      paints: chosen.map((m) => ({ id: m.id, parts: round(m.parts) })),
      mediums: medium ? [{ id: medium.id, parts: '1' }] : [],
      ratio: '',
      waterId: water?.id ?? '',
      waterParts: '',
      ...PLAIN,
      total,
    },
    label: from.formula?.name ?? (chosen.length === 1 ? chosen[0]!.name : ''),
    role: 'pour',
    ...(from.formula ? { formula: from.formula } : {}),
  }
}
