import { readTyped } from '@/core/quantity/typed'
import { APART_USES, type ApartUse, planParts, type PlanPart } from '@/core/plan/amounts'
import type { SurfaceShape } from '@/core/surface/stock'
import { parseMoneyMinor } from '@/core/quantity/money'
import { numberIn } from '@/core/quantity/number'
import { parseAmount, parseVolumeUl, type UnitSystem } from '@/core/quantity/parse'
import { parseSize } from '@/core/quantity/size'
import { MM_PER_INCH } from '@/core/quantity/units'
import { type Surface } from '@/core/surface/area'
import { cupUl } from '@/core/surface/coverage'
import type { PlanWithParts } from '@/db/plans/read'
import type { StockedSurface } from '@/db/surfaces/read'
import { coverageOf, surfaceOf } from '@/db/plans/shapes'
import type { PlanInput } from '@/db/plans/schema'

export interface Fields {
  title: string
  technique: string
  shape: SurfaceShape
  size: string
  edge: string
  count: number
  school: 'rule-of-28' | 'film'
  wet: string
  runOff: string
  surfaceCost: string
  /** Kind of surface on the shelf, or ''. */
  surfaceStockId: string
  cup: { vesselId: string; parts: string }[]
  apart: Record<ApartUse, { vesselId: string; amount: string }>
  notes: string
}

/** A side as it is typed, fine enough to read back as the same length. */
const sideText = (mm: number, us: boolean) => String(Number((us ? mm / MM_PER_INCH : mm / 10).toFixed(4)))
const lengthText = (mm: number, us: boolean) => `${sideText(mm, us)} ${us ? 'in' : 'cm'}`

/** Fields of a plan as they are opened: those of a saved one, or a start with the bottles chosen. */
export function startFields(plan: PlanWithParts | undefined, chosen: readonly string[], us: boolean): Fields {
  const none = { vesselId: '', amount: '' }
  const apart = { 'base coat': none, 'slip coat': none, reserve: none }
  if (!plan)
    return {
      title: '',
      technique: 'straight',
      shape: 'rectangle',
      size: us ? '16 x 20 in' : '40 x 50 cm',
      edge: us ? '0.75 in' : '2 cm',
      count: 1,
      school: 'rule-of-28',
      wet: '1.2',
      runOff: '25',
      surfaceCost: '',
      surfaceStockId: '',
      cup: chosen.map((vesselId) => ({ vesselId, parts: '1' })),
      apart,
      notes: '',
    }
  const { surface: s, coverage: c } = plan
  for (const p of plan.parts) if (p.use !== 'cup') apart[p.use] = { vesselId: p.vesselId, amount: `${p.ul / 1000} ml` }
  return {
    title: plan.title,
    technique: plan.technique,
    shape: s.shape,
    size:
      s.shape === 'round' ? lengthText(s.diameterMm, us) : `${sideText(s.lengthMm, us)} x ${lengthText(s.widthMm, us)}`,
    edge: lengthText(s.edgeMm, us),
    count: s.count,
    school: c.kind,
    wet: c.kind === 'film' ? String(c.wetMm) : '1.2',
    runOff: c.kind === 'film' ? String(c.runOffShare * 100) : '25',
    surfaceCost: plan.surfaceCostMinor ? (plan.surfaceCostMinor / 100).toFixed(2) : '',
    surfaceStockId: plan.surfaceStockId ?? '',
    cup: plan.parts.filter((p) => p.use === 'cup').map((p) => ({ vesselId: p.vesselId, parts: String(p.parts) })),
    apart,
    notes: plan.notes,
  }
}

/** Fields of a surface from the shelf: its size, its edge, and what one costs times how many. */
export function shelfFields(s: StockedSurface | undefined, count: number, us: boolean): Partial<Fields> {
  if (!s) return { surfaceStockId: '' }
  return {
    surfaceStockId: s.id,
    shape: s.shape,
    size:
      s.shape === 'round' ? lengthText(s.diameterMm, us) : `${sideText(s.lengthMm, us)} x ${lengthText(s.widthMm, us)}`,
    edge: lengthText(s.edgeMm, us),
    ...(s.eachMinor === null ? {} : { surfaceCost: ((s.eachMinor * count) / 100).toFixed(2) }),
  }
}

/** What the server takes. @throws FikaError with a sentence for what cannot be read */
function readInput(id: string, f: Fields, units: UnitSystem): PlanInput {
  const number = (text: string, what: string) => {
    const value = numberIn(text, `“${text}” is not a number for ${what}.`)
    return value
  }
  const size = f.shape === 'rectangle' ? parseSize(f.size, units) : { lengthMm: 0, widthMm: 0 }
  return {
    id,
    title: f.title,
    technique: f.technique,
    surface: {
      shape: f.shape,
      ...size,
      diameterMm: f.shape === 'round' ? parseAmount(f.size, 'length', units) : 0,
      edgeMm: f.edge.trim() ? parseAmount(f.edge, 'length', units) : 0,
      count: f.count,
    },
    coverage: {
      kind: f.school,
      wetMm: number(f.wet, 'the wet film'),
      runOffShare: number(f.runOff, 'the run-off') / 100,
    },
    surfaceCostMinor: f.surfaceCost.trim() ? parseMoneyMinor(f.surfaceCost) : 0,
    surfaceStockId: f.surfaceStockId || null,
    cup: f.cup
      .filter((c) => c.vesselId)
      .map((c) => ({ vesselId: c.vesselId, parts: c.parts.trim() ? number(c.parts, 'a share') : 0 })),
    apart: APART_USES.filter((use) => f.apart[use].vesselId && f.apart[use].amount.trim()).map((use) => ({
      use,
      vesselId: f.apart[use].vesselId,
      ul: parseVolumeUl(f.apart[use].amount, units),
    })),
    notes: f.notes,
  }
}

/** What the fields say, or the first sentence about what cannot be read. */
export interface ReadPlan {
  readonly input?: PlanInput
  readonly surface?: Surface
  readonly cup: number
  readonly parts: PlanPart[]
  readonly problem?: string
}

/** Reads the whole plan as it is typed. Pure: the same fields read the same. */
export function readAll(id: string, f: Fields, units: UnitSystem): ReadPlan {
  const read = readTyped(() => {
    const input = readInput(id, f, units)
    const surface = surfaceOf(input.surface)
    const cup = cupUl(surface, coverageOf(input.coverage))
    return { input, surface, cup, parts: planParts(cup, input.cup, input.apart) }
  })
  return read.value ?? { cup: 0, parts: [], problem: read.sentence }
}
