import { mustBeAmounts, mustBeNumbers } from '../mustBe'
import type { ReadingWay } from '../consistency/levelTime'
import type { Watered } from '../consistency/reference'
import { Invalid } from '../errors'
import type { WaterRule } from './waterLimit'
import { rescale, type IngredientKind } from './recipe'

/** One thing that goes into the cup, in the order it is poured. */
export interface GuideLine {
  /** A material, or a bottle whose mix is used as an ingredient. */
  readonly source: 'material' | 'bottle'
  readonly id: string
  readonly name: string
  readonly kind: IngredientKind
  readonly hex: string | null
  readonly densityGPerMl: number
  readonly solids: number
  /** Not kept of a mix begun before pigment was told from binder. */
  readonly pigmentShare?: number
  /** Grade of a paint, where somebody has said it. */
  readonly grade?: string
  readonly waterShare: number
  readonly plannedUl: number
  /** Counted in drops and not weighed. */
  readonly byDrop?: boolean
}

/** A guided mix as it was begun; it is never changed, only followed by events. */
export interface GuidePlan {
  readonly lines: readonly GuideLine[]
  /** What the cup holds, µl; null where nobody said. */
  readonly cupUl: number | null
  /** What is done before anything is poured: shake, strain, gloves. */
  readonly prepare: readonly string[]
  /** Wanted level time, s. */
  readonly bandS: readonly [number, number]
  /** How much water is too much; not kept of a mix begun under a rule that is no more. */
  readonly waterRule?: WaterRule
  /** The water it is thinned with; null: no watering. */
  readonly water: {
    readonly id: string
    readonly name: string
    readonly waterShare: number
    readonly solids: number
    readonly densityGPerMl: number
  } | null
}

/** What happened, one after another. Nothing is taken out: `undo` takes back the event before it. */
export type GuideEvent =
  | { readonly kind: 'next' }
  /** The scale reads this much gross with what was in the cup before: from here on is new. `heldUl` is kept of the line. */
  | { readonly kind: 'tare'; readonly grams: number; readonly heldUl?: number | undefined }
  | { readonly kind: 'pour'; readonly ul: number; readonly grams?: number | undefined }
  | { readonly kind: 'follow' }
  | { readonly kind: 'keep' }
  | { readonly kind: 'water'; readonly ul: number; readonly grams?: number | undefined }
  | {
      readonly kind: 'reading'
      readonly levelTimeS: number
      readonly sigma: number
      readonly tries: readonly number[]
      readonly how: ReadingWay
    }
  | { readonly kind: 'good' }
  | { readonly kind: 'undo' }

export type GuideStep = 'prepare' | 'cup' | 'pour' | 'overshoot' | 'stir' | 'judge' | 'label'

export interface Overshoot {
  readonly line: number
  readonly byUl: number
  /** New targets of every line, µl, should the ratio be kept. */
  readonly targetsUl: readonly number[]
  readonly extraUl: number
  readonly totalUl: number
  /** Whether the cup holds that; null where its size is not known. */
  readonly cupHolds: boolean | null
}

export interface GuideState {
  readonly step: GuideStep
  /** The line being poured, at `pour` and `overshoot`. */
  readonly line: number
  readonly pouredUl: readonly (number | undefined)[]
  readonly targetsUl: readonly number[]
  /** Of the line being poured, before the tare it stands on, µl. */
  readonly heldUl: number
  readonly overshoot: Overshoot | undefined
  /** Gross grams from which the line is counted; null before the first tare. */
  readonly baselineG: number | null
  /** Watered since the stir, µl. */
  readonly wateredUl: number
  readonly readings: readonly {
    readonly atUl: number
    readonly levelTimeS: number
    readonly sigma: number
    readonly tries: readonly number[]
    readonly how: ReadingWay
  }[]
  readonly totalUl: number
  readonly canUndo: boolean
}

/**
 * A line is right when it is this near: 2 % of it, and never less than what the scale can tell (0.2 ml where nothing is
 * known of it): one that shows tenths of an ounce cannot tell 2 % of two ounces.
 * @param resolutionUl the scale's smallest step as a volume of what is poured
 */
export function toleranceUl(targetUl: number, resolutionUl = 0): number {
  mustBeAmounts('A volume or a step of the scale', [targetUl, resolutionUl])
  return Math.max(200, resolutionUl, 0.02 * targetUl)
}
/** Only beyond this is it an overshoot: five per cent off is shrugged at. Common practice, no published source. */
export const shruggedUl = (targetUl: number) => Math.max(200, 0.05 * targetUl)

/** What has been poured of the lines, and how much of it is water; watering comes on top. */
export function pouredWater(plan: GuidePlan, { pouredUl }: Pick<GuideState, 'pouredUl'>): Watered {
  mustBeAmounts('What was poured', [...pouredUl, ...plan.lines.map((l) => l.waterShare)])
  return {
    ul: pouredUl.reduce<number>((sum, ul) => sum + (ul ?? 0), 0),
    waterUl: plan.lines.reduce((sum, { kind, source, waterShare }, i) => {
      const share = kind === 'water' ? 1 : source === 'bottle' ? waterShare : 0
      return sum + share * (pouredUl[i] ?? 0)
    }, 0),
  }
}

/** The events that count: each undo takes back the last one that stands. */
export function standing(events: readonly GuideEvent[]): Exclude<GuideEvent, { kind: 'undo' }>[] {
  const left: Exclude<GuideEvent, { kind: 'undo' }>[] = []
  for (const e of events)
    if (e.kind === 'undo') left.pop()
    else left.push(e)
  return left
}

