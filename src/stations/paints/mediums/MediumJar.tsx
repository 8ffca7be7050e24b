/** A jar of medium: the more solids, the whiter it stands; water is clear. */
export function MediumJar({ solids, kind }: { solids: number; kind: string }) {
  const milk = kind === 'water' ? 0.08 : Math.min(1, 0.35 + solids)
  return (
    <svg viewBox="0 0 120 118" width="86" height="84" role="img" aria-label={kind} className="rigid">
      <rect x="0" y="56" width="120" height="10" fill="#161616" />
      <path d="M28 30h64v70q0 8-8 8H36q-8 0-8-8z" fill="#fff" fillOpacity={milk} stroke="#3a3a3a" strokeWidth="2" />
      <rect x="32" y="16" width="56" height="14" rx="3" fill="#c9c9c9" stroke="#3a3a3a" strokeWidth="2" />
    </svg>
  )
}
