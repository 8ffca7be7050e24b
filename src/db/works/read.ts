import { NotFound } from '@/core/errors'
import type { WorkKind } from '@/core/plan/design'
import type { Tx } from '../base/withStudio'

export interface Work {
  readonly id: string
  readonly revision: number
  readonly kind: WorkKind
  readonly title: string
  /** Day as `2026-12-24`. */
  readonly dueOn: string | null
  readonly forWhom: string
  readonly agreedOn: string | null
  readonly agreedText: string
  readonly priceMinor: number | null
  readonly notes: string
}

const COLUMNS = `id, revision, kind, title, due_on::text as "dueOn", for_whom as "forWhom", agreed_on::text as "agreedOn",
  agreed_text as "agreedText", price_minor as "priceMinor", notes`

/** Works not put away, the earliest due first. */
export const listWorks = (tx: Tx): Promise<Work[]> =>
  tx.q<Work>(
    `select ${COLUMNS} from work where studio_id = $1 and archived_at is null order by due_on nulls last, created_at desc limit 300`,
    [tx.studioId],
  )

/** One work. @throws NotFound */
export async function findWork(tx: Tx, id: string): Promise<Work> {
  const [row] = await tx.q<Work>(`select ${COLUMNS} from work where studio_id = $1 and id = $2`, [tx.studioId, id])
  if (!row) throw new NotFound('work')
  return row
}
