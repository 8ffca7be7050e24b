/** Lines that are open to browsers, by the session that holds them, across everything loaded in this process. */
const shared = globalThis as { fikaLines?: Map<string, Set<() => void>> }

/** Lines one session may hold: a few tabs on a few screens. The oldest ends for a new one. */
export const MOST_LINES = 8

/**
 * Counts a line in.
 * @param end ends it; called when it is one too many, when its session ends or the server stops
 * @returns the way to count it out
 */
export function holdLine(sessionId: string, end: () => void): () => void {
  const lines = (shared.fikaLines ??= new Map<string, Set<() => void>>())
  const held = lines.get(sessionId) ?? new Set()
  lines.set(sessionId, held)
  held.add(end)
  for (const oldest of held) {
    if (held.size <= MOST_LINES) break
    held.delete(oldest)
    oldest()
  }
  return () => {
    held.delete(end)
    if (held.size === 0 && lines.get(sessionId) === held) lines.delete(sessionId)
  }
}

/** Ends every line. */
export function endLines(): void {
  for (const held of [...(shared.fikaLines?.values() ?? [])]) for (const end of [...held]) end()
}
