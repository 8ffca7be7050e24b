import { needsPigmentCare } from '@/core/paint/pigments'
import type { GuideLine, GuidePlan } from '@/core/mix/guide'
import { STRENGTHS, type MaterialKind, type Role } from '@/core/paint/properties'
import type { Belief } from '@/core/consistency/dilution'
import type { WaterRule } from '@/core/mix/waterLimit'
import type { Material } from '@/db/materials/mixable'
import type { BeginGuide } from './schema'

/** A guided mix as it is kept: the core's plan, and what the bottle will need to know. */
export interface KeptPlan extends GuidePlan {
  readonly label: string
  readonly role: Role
  readonly technique: string
  readonly recipe: BeginGuide['recipe']
  readonly formula: BeginGuide['formula']
  /** Steps of the recipe, beside the measuring. */
  readonly steps: readonly string[]
  /** What is believed of its consistency before it was read. */
  readonly belief: Belief
}

/** Kinds of medium that part and lump while they stand. Common practice, no published source. */
const STRAINED = new Set(['conditioner', 'one-bottle base'])

/** What is done before anything is poured. */
export function prepareSteps(lines: readonly GuideLine[], materials: ReadonlyMap<string, Material>): string[] {
  const of = lines.flatMap((l) => materials.get(l.id) ?? [])
  const names = (list: readonly Material[]) => list.map((m) => m.name).join(', ')
  const strained = of.filter((m) => m.mediumKind && STRAINED.has(m.mediumKind))
  const bases = of.filter((m) => m.inBottle)
  const stirred = of.filter((m) => m.kind === 'paint' && m.body !== 'heavy')
  const heavy = of.filter((m) => m.kind === 'paint' && m.body === 'heavy')
  const steps: string[] = []
  if (of.some((m) => needsPigmentCare(m.pigments)))
    steps.push(
      'Gloves on. A pigment here is harmful as dust: never sand or spray it, and follow its label, local codes and licensed practice.',
    )
  if (strained.length)
    steps.push(`Shake and strain ${names(strained)}; rinse the strainer at once. It is no kitchen tool any more.`)
  if (bases.length) steps.push(`Shake ${names(bases)}.`)
  if (stirred.length) steps.push(`Shake or stir ${names(stirred)}.`)
  if (heavy.length) steps.push(`Knead or stir ${names(heavy)}; it wants longer stirring later.`)
  return steps
}

const TURN: Readonly<Record<MaterialKind, number>> = { medium: 0, paint: 1, additive: 2, water: 3 }

/**
 * When a line is poured: mediums first, the weak paints before the strong, since a drop too much of what is weak is
 * mended by what is strong, and not the other way about. Common practice, no published source.
 */
const turnOf = (kind: MaterialKind, m: Material | undefined) =>
  TURN[kind] + STRENGTHS.indexOf(m?.strength ?? 'normal') / STRENGTHS.length

/** The plan of a guided mix from what was sent and what the studio has. */
export function keptPlan(
  input: BeginGuide,
  materials: ReadonlyMap<string, Material>,
  waterRule: WaterRule,
  belief: Belief,
): KeptPlan {
  const lines = input.lines.flatMap((l): GuideLine[] => {
    const m = materials.get(l.id)
    if (!m) return []
    return [
      {
        source: m.inBottle ? 'bottle' : 'material',
        id: m.id,
        name: m.name,
        kind: m.kind,
        hex: m.hex,
        densityGPerMl: m.densityGPerMl,
        solids: m.solids,
        pigmentShare: m.pigmentShare,
        grade: m.grade,
        waterShare: m.waterShare,
        plannedUl: l.plannedUl,
        byDrop: l.byDrop,
      },
    ]
  })
  lines.sort((a, b) => turnOf(a.kind, materials.get(a.id)) - turnOf(b.kind, materials.get(b.id)))
  const water = materials.get(input.waterId)
  return {
    lines,
    cupUl: input.cupUl,
    prepare: prepareSteps(lines, materials),
    bandS: [input.bandS[0]!, input.bandS[1]!],
    waterRule,
    water:
      water?.kind === 'water'
        ? {
            id: water.id,
            name: water.name,
            waterShare: water.waterShare,
            solids: water.solids,
            densityGPerMl: water.densityGPerMl,
          }
        : null,
    label: input.label,
    role: input.role,
    technique: input.technique,
    recipe: input.recipe,
    formula: input.formula,
    steps: input.steps,
    belief,
  }
}
