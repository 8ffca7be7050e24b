import type { Climate } from '../schedule/drying'
import { ON_PLACE, stepsOf } from '../schedule/planSteps'
import type { Job } from '../schedule/backwards'
import { areas } from '../surface/area'
import { footprint } from '../surface/shapes'
import type { Technique } from '../technique/technique'
import { needs, type PlanAmounts } from './amounts'
import type { PlanBottle } from './bottle'
import type { Design } from './design'
import type { FilmFacts } from '../learning/crackRisk'

/** Of what nobody knows: a mix of average solids and water. Start values of Fika. */
const USUAL_SOLIDS = 0.3
const USUAL_WATER = 0.2

/** The film a plan leaves on its surfaces. */
export interface ExpectedFilm extends FilmFacts {
  /** Volume solids, 0–1. */
  readonly solids: number
}

/**
 * Film that is expected to stay, mm wet, over face and edges: what is poured less what runs off, and the coats beneath.
 * Its solids and water are the mean of the bottles by what they give.
 */
export function expectedFilm(
  design: Design,
  amounts: PlanAmounts,
  runOffShare: number,
  bottles: ReadonlyMap<string, PlanBottle>,
): ExpectedFilm {
  let area = 0
  for (const s of design.surfaces) {
    const { faceMm2, edgesMm2 } = areas(s.surface)
    area += faceMm2 + edgesMm2
  }
  let stays = amounts.pourUl * (1 - runOffShare)
  for (const c of design.coats) if (c.role !== 'reserve' && c.role !== 'sides') stays += amounts.coats.get(c.id)!
  let [ul, solids, water] = [0, 0, 0]
  for (const p of amounts.parts) {
    const b = p.of.kind === 'bottle' ? bottles.get(p.of.id) : undefined
    ul += p.ul
    solids += p.ul * (b?.solids ?? USUAL_SOLIDS)
    water += p.ul * (b?.waterOfPaint ?? USUAL_WATER)
  }
  return {
    wetMm: stays / area,
    solids: ul > 0 ? solids / ul : USUAL_SOLIDS,
    waterOfPaint: ul > 0 ? water / ul : USUAL_WATER,
  }
}

/** What dates are worked out from. */
export interface JobFacts {
  readonly id: string
  readonly design: Design
  readonly amounts: PlanAmounts
  readonly technique: Technique
  readonly bottles: ReadonlyMap<string, PlanBottle>
  readonly climate: Climate
  /** ms since 1970; null: it hurries nobody. */
  readonly due: number | null
  /** When it is poured, where the maker has fixed that, ms since 1970. */
  readonly pourAt?: number | null
  /** Whether it goes to somebody at the end. */
  readonly delivered: boolean
  readonly buys: boolean
}

/** A plan as a job for the schedule: its steps by its film and its bottles, and what it stands on while it dries. */
export function jobOf(f: JobFacts): Job {
  const have = new Map([...f.bottles].map(([id, b]) => [id, b.ul]))
  const film = expectedFilm(f.design, f.amounts, f.technique.runOffShare, f.bottles)
  const steps = stepsOf({
    buys: f.buys,
    mixes: needs(f.amounts.parts, have).some((n) => n.shortUl > 0),
    silicone: f.amounts.parts.some((p) => p.of.kind === 'bottle' && f.bottles.get(p.of.id)?.hasAdditive),
    accents: f.design.accents,
    finish: f.design.finish,
    delivered: f.delivered,
    filmMm: film.wetMm,
    solids: film.solids,
    climate: f.climate,
    hours: f.design.hours,
    done: f.design.done,
  })
  return {
    id: f.id,
    due: f.due,
    fixed: f.pourAt == null ? undefined : { step: 'pour', start: f.pourAt },
    steps,
    onPlace: ON_PLACE.filter((k) => steps.some((s) => s.key === k)),
    // What drips onto another stands over it and takes no place of its own.
    pieces: f.design.surfaces
      .filter((s) => s.feeds === null)
      .map(({ surface }) => {
        const { lengthMm, widthMm } = footprint(surface)
        return { sizeMm: [lengthMm, widthMm], count: surface.count }
      }),
  }
}
