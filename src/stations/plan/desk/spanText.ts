const DAY = 86_400_000

/** `3 days`, `5 hours`. */
export function spanText(ms: number): string {
  if (ms >= 2 * DAY) return `${Math.round(ms / DAY)} days`
  const hours = Math.max(1, Math.round(ms / 3_600_000))
  return hours === 1 ? '1 hour' : `${hours} hours`
}
