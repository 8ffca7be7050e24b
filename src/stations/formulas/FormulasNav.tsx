import Link from 'next/link'

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
  return (
    <nav className="places" aria-label="Parts of the formula station">
      {PLACES.map(([path, name]) => (
        <Link key={path} href={path} aria-current={path === here ? 'page' : undefined} prefetch={false}>
          {name}
        </Link>
      ))}
    </nav>
  )
}
