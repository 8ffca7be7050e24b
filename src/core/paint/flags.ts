import type { Role } from './properties'

/** What a maker can rule of a paint in a role. */
export const FLAG_RULES = ['avoid', 'only'] as const
export type FlagRule = (typeof FLAG_RULES)[number]

/** A maker's own rule for a paint: keep it out of a role, or use it in nothing else. */
export interface RoleFlag {
  readonly role: string
  readonly rule: FlagRule
  readonly reason: string
}

/** What the maker's own flags say against a paint in a role; undefined where they say nothing. */
export function flagAgainst(flags: readonly RoleFlag[], role: Role | string): string | undefined {
  const because = (f: RoleFlag) => (f.reason ? `: ${f.reason}` : '')
  const avoid = flags.find((f) => f.rule === 'avoid' && f.role === role)
  if (avoid) return `avoid as ${role}${because(avoid)}`
  const only = flags.filter((f) => f.rule === 'only')
  if (only.length === 0 || only.some((f) => f.role === role)) return undefined
  return `good only as ${only.map((f) => f.role).join(' or ')}${because(only[0]!)}`
}
