/**
 * A mound of paint from the side, as it stands a second after it was poured: the longer it stays, the steeper.
 * @param levelTimeS seconds until it is flat
 */
export function Mound({ levelTimeS, width = 88, label }: { levelTimeS: number; width?: number; label?: string }) {
  const rise = 4 + 26 * (1 - Math.exp(-levelTimeS / 3.2))
  const half = 42 - 17 * (1 - Math.exp(-levelTimeS / 4))
  const folds = levelTimeS >= 3 ? `M${50 - half * 0.45} ${38 - rise * 0.72} q${half * 0.45} -5 ${half * 0.9} 0` : ''
  return (
    <svg
      viewBox="0 0 100 44"
      width={width}
      role={label ? 'img' : undefined}
      aria-label={label}
      aria-hidden={label ? undefined : true}
    >
      <path
        d={`M${50 - half} 38 C${50 - half * 0.7} ${38 - rise * 0.2} ${50 - half * 0.55} ${38 - rise} 50 ${38 - rise} S${50 + half * 0.7} ${38 - rise * 0.2} ${50 + half} 38 Z`}
        fill="currentColor"
        fillOpacity=".82"
      />
      {folds ? <path d={folds} fill="none" stroke="var(--paper)" strokeWidth="2" /> : null}
      <path d="M2 39h96" stroke="currentColor" strokeWidth="2.5" />
    </svg>
  )
}
