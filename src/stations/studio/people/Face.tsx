/** The first letters of the first and the last word of a name. */
export function initials(name: string): string {
  const words = name.trim().split(/\s+/)
  const first = (word: string | undefined) => (word ? String.fromCodePoint(word.codePointAt(0)!).toUpperCase() : '')
  return first(words[0]) + (words.length > 1 ? first(words.at(-1)) : '')
}

/** A person as a round mark with their letters. */
export function Face({ name, faint = false }: { name: string; faint?: boolean }) {
  return (
    <svg width="48" height="48" viewBox="0 0 48 48" aria-hidden="true">
      <circle cx="24" cy="24" r="22.5" fill={faint ? 'none' : 'var(--wash)'} stroke="var(--ink)" strokeWidth="1.5" />
      <text x="24" y="30" textAnchor="middle" fontSize="17" fontWeight="650" fill="var(--ink)">
        {initials(name)}
      </text>
    </svg>
  )
}
