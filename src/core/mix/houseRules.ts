import type { Body, MediumKind } from '../paint/properties'
import { BASES, RATIO_BY_BODY, SCHOOLS, type School, type SchoolLine } from './schools'

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
 * Mediums and ratio of a school from what is in the drawer: the first of each kind. What is missing is named and left
 * out; all else keeps its parts.
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
  const medium = mediums.reduce((s, m) => s + m.parts, 0)
  return { mediums, medium, paint: sum('paint'), water: sum('water'), missing }
}
