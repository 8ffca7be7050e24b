import { Places } from '@/ui/frame/Places'

const PLACES = [
  ['/bench', 'Mix'],
  ['/bench/eye', 'Pour first'],
  ['/bench/consistency', 'Consistency'],
  ['/bench/recipes', 'Recipes and rules'],
] as const

/** The parts of the bench. */
export function BenchNav({ here }: { here?: (typeof PLACES)[number][0] }) {
  return <Places label="Parts of the bench" places={PLACES} here={here} />
}
