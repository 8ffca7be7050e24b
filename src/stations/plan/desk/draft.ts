import type { Coat, Layer, Of, PlannedCup, PlannedSurface, PlanKind, Rounding } from '@/core/plan/design'
import type { Finish } from '@/core/plan/finish'
import type { Look } from '@/core/consistency/wanted'
import { volumeText } from '@/core/quantity/format'
import { COAT_START, type CoatRole } from '@/core/plan/uses'
import type { PlanStep } from '@/core/schedule/planSteps'
import type { CoverageSchool } from '@/core/surface/coverage'
import type { Point } from '@/core/surface/polygon'
import type { ProfilePoint, ShapeKind, Surface } from '@/core/surface/shapes'
import { MM_PER_INCH } from '@/core/quantity/units'
import type { CupKind } from '@/core/technique/technique'
import { USUAL_TECHNIQUE } from '@/core/technique/techniques'
import type { PlanWithParts } from '@/db/plans/read'
import type { StockedSurface } from '@/db/surfaces/read'

/** A surface as it is typed. What is measured is text until it is read. */
export interface DraftSurface extends Pick<PlannedSurface, 'id' | 'name' | 'free' | 'feeds' | 'stockId'> {
  readonly shape: ShapeKind
  /** Two sides, or one width, or an area. */
  readonly size: string
  readonly edge: string
  readonly count: number
  readonly sides: string
  readonly across: string
  readonly down: string
  readonly gap: string
  /** Height and radius a line. */
  readonly profile: string
  readonly cover: string
  /** A two-tone line, or none. */
  readonly split: { readonly turn: string; readonly offset: string } | null
  readonly each: string
}

export interface DraftLayer extends Pick<Layer, 'id' | 'of' | 'how'> {
  readonly share: string
  readonly amount: string
}

export interface DraftCup extends Pick<PlannedCup, 'id' | 'kind' | 'on' | 'at' | 'turnDeg' | 'path'> {
  readonly size: string
  readonly copies: string
  readonly amount: string
  readonly layers: readonly DraftLayer[]
}

export interface DraftCoat extends Pick<Coat, 'id' | 'role' | 'of' | 'on' | 'half' | 'path'> {
  readonly share: string
  readonly wet: string
  readonly amount: string
}

/** A plan as it is typed. */
export interface Draft {
  readonly title: string
  readonly technique: string
  readonly workId: string | null
  readonly kind: PlanKind
  readonly pourOn: string
  readonly notes: string
  readonly carriedNote: string
  readonly afterPlanId: string | null
  readonly afterPieceId: string | null
  readonly school: CoverageSchool['kind']
  readonly wet: string
  readonly runOff: string
  readonly own: string
  readonly factor: string
  readonly rounding: Rounding
  readonly surfaces: readonly DraftSurface[]
  readonly cups: readonly DraftCup[]
  readonly coats: readonly DraftCoat[]
  readonly look: Look
  readonly finish: Finish
  readonly accents: boolean
  readonly finishPrice: string
  readonly disposables: string
  readonly saved: string
  readonly hours: Readonly<Partial<Record<PlanStep, string>>>
  readonly done: readonly PlanStep[]
}

/** A number as it is typed, fine enough to read back as the same. */
const text = (n: number) => String(Number(n.toFixed(4)))
const side = (mm: number, us: boolean) => text(us ? mm / MM_PER_INCH : mm / 10)
const lengthText = (mm: number, us: boolean) => `${side(mm, us)} ${us ? 'in' : 'cm'}`
const sizeText = (l: number, w: number, us: boolean) => `${side(l, us)} x ${lengthText(w, us)}`
const moneyText = (minor: number) => (minor ? (minor / 100).toFixed(2) : '')

/** The size a shape begins with where nobody typed one. */
export const USUAL_SIZE: Readonly<Record<ShapeKind, readonly [metric: string, us: string]>> = {
  rectangle: ['40 x 50 cm', '16 x 20 in'],
  ellipse: ['30 x 40 cm', '12 x 16 in'],
  round: ['30 cm', '12 in'],
  polygon: ['30 cm', '12 in'],
  tiles: ['10 x 10 cm', '4 x 4 in'],
  profile: ['', ''],
  area: ['600', '93'],
}
const USUAL_PROFILE = ['0 4\n6 6\n14 5\n20 3', '0 1.5\n2.5 2.25\n5.5 2\n8 1.25'] as const

/** A surface to begin with. */
export const newSurface = (id: string, us: boolean): DraftSurface => ({
  id,
  name: '',
  shape: 'rectangle',
  size: USUAL_SIZE.rectangle[us ? 1 : 0],
  edge: us ? '0.75 in' : '2 cm',
  count: 1,
  sides: '6',
  across: '3',
  down: '2',
  gap: us ? '0.1 in' : '0.2 cm',
  profile: USUAL_PROFILE[us ? 1 : 0],
  cover: '100',
  free: null,
  split: null,
  feeds: null,
  stockId: null,
  each: '',
})

/** A profile as it is typed: a height and a radius a line. */
export const profileText = (points: readonly ProfilePoint[], us: boolean) =>
  points.map((p) => `${side(p.heightMm, us)} ${side(p.radiusMm, us)}`).join('\n')

