/** Whether a text names a time zone that dates can be written in (IANA time zone database, as the runtime has it). */
export function isZone(name: string): boolean {
  try {
    return new Intl.DateTimeFormat('en', { timeZone: name }).resolvedOptions().timeZone !== 'Etc/Unknown'
  } catch {
    return false
  }
}

/** The zone itself, or UTC where it is none: every date can be shown. */
export const knownZone = (name: string): string => (isZone(name) ? name : 'UTC')
