import { mixToHex } from '@/core/colour/mixColour'
import { sureOf } from '@/core/colour/predict'
import { surePaint, sureWords } from '@/core/colour/sureWords'
import type { ScaleBy } from '@/core/mix/amounts'
import { amountsWithDrops, dropsUl } from '@/core/mix/drops'
import { houseRatioOf, NO_RULES, type HouseRules } from '@/core/mix/houseRules'
import { ingredients, rescale, type Ingredient, type Recipe } from '@/core/mix/recipe'
import { judgeWater, type WaterRule, type WaterVerdict } from '@/core/mix/waterLimit'
import { costOf, type Cost } from '@/core/purchase/cost'
import { dropOf, START_DROPS, type DropSizes } from '@/core/quantity/dropSizes'
import { parsePouredUl, type UnitSystem } from '@/core/quantity/parse'
import { numberIn, parseNumber } from '@/core/quantity/number'
import { parseRatio } from '@/core/quantity/ratio'
import { readTyped } from '@/core/quantity/typed'
import type { Material } from '@/db/materials/mixable'
import { hidingWords } from '@/core/colour/hidingWords'

/** What stands on the bench, as typed. */
export interface Draft {
  readonly paints: readonly { id: string; parts: string }[]
  readonly mediums: readonly { id: string; parts: string }[]
  /** medium : paint, or '' for the house ratio by body. */
  readonly ratio: string
  readonly waterId: string
  readonly waterParts: string
  readonly total: string
  /** How the total is found: typed, from one ingredient, from all that is left of it, or by cups. */
  readonly scaleBy: ScaleBy['by']
  /** The ingredient it is scaled from. */
  readonly scaleId: string
  /** That ingredient's amount, or how many cups. */
  readonly scaleText: string
  readonly cupSize: string
  /** Additives by the drop: drops for each 100 ml of the mix. */
  readonly drops: readonly { id: string; parts: string }[]
  /** What is done, in order, besides measuring. */
  readonly steps: readonly string[]
  /** What was really poured, by material id. */
  readonly poured: Readonly<Record<string, string>>
}

export interface MixLine extends Ingredient {
  readonly material: Material
  readonly plannedUl: number
  readonly targetUl: number
  readonly pouredUl: number | undefined
}

export interface MixView {
  readonly recipe: Recipe | undefined
  readonly houseRatio: string
  /** Whose ratio that is: of this paint, of its body, house rule or usual. */
  readonly houseFrom: string
  /** Additives: drops for each 100 ml. */
  readonly drops: readonly { materialId: string; parts: number }[]
  readonly lines: readonly MixLine[]
  readonly totalUl: number
  readonly extraUl: number
  /** What the paints turn into, and how sure that is. */
  readonly colour: { readonly hex: string; readonly how: string; readonly next: string | null } | undefined
  readonly water: WaterVerdict | undefined
  /** How it hides once it is dry, see `hidingWords`. */
  readonly hides: string | undefined
  readonly cost: Cost
  /** Sentences about what was typed and cannot be read. */
  readonly problems: readonly string[]
  /** Materials whose counted containers hold less than is wanted. */
  readonly short: readonly { material: Material; lackUl: number }[]
}

/** Reads what is typed; what cannot be read is one of the problems, and something else is taken for it. */
const sayer =
  (problems: string[]) =>
  <T>(work: () => T, otherwise: T): T => {
    const { value, sentence } = readTyped(work)
    if (sentence === undefined) return value as T
    problems.push(sentence)
    return otherwise
  }

/** The house ratio for a formula: of the paint there is most of. */
export function houseRatio(paints: readonly { material: Material; parts: number }[], rules: HouseRules) {
  const most = [...paints].sort((a, b) => b.parts - a.parts)[0]
  const { medium, paint, from } = houseRatioOf(most?.material, rules)
  return { text: `${medium} : ${paint}`, from }
}

/** What a draft is scaled by, as typed. @throws Invalid saying what to type */
function scaleOf(draft: Draft, materials: ReadonlyMap<string, Material>, units: UnitSystem, sizes: DropSizes): ScaleBy {
  const from = materials.get(draft.scaleId)
  if (draft.scaleBy === 'left') return { by: 'left', materialId: draft.scaleId, leftUl: from?.onHandUl ?? null }
  if (draft.scaleBy === 'ingredient')
    return {
      by: 'ingredient',
      materialId: draft.scaleId,
      ul: parsePouredUl(
        draft.scaleText.trim() || '0',
        from?.densityGPerMl ?? 1,
        units,
        dropOf(sizes, from?.kind ?? 'paint'),
      ),
    }
  if (draft.scaleBy === 'cups')
    return {
      by: 'cups',
      cups: parseNumber(draft.scaleText.trim() || '0') ?? 0,
      cupUl: parsePouredUl(draft.cupSize.trim() || '0', 1, units),
    }
  return { by: 'total', ul: parsePouredUl(draft.total.trim() || '0', 1, units) }
}

