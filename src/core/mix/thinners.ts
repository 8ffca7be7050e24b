/** Kinds of thinner, and how long a mix made with each keeps, in days. Common practice, no published source. */
export const THINNERS = ['tap', 'purified', 'distilled', 'thinning mix'] as const
export type Thinner = (typeof THINNERS)[number]

export const THINNER_FACTS: Readonly<
  Record<
    Thinner,
    {
      words: string
      keepsDays: number
      keeps: string
      densityGPerMl: number
      solids: number
      pigmentShare: number
      waterShare: number
    }
  >
> = {
  tap: {
    words: 'tap water',
    keepsDays: 5,
    keeps: 'a few days',
    densityGPerMl: 0.998,
    solids: 0,
    pigmentShare: 0,
    waterShare: 1,
  },
  purified: {
    words: 'purified or filtered water',
    keepsDays: 28,
    keeps: 'some weeks',
    densityGPerMl: 0.998,
    solids: 0,
    pigmentShare: 0,
    waterShare: 1,
  },
  distilled: {
    words: 'distilled water',
    keepsDays: 270,
    keeps: '8 to 10 months, away from heat and frost',
    densityGPerMl: 0.998,
    solids: 0,
    pigmentShare: 0,
    waterShare: 1,
  },
  'thinning mix': {
    words: '90 water : 10 conditioner',
    keepsDays: 30,
    keeps: 'about a month',
    densityGPerMl: 1.0,
    solids: 0.025,
    pigmentShare: 0,
    waterShare: 0.9,
  },
}

/** The water one begins with where nobody has chosen: of those there are, the one a mix keeps longest with. */
export function usualWater<W extends { readonly thinner: Thinner | null }>(waters: readonly W[]): W | undefined {
  const keeps = (w: W) => (w.thinner ? THINNER_FACTS[w.thinner].keepsDays : 0)
  return waters.reduce<W | undefined>((best, w) => (best && keeps(best) >= keeps(w) ? best : w), undefined)
}
