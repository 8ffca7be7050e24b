import { Places } from '@/ui/frame/Places'

const PLACES = [
  ['/studio', 'House rules'],
  ['/studio/room', 'Room and droppers'],
  ['/studio/people', 'People'],
  ['/studio/keeping', 'Keeping'],
] as const

/** The parts of the studio's own place. */
export function StudioNav({ here }: { here: (typeof PLACES)[number][0] }) {
  return <Places label="Parts of the studio" places={PLACES} here={here} />
}
