import type { Body, MediumKind } from '../paint/properties'
import { RATIO_BY_BODY } from './schools'

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

const COMMON = 'common practice, no published source'
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
  school('glue', 'Glue mix', [['conditioner', 1], ['glue', 1], ['paint', 1]], ['Thin the glue 60 : 40 with water first.', 'Conditioner and glue together, then the paint.']),
  school('gloss', 'Gloss base', [['gloss medium', 2], ['paint', 1], ['water', 0.25], ['conditioner', 9]], ['Gloss medium and paint first.', 'Water up to 3 to 3.5 parts, stir.', 'Then 8 to 10 parts conditioner.']),
  school('half-cup', 'Fill the cup, to a half', [['paint', 1], ['any medium', 1], ['water', 0.2]], ['Paint first.', 'Medium until it stands twice as high.', 'Water last, by drops.']),
  school('three-quarter-cup', 'Fill the cup, to three quarters', [['paint', 1], ['any medium', 2], ['water', 0.2]], ['Paint first.', 'Medium until the cup is three quarters full.', 'Water last, by drops.']),
  school('equal-blend', 'Equal blend of mediums, 2 : 1', [['conditioner', 1], ['pouring medium', 1], ['paint', 1]], ['Blend the mediums in equal parts, best as a base of their own.', 'Two parts or more over the paint.']),
  school('enamel-white', 'Enamel white', [['paint', 4], ['enamel or house paint', 2], ['conditioner', 8], ['water', 0.5]], ['A soft white, then the enamel, then the conditioner.', 'Water last.']),
  school('swipe', 'Swipe colour, 3 : 1', [['conditioner', 3], ['paint', 1]], ['Strong conditioner; it should open.']),
  school('pearl-base', 'Pearl base', [['paint', 1.3], ['conditioner', 1], ['clear varnish', 0.2]], ['More paint than conditioner.', 'A teaspoon of polyacrylic for each small squeeze bottle.']),
  school('water-only', 'Paint and water only', [['paint', 1], ['water', 0.3]], ['Never past the house’s water limit: 30 to 40 % of the paint.']),
]

/** Bases of several mediums that are made in advance and then used like a medium. */
// prettier-ignore
export const BASES: readonly School[] = [
  school('base-equal', 'Equal-parts blend', [['conditioner', 1], ['pouring medium', 1], ['gloss medium', 1]], ['Blend slowly, no bubbles; strain.']),
  school('base-glue', 'Thinned glue, 60 : 40', [['glue', 60], ['water', 40]], ['Warm water, stir until no string hangs.']),
  school('base-thinner', 'Thinning mix, 90 : 10', [['water', 90], ['conditioner', 10]], ['Shake before each use.']),
]

/** What a studio has changed: ratios by body or by paint, and lines of schools. */
export interface HouseRules {
  readonly byBody: Readonly<Partial<Record<Body, { medium: number; paint: number }>>>
  readonly byPaint: ReadonlyMap<string, { medium: number; paint: number; note: string }>
  readonly schools: ReadonlyMap<string, { lines: readonly SchoolLine[]; steps: readonly string[] }>
}
export const NO_RULES: HouseRules = { byBody: {}, byPaint: new Map(), schools: new Map() }

/** Schools as the studio has them: its own lines where it changed them. */
export const schoolsOf = (rules: HouseRules): School[] =>
  [...SCHOOLS, ...BASES].map((s) => {
    const own = rules.schools.get(s.key)
    return own ? { ...s, ...own, source: 'house rule' } : s
  })

/**
 * Medium : paint for a formula: the paint's own ratio where it has one, else the house ratio of its body, else the
 * usual one. The paint there is most of decides.
 */
export function houseRatioOf(
  paint: { id: string; body: Body | null } | undefined,
  rules: HouseRules,
): { medium: number; paint: number; from: string } {
  const own = paint && rules.byPaint.get(paint.id)
  if (own) return { medium: own.medium, paint: own.paint, from: 'for this paint' }
  const body = paint?.body ?? 'soft'
  const house = rules.byBody[body]
  return house ? { ...house, from: 'house rule by body' } : { ...RATIO_BY_BODY[body], from: 'by body' }
}

/** A material as a school chooses among them. */
export interface Choosable {
  readonly id: string
  readonly kind: 'paint' | 'medium' | 'water' | 'additive'
  readonly mediumKind: MediumKind | null
}

/**
 * Mediums and ratio of a school from what is in the drawer: the first of each kind; what is missing is named.
 * @returns ratio as medium : paint and water parts of the same
 */
export function applySchool(school: Pick<School, 'lines'>, drawer: readonly Choosable[]) {
  const missing: string[] = []
  const mediums = school.lines.flatMap(({ what, parts }) => {
    if (what === 'paint' || what === 'water') return []
    const found = drawer.find((m) => m.kind === 'medium' && (what === 'any medium' || m.mediumKind === what))
    if (found) return [{ id: found.id, parts }]
    missing.push(what === 'any medium' ? 'a medium' : what)
    return []
  })
  const sum = (what: string) => school.lines.reduce((s, l) => s + (l.what === what ? l.parts : 0), 0)
  const medium = school.lines.reduce((s, l) => s + (l.what === 'paint' || l.what === 'water' ? 0 : l.parts), 0)
  return { mediums, medium, paint: sum('paint'), water: sum('water'), missing }
}
