/** Zones that were asked for and are some: every page asks for one, and to find out is dear. */
const known = new Set<string>()

/** Whether a text names a time zone that dates can be written in (IANA time zone database, as the runtime has it). */
export function isZone(name: string): boolean {
  if (known.has(name)) return true
  try {
    const isOne = new Intl.DateTimeFormat('en', { timeZone: name }).resolvedOptions().timeZone !== 'Etc/Unknown'
    if (isOne) known.add(name)
    return isOne
  } catch {
    return false
  }
}

/** The zone itself, or UTC where it is none: every date can be shown. */
export const knownZone = (name: string): string => (isZone(name) ? name : 'UTC')
