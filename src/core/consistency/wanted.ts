import type { Role } from '../paint/properties'
import type { Technique } from '../technique/technique'

/** What the maker wants to see: thin blends and opens cells, thick keeps lines. */
export const LOOKS = ['as usual', 'blended', 'lines kept'] as const
export type Look = (typeof LOOKS)[number]

/** How a look moves the wanted seconds. Start values of Fika. */
const BY_LOOK: Readonly<Record<Look, number>> = { 'as usual': 1, blended: 0.7, 'lines kept': 1.35 }

/** How a role moves them, beside the colours of the same pour. Start values of Fika. */
const BY_ROLE: Readonly<Record<Role, number>> = {
  pour: 1,
  swipe: 0.8,
  'pearl base': 1,
  top: 0.4,
  'base coat': 1,
  'slip coat': 0.5,
  cushion: 1,
  'lead-in': 1,
  reserve: 1,
  'mixing base': 1,
}

/** Wanted level time, s, least and most: technique × look × role. */
export function wantedBand(technique: Technique, look: Look, role: Role): readonly [number, number] {
  const factor = BY_LOOK[look] * BY_ROLE[role]
  const [least, most] = technique.levelTimeS
  const cut = (s: number) => Math.round(s * factor * 100) / 100
  return [cut(least), cut(most)]
}
