import Link from 'next/link'

const PLACES = [
  ['/bench', 'Mix'],
  ['/bench/eye', 'Pour first'],
  ['/bench/consistency', 'Consistency'],
  ['/bench/recipes', 'Recipes and rules'],
] as const

/** The parts of the bench. */
export function BenchNav({ here }: { here?: (typeof PLACES)[number][0] }) {
  return (
    <nav className="places" aria-label="Parts of the bench">
      {PLACES.map(([path, name]) => (
        <Link key={path} href={path} aria-current={path === here ? 'page' : undefined} prefetch={false}>
          {name}
        </Link>
      ))}
    </nav>
  )
}
