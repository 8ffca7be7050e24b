/** What bottles become when they are poured together. Times in ms. */
export interface Kept {
  readonly ul: number
  readonly mixedAt: number
  readonly restUntil: number
  readonly keepUntil: number | null
  /** Water it lost and did not get back, ml per ml of what it holds. */
  readonly dryShare: number
  /** Water ÷ the rest. */
  readonly w: number
}

/** A merged bottle is as old as its oldest part, keeps as long as its weakest and lacks the water they lack; it rests anew. */
export function combined(parts: readonly Kept[], now: number, restMs: number): Omit<Kept, 'ul'> {
  const filled = parts.filter((p) => p.ul > 0)
  const keeps = filled.flatMap((p) => (p.keepUntil === null ? [] : [p.keepUntil]))
  const ul = filled.reduce((sum, p) => sum + p.ul, 0)
  const rest = filled.reduce((sum, p) => sum + p.ul / (1 + p.w), 0)
  return {
    dryShare: filled.reduce((sum, p) => sum + p.ul * p.dryShare, 0) / ul,
    w: rest > 0 ? filled.reduce((sum, p) => sum + (p.ul * p.w) / (1 + p.w), 0) / rest : 0,
    mixedAt: Math.min(...filled.map((p) => p.mixedAt)),
    restUntil: Math.max(now + restMs, ...filled.map((p) => p.restUntil)),
    keepUntil: keeps.length ? Math.min(...keeps) : null,
  }
}
