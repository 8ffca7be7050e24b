import type { Body } from '../paint/properties'

/** Medium : paint by volume for a body, and where the number is from. */
export interface HouseRatio {
  readonly medium: number
  readonly paint: number
  readonly source: string
}

const COMMON = 'common practice, no published source'

/** The usual medium : paint by body ("by body" school); every number can be changed at the bench. */
export const RATIO_BY_BODY: Readonly<Record<Body, HouseRatio>> = {
  ready: { medium: 0, paint: 1, source: COMMON },
  ink: { medium: 5, paint: 1, source: `${COMMON}; inks go into other colours by drops` },
  fluid: { medium: 1, paint: 1, source: COMMON },
  craft: { medium: 1, paint: 1, source: COMMON },
  soft: { medium: 2, paint: 1, source: `${COMMON}; many use 3 : 1` },
  heavy: { medium: 3, paint: 1, source: COMMON },
}

/** Rest after mixing, hours: bare minimum and usual. Common practice, no published source. */
export const REST_HOURS = { minimum: 2, usual: 12 } as const
