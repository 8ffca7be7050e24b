import { object, string } from 'yup'
import { MOVEMENT_KINDS, type MovementKind } from '@/core/vessel/kinds'
import { isId } from '@/db/base/withStudio'
import type { JournalPage } from '@/db/ledger'

const schema = object({ kind: string().max(20).default(''), before: string().max(40).default('') })

/** Reads what is wanted of the journal from the address; what cannot be read is left out. */
export function readJournalFilter(params: Record<string, string | undefined>): JournalPage {
  const { kind, before } = schema.cast(params, { stripUnknown: true, assert: false }) as {
    kind: string
    before: string
  }
  return {
    kind: (MOVEMENT_KINDS as readonly string[]).includes(kind) ? (kind as MovementKind) : undefined,
    before: isId(before) ? before : undefined,
  }
}