/**
 * Where a guided mix stands after its events. Pure: every device that has the plan and the events shows the same step.
 * @throws Invalid for an event that does not fit its step; nothing is then to be kept of it
 */
export function guideState(plan: GuidePlan, events: readonly GuideEvent[]): GuideState {
  const run = new Run(plan)
  const kept = standing(events)
  for (const e of kept) run.apply(e)
  return run.state(kept.length > 0)
}

class Run {
  private step: GuideStep = 'prepare'
  private readonly poured: (number | undefined)[]
  private targets: number[]
  private held = 0
  private baselineG: number | null = null
  private watered = 0
  private readonly readings: {
    atUl: number
    levelTimeS: number
    sigma: number
    tries: readonly number[]
    how: ReadingWay
  }[] = []
  private over: Overshoot | undefined

  constructor(private readonly plan: GuidePlan) {
    this.poured = plan.lines.map(() => undefined)
    this.targets = plan.lines.map((l) => l.plannedUl)
    mustBeAmounts('A planned amount', this.targets)
    if (plan.lines.length === 0) throw new Invalid('There is nothing to pour. Choose a paint or a medium first.')
  }

  /** First what was never poured, in order; then what an overshoot left short. */
  private get line(): number {
    if (this.over) return this.over.line
    const fresh = this.poured.findIndex((p) => p === undefined)
    if (fresh >= 0) return fresh
    return this.poured.findIndex((p, i) => this.targets[i]! - p! > toleranceUl(this.targets[i]!))
  }

  apply(e: Exclude<GuideEvent, { kind: 'undo' }>): void {
    const { step } = this
    if ('grams' in e) mustBeNumbers('What the scale shows', [e.grams])
    if (e.kind === 'tare') {
      if (step !== 'cup' && step !== 'pour') refuse()
      this.baselineG = e.grams
      if (step === 'cup') this.step = 'pour'
      else this.held = e.heldUl ?? 0
    } else if (e.kind === 'next') {
      if (step === 'prepare') this.step = 'cup'
      else if (step === 'cup') this.step = 'pour'
      else if (step === 'stir') this.step = 'judge'
      else refuse()
    } else if (e.kind === 'pour') {
      if (step !== 'pour') refuse()
      this.pour(e.ul, e.grams)
    } else if (e.kind === 'follow' || e.kind === 'keep') {
      if (!this.over) refuse()
      if (e.kind === 'follow') this.targets = [...this.over!.targetsUl]
      this.over = undefined
      this.go()
    } else if (e.kind === 'reading') {
      if (step !== 'judge') refuse()
      if (!(e.levelTimeS > 0)) throw new Invalid('A level time is above zero. Time the mound again.', 'tries')
      this.readings.push({ atUl: this.watered, levelTimeS: e.levelTimeS, sigma: e.sigma, tries: e.tries, how: e.how })
    } else if (e.kind === 'water') {
      if (step !== 'judge') refuse()
      if (!(e.ul > 0) || e.ul > 3e9) throw new Invalid('Type how much water went in, more than nothing.', 'amount')
      if (!this.plan.water) throw new Invalid('This mix has no water to thin it with. Use medium, or choose a water.')
      this.watered += e.ul
      if (e.grams !== undefined) this.baselineG = e.grams
    } else {
      if (step !== 'judge') refuse()
      this.step = 'label'
    }
  }

  private pour(ul: number, grams: number | undefined): void {
    const i = this.line
    if (!(ul >= 0) || ul > 3e9) throw new Invalid('Type how much was poured, like 60 ml.', 'amount')
    const before = this.poured[i] ?? 0
    this.poured[i] = before + ul
    this.held = 0
    if (grams !== undefined) this.baselineG = grams
    const byUl = this.poured[i] - this.targets[i]!
    if (byUl > shruggedUl(this.targets[i]!)) this.over = this.overshootOf(i, byUl)
    this.go()
  }

  private overshootOf(line: number, byUl: number): Overshoot | undefined {
    const list = this.plan.lines.map((l) => ({ materialId: l.id, kind: l.kind, parts: l.plannedUl }))
    const { targetsUl } = rescale(list, this.targets, this.poured)
    const totalUl = targetsUl.reduce((a, b) => a + b, 0)
    const extraUl = totalUl - this.targets.reduce((a, b) => a + b, 0)
    const cupHolds = this.plan.cupUl === null ? null : totalUl <= this.plan.cupUl
    return { line, byUl, targetsUl, extraUl, totalUl, cupHolds }
  }

  private go(): void {
    this.step = this.over ? 'overshoot' : this.line < 0 ? 'stir' : 'pour'
  }

  state(canUndo: boolean): GuideState {
    const line = this.step === 'pour' || this.step === 'overshoot' ? this.line : -1
    const sum = this.poured.reduce<number>((s, p) => s + (p ?? 0), 0)
    return {
      step: this.step,
      line,
      pouredUl: [...this.poured],
      targetsUl: [...this.targets],
      heldUl: this.held,
      overshoot: this.over,
      baselineG: this.baselineG,
      wateredUl: this.watered,
      readings: [...this.readings],
      totalUl: sum + this.watered,
      canUndo,
    }
  }
}

function refuse(): never {
  throw new Invalid('Another device has gone on meanwhile. Look at the step that is shown now, and tap again.')
}
