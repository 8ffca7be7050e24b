import Link from 'next/link'

const PLACES = [
  ['/rack', 'Shelves'],
  ['/rack/alerts', 'What to do'],
  ['/rack/stocktake', 'Stocktake'],
  ['/rack/labels', 'Labels'],
] as const

/** The parts of the rack. */
export function RackNav({ here }: { here?: (typeof PLACES)[number][0] }) {
  return (
    <nav className="places" aria-label="Parts of the rack">
      {PLACES.map(([path, name]) => (
        <Link key={path} href={path} aria-current={path === here ? 'page' : undefined} prefetch={false}>
          {name}
        </Link>
      ))}
    </nav>
  )
}
