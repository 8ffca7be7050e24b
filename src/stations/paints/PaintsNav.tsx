import { Places } from '@/ui/frame/Places'

const PLACES = [
  ['/paints', 'Drawer'],
  ['/paints/mediums', 'Mediums'],
  ['/paints/prices', 'Prices'],
  ['/paints/surfaces', 'Surfaces'],
  ['/paints/pigments', 'Pigments'],
  ['/paints/import', 'Bring in'],
  ['/paints/export', 'Take out'],
] as const

/** The parts of the paint station. */
export function PaintsNav({ here }: { here: (typeof PLACES)[number][0] }) {
  return <Places label="Parts of the paint station" places={PLACES} here={here} />
}
