import { mustBeAmounts } from '../mustBe'

/** What a plan costs is added up from; amounts in minor units, not rounded. */
export interface MoneyFacts {
  /** Paint by use, what each takes and what a ml of it cost. */
  readonly paint: readonly { readonly ul: number; readonly costPerMl: number; readonly poured: boolean }[]
  readonly surfaces: readonly { readonly eachMinor: number; readonly count: number }[]
  /** Varnish or resin for all pieces, and gloves, sheets and cups, as far as they are kept. */
  readonly finishMinor: number
  readonly disposablesMinor: number
  /** Share of what is poured that runs off, and of that what comes back into a jar. */
  readonly runOffShare: number
  readonly savedShare: number
  /** Agreed or asked, for all of it; null: no price. */
  readonly priceMinor: number | null
}

/** All in whole minor units; `total` is paint, surfaces, finish and disposables less what comes back. */
export interface PlanMoney {
  readonly paint: number
  readonly surfaces: number
  readonly finish: number
  readonly disposables: number
  readonly returned: number
  readonly total: number
  readonly pieces: number
  readonly each: number
  /** What is left of the price; null where there is none. */
  readonly left: number | null
}

/** Money of a plan, each sum rounded once and the total summed of what is shown. @throws Invalid for what is no number */
export function planMoney(f: MoneyFacts): PlanMoney {
  mustBeAmounts('A price or an amount', [
    ...f.paint.flatMap((p) => [p.ul, p.costPerMl]),
    ...f.surfaces.flatMap((s) => [s.eachMinor, s.count]),
    f.finishMinor,
    f.disposablesMinor,
    f.runOffShare,
    f.savedShare,
    f.priceMinor,
  ])
  const sum = (parts: MoneyFacts['paint']) => parts.reduce((all, p) => all + (p.ul / 1000) * p.costPerMl, 0)
  const paint = Math.round(sum(f.paint))
  const surfaces = f.surfaces.reduce((all, s) => all + s.eachMinor * s.count, 0)
  const returned = Math.round(sum(f.paint.filter((p) => p.poured)) * f.runOffShare * f.savedShare)
  const [finish, disposables] = [Math.round(f.finishMinor), Math.round(f.disposablesMinor)]
  const total = paint + surfaces + finish + disposables - returned
  const pieces = f.surfaces.reduce((n, s) => n + s.count, 0)
  return {
    paint,
    surfaces,
    finish,
    disposables,
    returned,
    total,
    pieces,
    each: pieces > 0 ? Math.round(total / pieces) : total,
    left: f.priceMinor === null ? null : f.priceMinor - total,
  }
}
