import { Places } from '@/ui/frame/Places'

const PLACES = [
  ['/formulas', 'Colours'],
  ['/formulas/new', 'Try a mix'],
  ['/formulas/match', 'Match a colour'],
  ['/formulas/mend', 'Mend a cup'],
  ['/formulas/batch', 'Large batch'],
  ['/formulas/palette', 'Palette check'],
] as const

/** The parts of the formula station. */
export function FormulasNav({ here }: { here?: (typeof PLACES)[number][0] }) {
  return <Places label="Parts of the formula station" places={PLACES} here={here} />
}
