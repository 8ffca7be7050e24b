import { Link } from './Link'

/** The parts of a station, the one that is shown marked. */
export function Places({
  label,
  places,
  here,
}: {
  label: string
  /** Path and name of each, in the order of work. */
  places: readonly (readonly [string, string])[]
  here: string | undefined
}) {
  return (
    <nav className="places" aria-label={label}>
      {places.map(([path, name]) => (
        <Link key={path} href={path} aria-current={path === here ? 'page' : undefined}>
          {name}
        </Link>
      ))}
    </nav>
  )
}
