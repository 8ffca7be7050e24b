import type { Coat, Design, Layer, PlannedCup, PlannedSurface } from '@/core/plan/design'
import { Invalid } from '@/core/errors'
import { areas } from '@/core/surface/area'
import { parseMoneyMinor } from '@/core/quantity/money'
import { numberIn } from '@/core/quantity/number'
import { parseAmount, parseVolumeUl, type UnitSystem } from '@/core/quantity/parse'
import { parseSize } from '@/core/quantity/size'
import { readTyped } from '@/core/quantity/typed'
import { MM_PER_INCH } from '@/core/quantity/units'
import type { CoverageSchool } from '@/core/surface/coverage'
import type { Shape } from '@/core/surface/shapes'
import type { PlanStep } from '@/core/schedule/planSteps'
import type { PlanInput } from '@/db/plans/schema'
import type { Draft, DraftCoat, DraftCup, DraftLayer, DraftSurface } from './draft'

const number = (typed: string, what: string) => numberIn(typed, `“${typed}” is not a number for ${what}.`)
const share = (typed: string, what: string) => number(typed, what) / 100
const whole = (typed: string, what: string) => {
  const n = number(typed, what)
  if (!Number.isInteger(n) || n < 1) throw new Invalid(`“${typed}” is not a whole number for ${what}. Type one like 3.`)
  return n
}
const money = (typed: string) => (typed.trim() ? parseMoneyMinor(typed) : 0)
const volume = (typed: string, units: UnitSystem) => (typed.trim() ? parseVolumeUl(typed, units) : null)
const length = (typed: string, units: UnitSystem) => (typed.trim() ? parseAmount(typed, 'length', units) : 0)

function readShape(s: DraftSurface, units: UnitSystem): Shape {
  switch (s.shape) {
    case 'rectangle':
    case 'ellipse':
      return { shape: s.shape, ...parseSize(s.size, units) }
    case 'round':
      return { shape: s.shape, diameterMm: parseAmount(s.size, 'length', units) }
    case 'polygon':
      return { shape: s.shape, acrossMm: parseAmount(s.size, 'length', units), sides: whole(s.sides, 'the corners') }
    case 'tiles':
      return {
        shape: s.shape,
        ...parseSize(s.size, units),
        across: whole(s.across, 'the tiles across'),
        down: whole(s.down, 'the tiles down'),
        gapMm: length(s.gap, units),
      }
    case 'profile':
      return { shape: s.shape, points: readProfile(s.profile, units) }
    case 'area':
      return { shape: s.shape, areaMm2: number(s.size, 'the area') * (units === 'us' ? MM_PER_INCH ** 2 : 100) }
  }
}

/** A profile as it is typed: a height and a radius a line, in the studio's unit of length. @throws Invalid */
function readProfile(typed: string, units: UnitSystem) {
  const unit = units === 'us' ? MM_PER_INCH : 10
  return typed
    .split(/[\n;]+/)
    .filter((line) => line.trim())
    .map((line) => {
      const [height, radius, ...more] = line.trim().split(/\s+/)
      if (height === undefined || radius === undefined || more.length)
        throw new Invalid(
          `“${line.trim().slice(0, 40)}” is not a point of a profile. Type a height and a radius, like 6 5.5.`,
        )
      return { heightMm: number(height, 'a height') * unit, radiusMm: number(radius, 'a radius') * unit }
    })
}

function readSurface(s: DraftSurface, units: UnitSystem): PlannedSurface {
  const surface = { ...readShape(s, units), edgeMm: length(s.edge, units), count: s.count }
  areas(surface)
  const cover = share(s.cover, 'the share covered')
  if (cover > 1) throw new Invalid('A surface is covered by 100 % at most. Type a share like 75.')
  return {
    id: s.id,
    name: s.name,
    surface,
    cover,
    free: s.free,
    split: s.split && {
      turnDeg: number(s.split.turn, 'the turn of the line'),
      offsetMm: signedLength(s.split.offset, units),
    },
    feeds: s.feeds,
    stockId: s.stockId,
    eachMinor: money(s.each),
  }
}

const signedLength = (typed: string, units: UnitSystem) =>
  typed.trim().startsWith('-') ? -length(typed.trim().slice(1), units) : length(typed, units)

const readLayer = (l: DraftLayer, units: UnitSystem): Layer => ({
  id: l.id,
  of: l.of,
  share: l.share.trim() ? number(l.share, 'a share') : null,
  ul: volume(l.amount, units),
  how: l.how,
})

const readCup = (c: DraftCup, units: UnitSystem): PlannedCup => ({
  id: c.id,
  kind: c.kind,
  on: c.on,
  sizeUl: volume(c.size, units),
  copies: whole(c.copies, 'how many cups'),
  ul: volume(c.amount, units),
  at: c.at,
  turnDeg: c.turnDeg,
  path: c.path,
  layers: c.layers.map((l) => readLayer(l, units)),
})

const readCoat = (c: DraftCoat, units: UnitSystem): Coat => ({
  id: c.id,
  role: c.role,
  of: c.of,
  on: c.on,
  half: c.half,
  share: share(c.share, 'the share of a coat'),
  wetMm: number(c.wet, 'the film of a coat'),
  ul: volume(c.amount, units),
  path: c.path,
})

function readSchool(d: Draft, units: UnitSystem): CoverageSchool {
  switch (d.school) {
    case 'rule-of-28':
      return { kind: d.school }
    case 'film':
      return { kind: d.school, wetMm: number(d.wet, 'the wet film'), runOffShare: share(d.runOff, 'the run-off') }
    case 'learned':
      return { kind: d.school, factor: number(d.factor, 'what was learned') }
    case 'own':
      return { kind: d.school, ul: parseVolumeUl(d.own, units) }
  }
}

/** The design as it is typed. @throws FikaError with a sentence for what cannot be read */
function readDesign(d: Draft, units: UnitSystem): Design {
  return {
    surfaces: d.surfaces.map((s) => readSurface(s, units)),
    school: readSchool(d, units),
    rounding: d.rounding,
    cups: d.cups.map((c) => readCup(c, units)),
    coats: d.coats.map((c) => readCoat(c, units)),
    look: d.look,
    finish: d.finish,
    accents: d.accents,
    finishMinor: money(d.finishPrice),
    disposablesMinor: money(d.disposables),
    savedShare: share(d.saved || '0', 'the run-off that is saved'),
    hours: Object.fromEntries(
      Object.entries(d.hours)
        .filter(([, typed]) => typed.trim())
        .map(([step, typed]) => [step as PlanStep, number(typed, `the hours of “${step}”`)]),
    ),
    done: d.done,
  }
}

/** What the desk makes of what is typed: the design, or the first sentence about what cannot be read. */
export interface ReadDraft {
  readonly design: Design | undefined
  readonly problem: string | undefined
}

/** Reads a draft. Pure: the same draft reads the same. */
export function readDraft(d: Draft, units: UnitSystem): ReadDraft {
  const read = readTyped(() => readDesign(d, units))
  return { design: read.value, problem: read.sentence }
}

/** What the server takes. */
export const planInput = (id: string, revision: number | null, d: Draft, design: Design): PlanInput => ({
  id,
  revision,
  title: d.title,
  technique: d.technique,
  workId: d.workId,
  kind: d.kind,
  pourOn: d.pourOn || null,
  afterPlanId: d.afterPlanId,
  afterPieceId: d.afterPieceId,
  carriedNote: d.carriedNote,
  notes: d.notes,
  design,
})