/** Works out the whole bench from what is typed. Pure: the same draft gives the same view. */
export function benchView(
  draft: Draft,
  materials: ReadonlyMap<string, Material>,
  units: UnitSystem,
  waterRule: WaterRule,
  rules: HouseRules = NO_RULES,
  sizes: DropSizes = START_DROPS,
): MixView {
  const problems: string[] = []
  const attempt = sayer(problems)
  const partsOf = (rows: readonly { id: string; parts: string }[]) =>
    rows.flatMap(({ id, parts }) => {
      const material = materials.get(id)
      if (!material) return []
      const wrong = `“${parts}” is not a number of parts. Type it like 2 or 1/2.`
      const value = parts.trim() === '' ? 0 : attempt(() => numberIn(parts, wrong), 0)
      return [{ material, materialId: id, parts: value }]
    })
  const paints = partsOf(draft.paints)
  const mediums = partsOf(draft.mediums)
  const { text: house, from: houseFrom } = houseRatio(paints, rules)
  const [mediumParts = 0, paintParts = 1] = attempt(() => parseRatio(draft.ratio.trim() || house), [0, 1])
  const mediumSum = mediums.reduce((s, m) => s + m.parts, 0)
  const water = materials.get(draft.waterId)
  const waterParts = partsOf(water ? [{ id: draft.waterId, parts: draft.waterParts }] : [])[0]?.parts ?? 0

  const recipe: Recipe = {
    paints: paints.map(({ materialId, parts }) => ({ materialId, parts })),
    paintParts: paints.length ? paintParts : 0,
    mediums:
      mediumSum > 0
        ? mediums.map((m) => ({ materialId: m.materialId, parts: (m.parts / mediumSum) * mediumParts }))
        : [],
    water: water && waterParts > 0 ? { materialId: water.id, parts: waterParts } : undefined,
  }
  const nothing: MixView = {
    recipe: undefined,
    houseRatio: house,
    houseFrom,
    drops: [],
    lines: [],
    totalUl: 0,
    extraUl: 0,
    colour: colourOf(paints),
    water: undefined,
    hides: undefined,
    cost: costOf([]),
    problems,
    short: [],
  }
  if (paints.length === 0 && mediums.length === 0) return nothing
  const list = attempt(() => ingredients(recipe), [])
  const scale = attempt(() => scaleOf(draft, materials, units, sizes), { by: 'total', ul: 0 } as const)
  if (list.length === 0 || (scale.by === 'total' && scale.ul <= 0)) return nothing
  const counted = partsOf(draft.drops)
    .filter((d) => d.parts > 0)
    .map(({ material, materialId, parts }) => ({
      material,
      materialId,
      per100Ml: parts,
      dropUl: dropOf(sizes, material.kind),
    }))
  const { plannedUl, dropsUl: plannedDropsUl } = attempt(() => amountsWithDrops(list, counted, scale), {
    plannedUl: [],
    dropsUl: [],
  })
  if (plannedUl.reduce((a, b) => a + b, 0) <= 0) return nothing
  const pouredOf = ({ materialId }: { materialId: string }) => {
    const text = draft.poured[materialId]?.trim()
    const { densityGPerMl, kind } = materials.get(materialId)!
    return text ? attempt(() => parsePouredUl(text, densityGPerMl, units, dropOf(sizes, kind)), undefined) : undefined
  }
  const poured = list.map(pouredOf)
  const { targetsUl, totalUl: bareUl, extraUl: bareExtraUl } = rescale(list, plannedUl, poured)
  const ofRecipe = list.map((ingredient, i): MixLine => ({
    ...ingredient,
    material: materials.get(ingredient.materialId)!,
    plannedUl: plannedUl[i]!,
    targetUl: targetsUl[i]!,
    pouredUl: poured[i],
  }))
  // A batch that grew by an overshoot takes more drops; what is in it already stays in it.
  const dropped = counted.map((d, i): MixLine => {
    const pouredUl = pouredOf(d)
    const planned = plannedDropsUl[i]!
    const wanted = bareExtraUl > 0 ? dropsUl(d, bareUl + planned) : planned
    return {
      materialId: d.materialId,
      kind: 'additive',
      parts: 0,
      material: d.material,
      plannedUl: planned,
      targetUl: Math.max(wanted, pouredUl ?? 0),
      pouredUl,
    }
  })
  const lines = [...ofRecipe, ...dropped]
  const totalUl = lines.reduce((s, l) => s + l.targetUl, 0)
  return {
    recipe,
    houseRatio: house,
    houseFrom,
    drops: counted.map((d) => ({ materialId: d.materialId, parts: d.per100Ml })),
    lines,
    totalUl,
    extraUl: totalUl - lines.reduce((s, l) => s + l.plannedUl, 0),
    colour: colourOf(paints),
    water: judgeWater(
      lines.map((l) => ({
        kind: l.kind,
        ul: l.targetUl,
        waterShare: l.material.waterShare,
        solids: l.material.solids,
        pigmentShare: l.material.pigmentShare,
        grade: l.material.grade,
      })),
      waterRule,
    ),
    hides: hidingWords(lines.map((l) => ({ material: l.material, ul: l.targetUl }))),
    cost: costOf(
      lines.map((l) => ({ ul: l.targetUl, priceMinor: l.material.priceMinor, sizeUl: l.material.containerUl })),
    ),
    problems,
    short: lines.flatMap((l) => {
      const lackUl = l.targetUl - (l.material.onHandUl ?? Infinity)
      return lackUl > 0 ? [{ material: l.material, lackUl }] : []
    }),
  }
}

/** What paints turn into by volume, and how sure that is; nothing where none of them has a colour. */
export function colourOf(paints: readonly { material: Material; parts: number }[]): MixView['colour'] {
  const seen = paints.filter((p) => p.material.hex && p.parts > 0)
  const sure = seen.map((p) => surePaint(p.material))
  const parts = seen.map((p) => p.parts)
  const hex = mixToHex(
    sure.map((p) => p.optics),
    parts,
  )
  if (hex === undefined) return undefined
  return {
    hex,
    ...sureWords(
      sureOf(sure, parts),
      seen.map((p) => p.material.name),
    ),
  }
}
