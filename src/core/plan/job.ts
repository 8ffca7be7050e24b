import type { Climate } from '../schedule/drying'
import { ON_PLACE, stepsOf } from '../schedule/planSteps'
import type { Job } from '../schedule/backwards'
import { meanMix, USUAL_MIX } from '../mix/mixFacts'
import { wetFilmMm } from '../surface/wetFilm'
import { footprint } from '../surface/shapes'
import type { Technique } from '../technique/technique'
import { needs, type PlanAmounts } from './amounts'
import type { PlanBottle } from './bottle'
import type { Design } from './design'
import type { FilmFacts } from '../learning/crackRisk'

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
  let stays = amounts.pourUl * (1 - runOffShare)
  for (const c of design.coats) if (c.role !== 'reserve' && c.role !== 'sides') stays += amounts.coats.get(c.id)!
  const { solids, waterOfPaint } = meanMix(
    amounts.parts.map(({ of, ul }) => ({ ...((of.kind === 'bottle' && bottles.get(of.id)) || USUAL_MIX), ul })),
  )
  const surfaces = design.surfaces.map((s) => s.surface)
  return { wetMm: wetFilmMm(stays, surfaces), solids, waterOfPaint }
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
