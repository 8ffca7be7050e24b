import Link from 'next/link'

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
  return (
    <nav className="places" aria-label="Parts of the paint station">
      {PLACES.map(([path, name]) => (
        <Link key={path} href={path} aria-current={path === here ? 'page' : undefined} prefetch={false}>
          {name}
        </Link>
      ))}
    </nav>
  )
}
