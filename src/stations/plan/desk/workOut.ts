import { hexToLab } from '@/core/colour/lab'
import { opticsFromHex } from '@/core/colour/paintOptics'
import type { PairVerdict } from '@/core/colour/pairVerdicts'
import { JOINT, judgeJoint, type Joint, type LayerColour } from '@/core/layering/joint'
import { landsAs, type Mark } from '@/core/layering/lands'
import { cupsAlike, cupsOn } from '@/core/plan/cupsAlike'
import { RIM_MM, seenInRim, type Seen } from '@/core/layering/rim'
import { pairWord } from '@/core/plan/makersWord'
import { planAmounts, needs, type PlanAmounts } from '@/core/plan/amounts'
import type { PlanBottle } from '@/core/plan/bottle'
import { crackRisk, type CrackRisk } from '@/core/learning/crackRisk'
import { sourceKey, type Design, type Of, type PlannedCup } from '@/core/plan/design'
import { gapsOf, type Gap } from '@/core/plan/gaps'
import { expectedFilm, type ExpectedFilm } from '@/core/plan/job'
import { planMoney, type PlanMoney } from '@/core/plan/money'
import { readiness, type Concern } from '@/core/plan/readiness'
import type { PlanUse } from '@/core/plan/uses'
import type { Sheen } from '@/core/paint/properties'
import { outline } from '@/core/surface/shapes'
import type { Technique } from '@/core/technique/technique'
import { dayAndTime, timeOn } from '@/ui/tables/dates'
import type { DeskFacts } from '../deskFacts'
import type { Draft } from './draft'

/** A colour of the plan: what stands for it on the desk. */
export interface DeskColour extends LayerColour {
  readonly of: Of
  readonly label: string
  readonly hex: string
  readonly bottle: PlanBottle | undefined
}

/** What becomes of the cups of a surface. */
export interface OnSurface {
  readonly surface: string
  readonly marks: readonly Mark[]
  /** What of each colour lies in the rim, by index into `colours`. */
  readonly seen: readonly Seen[]
}

export interface BottleState {
  readonly of: Of
  readonly label: string
  readonly hex: string
  readonly sheen: string
  readonly needUl: number
  readonly haveUl: number
  readonly elsewhereUl: number
  readonly shortUl: number
  readonly uses: readonly PlanUse[]
  readonly concerns: readonly Concern[]
}

export interface Worked {
  readonly amounts: PlanAmounts
  readonly colours: readonly DeskColour[]
  readonly joints: ReadonlyMap<string, readonly (Joint | null)[]>
  readonly onSurfaces: readonly OnSurface[]
  readonly states: readonly BottleState[]
  readonly gaps: readonly Gap[]
  readonly film: ExpectedFilm
  readonly crack: CrackRisk
  readonly money: PlanMoney
  readonly pourAt: number
}

const GREY = '#d9d9d9'

/** Colours are worked out once for each bottle. */
const known = new Map<string, LayerColour>()
function layerColour(hex: string, sheen: string, densityGPerMl: number): LayerColour {
  const key = `${hex} ${sheen} ${densityGPerMl}`
  let colour = known.get(key)
  if (!colour) {
    if (known.size > 2000) known.clear()
    colour = { optics: opticsFromHex(hex, 'normal'), lab: hexToLab(hex), sheen: sheen as Sheen, densityGPerMl }
    known.set(key, colour)
  }
  return colour
}

/** Everything that may stand in a layer, by key. */
export function deskColours(facts: Pick<DeskFacts, 'bottles' | 'formulas' | 'recipes'>): Map<string, DeskColour> {
  const colours = new Map<string, DeskColour>()
  for (const b of facts.bottles) {
    const of: Of = { kind: 'bottle', id: b.id }
    const hex = b.hex ?? GREY
    colours.set(sourceKey(of), { ...layerColour(hex, b.sheen, b.densityGPerMl), of, label: b.label, hex, bottle: b })
  }
  const unmixed = (kind: 'formula' | 'recipe', list: readonly { id: string; name: string; hex: string | null }[]) => {
    for (const { id, name, hex: seen } of list) {
      const hex = seen ?? GREY
      const of: Of = { kind, id }
      colours.set(sourceKey(of), {
        ...layerColour(hex, 'satin', 1.1),
        of,
        label: `${name} (${kind}, not mixed)`,
        hex,
        bottle: undefined,
      })
    }
  }
  unmixed('formula', facts.formulas)
  unmixed(
    'recipe',
    facts.recipes.map((r) => ({ ...r, hex: null })),
  )
  return colours
}

/** The colour something stands for; grey where it is gone since. */
export function colourOf(colours: ReadonlyMap<string, DeskColour>, of: Of | null): DeskColour | undefined {
  if (!of) return undefined
  return (
    colours.get(sourceKey(of)) ?? {
      ...layerColour(GREY, 'satin', 1.1),
      of,
      label: 'emptied since',
      hex: GREY,
      bottle: undefined,
    }
  )
}

/** What of a draft money hangs on. */
type Priced = Pick<Draft, 'workId' | 'kind'>

const amountsOf = (design: Design, facts: DeskFacts) =>
  planAmounts(
    design,
    facts.cups.map((c) => c.sizeUl),
  )

/**
 * Everything the desk says of a design. Pure but for the colours it remembers.
 * @param pourAt when it is poured, ms since 1970
 * @throws FikaError for an impossible design
 */