/** What of a surface its shape says, as text. */
function shapeFields(s: Surface, us: boolean): Partial<DraftSurface> {
  switch (s.shape) {
    case 'rectangle':
    case 'ellipse':
      return { size: sizeText(s.lengthMm, s.widthMm, us) }
    case 'round':
      return { size: lengthText(s.diameterMm, us) }
    case 'polygon':
      return { size: lengthText(s.acrossMm, us), sides: String(s.sides) }
    case 'tiles':
      return {
        size: sizeText(s.lengthMm, s.widthMm, us),
        across: String(s.across),
        down: String(s.down),
        gap: lengthText(s.gapMm, us),
      }
    case 'profile':
      return { profile: profileText(s.points, us) }
    case 'area':
      return { size: text(us ? s.areaMm2 / MM_PER_INCH ** 2 : s.areaMm2 / 100) }
  }
}

function draftSurface(s: PlannedSurface, us: boolean): DraftSurface {
  return {
    ...newSurface(s.id, us),
    name: s.name,
    shape: s.surface.shape,
    ...shapeFields(s.surface, us),
    edge: lengthText(s.surface.edgeMm, us),
    count: s.surface.count,
    cover: text(s.cover * 100),
    free: s.free,
    split: s.split && { turn: text(s.split.turnDeg), offset: lengthText(s.split.offsetMm, us) },
    feeds: s.feeds,
    stockId: s.stockId,
    each: moneyText(s.eachMinor),
  }
}

/** A surface from the shelf: its size, its edge, and what one costs. */
export function fromShelf(s: StockedSurface, us: boolean): Partial<DraftSurface> {
  return {
    stockId: s.id,
    shape: s.shape,
    size: s.shape === 'round' ? lengthText(s.diameterMm, us) : sizeText(s.lengthMm, s.widthMm, us),
    edge: lengthText(s.edgeMm, us),
    ...(s.eachMinor === null ? {} : { each: moneyText(s.eachMinor) }),
  }
}

export const newLayer = (id: string, of: Of | null): DraftLayer => ({ id, of, share: '1', amount: '', how: 'side' })

export const newCup = (id: string, kind: CupKind, on: string | null, layers: readonly DraftLayer[]): DraftCup => ({
  id,
  kind,
  on,
  size: '',
  copies: '1',
  amount: '',
  at: [0, 0],
  turnDeg: 0,
  path: [],
  layers,
})

export const newCoat = (id: string, role: CoatRole, of: Of | null): DraftCoat => ({
  id,
  role,
  of,
  on: null,
  half: null,
  path: [],
  share: text(COAT_START[role].share * 100),
  wet: String(COAT_START[role].wetMm),
  amount: '',
})

/** A new plan with the bottles chosen in one cup, one share each. */
export function newDraft(newId: () => string, us: boolean, chosen: readonly string[]): Draft {
  const layers = chosen.map((id) => newLayer(newId(), { kind: 'bottle', id }))
  return {
    title: '',
    technique: USUAL_TECHNIQUE,
    workId: null,
    kind: 'final',
    pourOn: '',
    notes: '',
    carriedNote: '',
    afterPlanId: null,
    afterPieceId: null,
    school: 'rule-of-28',
    wet: '1.2',
    runOff: '25',
    own: us ? '4 fl oz' : '120 ml',
    factor: '1',
    rounding: 'exact',
    surfaces: [newSurface(newId(), us)],
    cups: [newCup(newId(), 'poured out', null, layers)],
    coats: [],
    look: 'as usual',
    finish: 'none',
    accents: false,
    finishPrice: '',
    disposables: '',
    saved: '0',
    hours: {},
    done: [],
  }
}

/** What of a plan is opened in the desk. */
export type Opened = Pick<
  PlanWithParts,
  | 'title'
  | 'technique'
  | 'workId'
  | 'kind'
  | 'pourOn'
  | 'notes'
  | 'carriedNote'
  | 'afterPlanId'
  | 'afterPieceId'
  | 'design'
>

/** A saved plan as it is typed; read again it is the same plan. */
export function draftOf(plan: Opened, us: boolean): Draft {
  const d = plan.design
  const start = newDraft(() => '', us, [])
  return {
    ...start,
    title: plan.title,
    technique: plan.technique,
    workId: plan.workId,
    kind: plan.kind,
    pourOn: plan.pourOn ?? '',
    notes: plan.notes,
    carriedNote: plan.carriedNote,
    afterPlanId: plan.afterPlanId,
    afterPieceId: plan.afterPieceId,
    school: d.school.kind,
    ...(d.school.kind === 'film' ? { wet: text(d.school.wetMm), runOff: text(d.school.runOffShare * 100) } : {}),
    ...(d.school.kind === 'own' ? { own: volumeText(d.school.ul) } : {}),
    ...(d.school.kind === 'learned' ? { factor: String(d.school.factor) } : {}),
    rounding: d.rounding,
    surfaces: d.surfaces.map((s) => draftSurface(s, us)),
    cups: d.cups.map((c) => ({
      ...c,
      size: volumeText(c.sizeUl),
      copies: String(c.copies),
      amount: volumeText(c.ul),
      layers: c.layers.map((l) => ({ ...l, share: l.share === null ? '' : String(l.share), amount: volumeText(l.ul) })),
    })),
    coats: d.coats.map((c) => ({ ...c, share: text(c.share * 100), wet: text(c.wetMm), amount: volumeText(c.ul) })),
    look: d.look,
    finish: d.finish,
    accents: d.accents,
    finishPrice: moneyText(d.finishMinor),
    disposables: moneyText(d.disposablesMinor),
    saved: text(d.savedShare * 100),
    hours: Object.fromEntries(Object.entries(d.hours).map(([k, h]) => [k, text(h)])),
    done: d.done,
  }
}

/** A place on a surface, rounded to whole millimetres. */
export const atMm = ([x, y]: Point): Point => [Math.round(x), Math.round(y)]
