import type { Body, MediumKind } from '../paint/properties'

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

/** One line of a school: paint, a kind of medium, or water, by parts. */
export interface SchoolLine {
  readonly what: 'paint' | MediumKind | 'any medium' | 'water'
  readonly parts: number
}

/** A way of mixing, as a studio may take it for its house rule. Every number can be changed. */
export interface School {
  readonly key: string
  readonly name: string
  readonly lines: readonly SchoolLine[]
  /** What is done, in order. */
  readonly steps: readonly string[]
  readonly source: string
}

const school = (
  key: string,
  name: string,
  lines: readonly (readonly [SchoolLine['what'], number])[],
  steps: readonly string[] = [],
): School => ({
  key,
  name,
  lines: lines.map(([what, parts]) => ({ what, parts })),
  steps,
  source: COMMON,
})

/** The schools of mixing, start values. */
// prettier-ignore
export const SCHOOLS: readonly School[] = [
  school('ratio-3', 'One ratio for all, 3 : 1', [['any medium', 3], ['paint', 1]]),
  school('ratio-5', 'One ratio for all, 5 : 1', [['any medium', 5], ['paint', 1]]),
  school('ratio-6', 'One ratio for all, 6 : 1', [['any medium', 6], ['paint', 1]]),
  school('one-bottle', 'One-bottle base, 7 : 1', [['one-bottle base', 7], ['paint', 1]]),
  school('strength', 'Strong fluids by strength, 5 : 1', [['any medium', 5], ['paint', 1]], ['Anything from 3.3 to 10 : 1, by how strong the paint is; creep up with the paint.']),
  school('glue', 'Glue mix', [['conditioner', 1], ['glue', 0.6], ['paint', 1], ['water', 0.4]], ['Thin the glue with its water first, 60 : 40: together they are one part.', 'Conditioner and glue together, then the paint.']),
  school('gloss', 'Gloss base', [['gloss medium', 2], ['paint', 1], ['water', 0.25], ['conditioner', 9]], ['Gloss medium and paint first.', 'Water up to 3 to 3.5 parts, stir.', 'Then 8 to 10 parts conditioner.']),
  school('half-cup', 'Fill the cup, to a half', [['paint', 1], ['any medium', 4.8], ['water', 0.2]], ['A squeeze of colour first.', 'Medium until the cup is half full.', 'Water last, by drops.']),
  school('three-quarter-cup', 'Fill the cup, to three quarters', [['paint', 1], ['any medium', 7.2], ['water', 0.2]], ['A squeeze of colour first.', 'Medium until the cup is three quarters full.', 'Water last, by drops.']),
  school('equal-blend', 'Equal blend of mediums, 2 : 1', [['conditioner', 1], ['pouring medium', 1], ['paint', 1]], ['Blend the mediums in equal parts, best as a base of their own.', 'Two parts or more over the paint.']),
  school('enamel-white', 'Enamel white', [['paint', 4], ['enamel or house paint', 2], ['conditioner', 8], ['water', 0.5]], ['A soft white, then the enamel, then the conditioner.', 'Water last.']),
  school('swipe', 'Swipe colour, 3 : 1', [['conditioner', 3], ['paint', 1]], ['Strong conditioner; it should open.']),
  school('pearl-base', 'Pearl base', [['paint', 1.3], ['conditioner', 1], ['clear varnish', 0.2], ['water', 0.2]], ['More paint than conditioner.', 'A spoonful of water-borne clear varnish for each small squeeze bottle.', 'Water to thin.']),
  school('water-only', 'Paint and water only', [['paint', 1], ['water', 0.3]], ['Never past the house’s water limit: 30 to 40 % of the paint.']),
]

/** Bases of several mediums that are made in advance and then used like a medium. */
// prettier-ignore
export const BASES: readonly School[] = [
  school('base-equal', 'Equal-parts blend', [['conditioner', 1], ['pouring medium', 1], ['gloss medium', 1]], ['Blend slowly, no bubbles; strain.']),
  school('base-glue', 'Thinned glue, 60 : 40', [['glue', 60], ['water', 40]], ['Warm water, stir until no string hangs.']),
  school('base-thinner', 'Thinning mix, 90 : 10', [['water', 90], ['conditioner', 10]], ['Shake before each use.']),
]
