import { Places } from '@/ui/frame/Places'

const PLACES = [
  ['/rack', 'Shelves'],
  ['/rack/alerts', 'What to do'],
  ['/rack/stocktake', 'Stocktake'],
  ['/rack/labels', 'Labels'],
] as const

/** The parts of the rack. */
export function RackNav({ here }: { here?: (typeof PLACES)[number][0] }) {
  return <Places label="Parts of the rack" places={PLACES} here={here} />
}
