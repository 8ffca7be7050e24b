/** What a bottle needs now, worst first. */
export type BottleState = 'empty' | 'resting' | 'check' | 'low' | 'ready'

/** Below this share of the capacity a bottle is low. House start value. */
export const LOW_SHARE = 0.15
/** Older than this, a mix is looked at before it is poured. Common practice, no published source. */
export const CHECK_AFTER_DAYS = 30
/** Assumed capacity where none was given, µl. */
export const USUAL_CAPACITY_UL = 240_000

export interface BottleFacts {
  readonly ul: number
  readonly capacityUl: number | null
  readonly mixedAt: Date
  readonly restUntil: Date
}

/** The facts of a bottle whose times are ISO texts, as they come from the rack. */
export const bottleFacts = (b: {
  ul: number
  capacityUl: number | null
  mixedAt: string
  restUntil: string
}): BottleFacts => ({
  ul: b.ul,
  capacityUl: b.capacityUl,
  mixedAt: new Date(b.mixedAt),
  restUntil: new Date(b.restUntil),
})

/** The state of a bottle at a time. */
export function bottleState(b: BottleFacts, now: Date): BottleState {
  if (b.ul === 0) return 'empty'
  if (b.restUntil > now) return 'resting'
  if (now.getTime() - b.mixedAt.getTime() > CHECK_AFTER_DAYS * 86_400_000) return 'check'
  return b.ul < LOW_SHARE * (b.capacityUl ?? USUAL_CAPACITY_UL) ? 'low' : 'ready'
}

/** What to do about a state, in a few words. */
export const STATE_WORDS: Readonly<Record<BottleState, string>> = {
  empty: 'Empty, wash it',
  resting: 'Resting',
  check: 'Shake, check before pouring',
  low: 'Low, mix more',
  ready: 'Ready',
}

/** How full a bottle is, 0–1. */
export const level = (b: Pick<BottleFacts, 'ul' | 'capacityUl'>) =>
  Math.min(1, b.ul / (b.capacityUl ?? Math.max(USUAL_CAPACITY_UL, b.ul)))
