import type { Answer } from '@/core/answer'
import { FikaError } from '@/core/errors'
import type { Role } from '@/core/paint/properties'
import { parseNumber } from '@/core/quantity/number'
import { parseMassMg, parseVolumeUl, type UnitSystem } from '@/core/quantity/parse'
import type { BookMixing } from '@/db/mixings/schema'

export interface TypedBottle {
  readonly label: string
  readonly role: Role
  readonly palette: string
  readonly capacity: string
  readonly tare: string
  readonly rest: string
  /** The maker was told that a bottle held less by its books, and books it all the same. */
  readonly findRest: boolean
}

/** What was typed of a bottle, read; or one sentence about what cannot be. */
export function readDetails(t: TypedBottle, units: UnitSystem): BookMixing | { trouble: string } {
  try {
    const restHours = parseNumber(t.rest)
    if (restHours === undefined) return { trouble: 'Type the rest in hours, like 12.' }
    return {
      label: t.label,
      role: t.role,
      palette: t.palette,
      capacityUl: t.capacity.trim() ? parseVolumeUl(t.capacity, units) : null,
      tareMg: t.tare.trim() ? parseMassMg(t.tare, units) : null,
      restHours,
      findRest: t.findRest,
    }
  } catch (error) {
    if (error instanceof FikaError) return { trouble: error.message }
    throw error
  }
}

/** Books a mix as a bottle; sent again it is the same bottle. */
export async function sendToBottle(mixingId: string, details: BookMixing): Promise<Answer<{ id: string }>> {
  const lost = {
    ok: false,
    code: 'Unexpected',
    message: 'Fika did not answer. Nothing is lost: try again in a moment.',
  } as const
  return fetch(`/bench/mixing/${mixingId}/bottle`, {
    method: 'POST',
    body: JSON.stringify(details),
    headers: { 'content-type': 'application/json' },
  })
    .then((r) => r.json() as Promise<Answer<{ id: string }>>)
    .catch(() => lost)
}
