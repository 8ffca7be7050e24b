import { useId } from 'react'

/** Two colours as the halves of one disc on neutral grey, edge to edge: the hardest comparison there is. */
export function SplitDisc({
  left,
  right,
  labels,
  size = 190,
}: {
  left: string
  right: string
  labels: readonly [string, string]
  size?: number
}) {
  const clip = useId()
  return (
    <svg viewBox="0 0 200 200" width={size} height={size} role="img" aria-label={`${labels[0]} beside ${labels[1]}`}>
      <clipPath id={clip}>
        <circle cx="100" cy="100" r="96" />
      </clipPath>
      <g clipPath={`url(#${clip})`}>
        <rect width="100.4" height="200" fill={left} />
        <rect x="100" width="100" height="200" fill={right} />
      </g>
    </svg>
  )
}