export function workOut(
  design: Design,
  draft: Priced,
  technique: Technique,
  facts: DeskFacts,
  all: ReadonlyMap<string, DeskColour>,
  pourAt: number,
): Worked {
  const amounts = amountsOf(design, facts)
  const work = facts.works.find((w) => w.id === draft.workId)
  const byId = new Map(facts.bottles.map((b) => [b.id, b]))
  const film = expectedFilm(design, amounts, technique.runOffShare, byId)
  const colours = coloursOf(design, all)
  return {
    amounts,
    colours,
    joints: new Map(design.cups.map((c) => [c.id, jointsOf(c, all, technique, facts)] as const)),
    onSurfaces: design.surfaces.map((s) => onSurface(design, s.id, amounts, colours)),
    states: statesOf(design, amounts, all, technique, facts, pourAt),
    gaps: gapsOf(design, amounts, technique, Boolean(work?.dueOn)),
    film,
    crack: crackRisk(film, facts.dried),
    money: planMoney({
      paint: amounts.parts.map((p) => ({
        ul: p.ul,
        costPerMl: (p.of.kind === 'bottle' ? byId.get(p.of.id)?.costPerMl : 0) ?? 0,
        poured: p.use === 'cup',
      })),
      surfaces: design.surfaces.map((s) => ({ eachMinor: s.eachMinor, count: s.surface.count })),
      finishMinor: design.finishMinor,
      disposablesMinor: design.disposablesMinor,
      runOffShare: technique.runOffShare,
      savedShare: design.savedShare,
      priceMinor: draft.kind === 'final' ? (work?.priceMinor ?? null) : null,
    }),
    pourAt,
  }
}

function coloursOf(design: Design, all: ReadonlyMap<string, DeskColour>): DeskColour[] {
  const found = new Map<string, DeskColour>()
  for (const c of design.cups)
    for (const l of c.layers) {
      const colour = colourOf(all, l.of)
      if (colour) found.set(sourceKey(colour.of), colour)
    }
  return [...found.values()]
}

/** What the maker said of two colours: of paints that are seen in both. */
function wordOn(a: DeskColour, b: DeskColour, facts: DeskFacts): PairVerdict | undefined {
  return pairWord(a.bottle?.paints ?? [], b.bottle?.paints ?? [], facts.word.pairs)
}

/** The joint above each layer but the last; null where one of the two names nothing. */
export function jointsOf(
  cup: Pick<PlannedCup, 'layers'>,
  all: ReadonlyMap<string, DeskColour>,
  technique: Technique,
  facts: DeskFacts,
): (Joint | null)[] {
  const colours = cup.layers.map((l) => colourOf(all, l.of))
  return colours.slice(1).map((upper, i) => {
    const lower = colours[i]
    return lower && upper ? jointOf(lower, upper, technique, facts) : null
  })
}

/** One colour on another, as it is judged for this plan. */
export function jointOf(lower: DeskColour, upper: DeskColour, technique: Technique, facts: DeskFacts): Joint {
  const word = wordOn(lower, upper, facts)
  const key = `${[lower, upper].map((c) => `${c.hex} ${c.sheen} ${c.densityGPerMl}`).join(' on ')} ${word} ${technique.cells}`
  let joint = judged.get(key)
  if (!joint) {
    if (judged.size > 5000) judged.clear()
    joint = judgeJoint(lower, upper, word, technique.cells)
    judged.set(key, joint)
  }
  return sourceKey(lower.of) === sourceKey(upper.of) ? { ...joint, word: 'same', cost: JOINT.same } : joint
}
/** Joints are judged once for each pair of colours: a keystroke asks for them all. */
const judged = new Map<string, Joint>()

function onSurface(design: Design, surface: string, amounts: PlanAmounts, colours: readonly DeskColour[]): OnSurface {
  const here = cupsOn(design, surface)
  const index = new Map(colours.map((c, i) => [sourceKey(c.of), i]))
  const marks = here.flatMap((c) => cupsAlike(c, amounts, index).flatMap((cup) => landsAs(cup)))
  const face = outline(design.surfaces.find((s) => s.id === surface)!.surface)
  return { surface, marks, seen: seenInRim(marks, face, RIM_MM[1]) }
}

function statesOf(
  design: Design,
  amounts: PlanAmounts,
  all: ReadonlyMap<string, DeskColour>,
  technique: Technique,
  facts: DeskFacts,
  pourAt: number,
): BottleState[] {
  const have = new Map(facts.bottles.map((b) => [b.id, b.ul]))
  return needs(amounts.parts, have).map(({ of, needUl, shortUl }): BottleState => {
    const colour = colourOf(all, of)!
    const b = colour.bottle
    const uses = [...new Set(amounts.parts.filter((p) => p.of.kind === of.kind && p.of.id === of.id).map((p) => p.use))]
    const elsewhereUl = facts.takes
      .filter((t) => t.vesselId === of.id && takenBefore(t.pourOn, pourAt, facts.studio.zone))
      .reduce((sum, t) => sum + t.ul, 0)
    return {
      of,
      label: colour.label,
      hex: colour.hex,
      sheen: colour.sheen,
      needUl,
      haveUl: b?.ul ?? 0,
      elsewhereUl,
      shortUl: b ? Math.max(0, needUl + elsewhereUl - b.ul) : shortUl,
      uses,
      concerns: b
        ? readiness(
            b,
            { uses, needUl, elsewhereUl, pourAt, technique, look: design.look, finish: design.finish },
            (at) => dayAndTime(at, facts.studio.zone),
            facts.studio.waterDropUl,
          )
        : [],
    }
  })
}

/** Whether another plan takes its paint on the day of this one or before; one without a day counts. */
const takenBefore = (pourOn: string | null, pourAt: number, zone: string) =>
  pourOn === null || timeOn(pourOn, '00:00', zone) <= pourAt
