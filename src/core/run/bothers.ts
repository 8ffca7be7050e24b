/** What bothers a maker who looks at a wet piece. */
export const BOTHERS = [
  'empty corner',
  'dull patch',
  'no cells here',
  'muddy spot',
  'plain edge',
  'too much paint',
  'dark rim',
  'off balance',
] as const
export type Bother = (typeof BOTHERS)[number]

/** What a remedy is done with. */
export type RemedyPaint = 'same colours' | 'one colour' | 'swipe colour' | 'run-off' | 'none'

/** A remedy: what is done, with what paint, and how much of it on a face of 1 dm² that is touched. */
export interface Remedy {
  readonly key: RemedyKey
  readonly say: string
  readonly paint: RemedyPaint
  /** Start value of Fika, µl; 0 where none goes on. */
  readonly usualUl: number
  readonly caution?: 'torch' | 'blow'
}

export const REMEDY_KEYS = [
  'leftover',
  'solid colour',
  'warm with fresh',
  'new stripe',
  'swipe',
  'straw',
  'heat',
  'tip off',
  'skewer',
  'tip over least side',
  'dress with beneath',
  'card strip',
  'turn it',
  'negative space',
] as const
export type RemedyKey = (typeof REMEDY_KEYS)[number]

/** What is done, by key. Which are tried: common practice, no published source; amounts are start values of Fika. */
export const REMEDIES: Readonly<Record<RemedyKey, Omit<Remedy, 'key'>>> = {
  leftover: { say: 'Leftover of the same colours into it', paint: 'same colours', usualUl: 4_000 },
  'solid colour': { say: 'One solid colour into it', paint: 'one colour', usualUl: 3_000 },
  'warm with fresh': {
    say: 'A little fresh paint over it, so that it moves again',
    paint: 'same colours',
    usualUl: 2_000,
  },
  'new stripe': { say: 'A new stripe over it', paint: 'one colour', usualUl: 2_500 },
  swipe: { say: 'Swipe of a strong conditioner colour', paint: 'swipe colour', usualUl: 3_000 },
  straw: { say: 'Blow it open with a straw', paint: 'none', usualUl: 0, caution: 'blow' },
  heat: { say: 'Heat, a few seconds, always moving', paint: 'none', usualUl: 0, caution: 'torch' },
  'tip off': { say: 'Tip it off', paint: 'none', usualUl: 0 },
  skewer: { say: 'Draw lines with a skewer', paint: 'none', usualUl: 0 },
  'tip over least side': { say: 'Tip more off, over the side that matters least', paint: 'none', usualUl: 0 },
  'dress with beneath': { say: 'Dress it with what lies beneath', paint: 'run-off', usualUl: 0 },
  'card strip': { say: 'Push it back with a strip of card', paint: 'none', usualUl: 0 },
  'turn it': { say: 'Turn it, and look again', paint: 'none', usualUl: 0 },
  'negative space': { say: 'Quiet it with the base colour', paint: 'one colour', usualUl: 5_000 },
}

/** Which remedies are for what, the usual first (common practice, no published source). */
export const REMEDIES_FOR: Readonly<Record<Bother, readonly RemedyKey[]>> = {
  'empty corner': ['leftover', 'warm with fresh', 'solid colour', 'dress with beneath'],
  'dull patch': ['new stripe', 'swipe', 'leftover'],
  'no cells here': ['heat', 'straw', 'swipe'],
  'muddy spot': ['tip off', 'new stripe', 'swipe'],
  'plain edge': ['skewer', 'dress with beneath', 'leftover'],
  'too much paint': ['tip over least side', 'tip off'],
  'dark rim': ['card strip', 'dress with beneath', 'solid colour'],
  'off balance': ['turn it', 'negative space', 'new stripe'],
}

/** How a remedy has fared in this studio. */
export interface Fared {
  readonly bother: Bother
  readonly remedy: RemedyKey
  readonly worked: number
  readonly tried: number
}

/** A bottle there is something left of. */
export interface LeftBottle {
  readonly id: string
  readonly label: string
  readonly ul: number
  /** Loaded onto the piece already, so that it is one of its own colours. */
  readonly isOwn: boolean
  readonly isSwipe: boolean
}

/** A remedy that can be done now: with which bottle and how much of it. */
export interface Offer extends Remedy {
  readonly bottle: LeftBottle | null
  readonly ul: number
  /** Here, so far. */
  readonly worked: number
  readonly tried: number
}

/** As if every remedy had worked once in two tries before it was tried here. Start value of Fika. */
const PRIOR = { worked: 1, tried: 2 }

/**
 * What can be done about it with what is left, best first: by how often it worked in this studio, and by usual practice
 * where that is equal. A remedy that wants paint nobody has is left out.
 * @param hasRunOff whether something has run off and can be scraped up
 */
export function offersFor(
  bother: Bother,
  bottles: readonly LeftBottle[],
  hasRunOff: boolean,
  fared: readonly Fared[],
): Offer[] {
  const most = (list: readonly LeftBottle[]) =>
    list.reduce<LeftBottle | null>((best, b) => (b.ul > (best?.ul ?? 0) ? b : best), null)
  const own = most(bottles.filter((b) => b.isOwn))
  const pick: Readonly<Record<RemedyPaint, LeftBottle | null>> = {
    'same colours': own,
    'one colour': own ?? most(bottles),
    'swipe colour': most(bottles.filter((b) => b.isSwipe)),
    'run-off': null,
    none: null,
  }
  return REMEDIES_FOR[bother]
    .flatMap((key, rank): (Offer & { score: number; rank: number })[] => {
      const r = REMEDIES[key]
      const bottle = pick[r.paint]
      if (r.usualUl > 0 && !bottle) return []
      if (r.paint === 'run-off' && !hasRunOff) return []
      const here = fared.find((f) => f.bother === bother && f.remedy === key) ?? { worked: 0, tried: 0 }
      const score = (here.worked + PRIOR.worked) / (here.tried + PRIOR.tried)
      const ul = bottle ? Math.min(r.usualUl, bottle.ul) : 0
      return [{ key, ...r, bottle, ul, worked: here.worked, tried: here.tried, score, rank }]
    })
    .sort((a, b) => b.score - a.score || a.rank - b.rank)
    .map(({ score: _score, rank: _rank, ...offer }) => offer)
}
