import { apportionParts } from '@/core/mix/apportion'
import { inSteps, type AddStep } from '@/core/mix/inSteps'
import { byOneDrop, predict, type Prediction } from '@/core/colour/predict'
import { START_DROPS } from '@/core/quantity/dropSizes'
import { numberIn } from '@/core/quantity/number'
import type { Material } from '@/db/materials/mixable'
import { readTyped } from '@/core/quantity/typed'
import { formulaPaint, perMlOf } from '../formulaPaint'

export const UNITS = ['parts', 'drops', 'ml', 'g'] as const
export type Unit = (typeof UNITS)[number]

/** A line of a formula as typed. */
export interface Row {
  readonly id: string
  readonly amount: string
}

export interface Used {
  readonly material: Material
  /** By volume, any scale. */
  readonly parts: number
  readonly share: number
  /** Volume in the batch, µl. */
  readonly ul: number
  /** ΔE00 by one more drop in the batch, and by one more ml. */
  readonly oneDrop: number
  readonly oneMl: number
}

export interface DeskView {
  readonly used: readonly Used[]
  readonly prediction: Prediction | undefined
  readonly batchUl: number
  /** Minor units a ml of the paints together; null where a price is missing. */
  readonly perMl: number | null
  readonly steps: readonly AddStep[]
  readonly problems: readonly string[]
}

/** Volume by which one of a unit of a paint counts; parts are volumes of any size. */
const perUnit = (unit: Unit, m: Material, dropUl: number) =>
  unit === 'drops' ? dropUl : unit === 'ml' ? 1000 : unit === 'g' ? 1000 / m.densityGPerMl : 1000

/** Works out a formula from what is typed. Pure: the same rows give the same view. @param dropUl volume of a drop of paint */
export function formulaView(
  rows: readonly Row[],
  unit: Unit,
  batchUl: number,
  materials: ReadonlyMap<string, Material>,
  film = 1,
  dropUl = START_DROPS.paint,
): DeskView {
  const problems: string[] = []
  const typed = rows.flatMap(({ id, amount }) => {
    const material = materials.get(id)
    if (!material) return []
    const wrong = `“${amount}” is not an amount of ${material.name}. Type it like 2 or 1/2.`
    const { value, sentence } = readTyped(() => (amount.trim() === '' ? 0 : numberIn(amount, wrong)))
    if (sentence !== undefined) problems.push(sentence)
    return value ? [{ material, parts: (value * perUnit(unit, material, dropUl)) / 1000 }] : []
  })
  const names = typed.map((t) => t.material.id)
  if (new Set(names).size < names.length) problems.push('A paint is named twice. Add its amounts together.')
  const total = typed.reduce((s, t) => s + t.parts, 0)
  if (total === 0 || problems.length)
    return { used: [], prediction: undefined, batchUl, perMl: null, steps: [], problems }
  const own = unit === 'parts' ? batchUl : Math.round(total * 1000)
  const parts = typed.map((t) => t.parts)
  const paints = typed.map((t) => formulaPaint(t.material))
  const optics = paints.map((p) => p.optics)
  const prediction = predict(paints, parts, film)
  const uls = apportionParts(own, parts)
  return {
    used: typed.map((t, i) => ({
      ...t,
      share: t.parts / total,
      ul: uls[i]!,
      oneDrop: byOneDrop(optics, parts, i, { batchUl: own, dropUl }),
      oneMl: byOneDrop(optics, parts, i, { batchUl: own, dropUl: 1000 }),
    })),
    prediction,
    batchUl: own,
    perMl: typed.some((t) => perMlOf(t.material) === null)
      ? null
      : typed.reduce((s, t) => s + (t.parts / total) * perMlOf(t.material)!, 0),
    steps: inSteps(
      typed.map((t, i) => ({ id: t.material.id, parts: t.parts, pull: prediction.pull[i]! })),
      own,
    ),
    problems,
  }
}

/** The same formula in another unit: the volumes of the batch, or small whole parts where it comes to them. */
export function inUnit(view: DeskView, unit: Unit, dropUl = START_DROPS.paint): Row[] {
  const smallest = Math.min(...view.used.map((u) => u.parts))
  return view.used.map(({ material, parts, ul }) => {
    const value = unit === 'parts' ? parts / smallest : ul / perUnit(unit, material, dropUl)
    return { id: material.id, amount: String(Number(value.toPrecision(unit === 'drops' ? 6 : 3))) }
  })
}
