import { Conflict } from '@/core/errors'
import { payloadHash } from './payloadHash'
import type { Tx } from './withStudio'

/**
 * Marks a request as made, in the transaction that makes it.
 * @returns whether it was made before, with the same content
 * @throws Conflict when it was made before with other content
 */
export async function madeBefore(tx: Tx, requestId: string, kind: string, payload: unknown): Promise<boolean> {
  const hash = payloadHash(kind, payload)
  const made = await tx.q(
    `insert into request_made (studio_id, request_id, payload_hash) values ($1, $2, $3)
     on conflict (studio_id, request_id) do nothing returning 1`,
    [tx.studioId, requestId, hash],
  )
  if (made.length) return false
  const [before] = await tx.q<{ hash: string }>(
    'select payload_hash as hash from request_made where studio_id = $1 and request_id = $2',
    [tx.studioId, requestId],
  )
  if (before?.hash !== hash)
    throw new Conflict('This was sent before with other content. Reload the page and do it anew.')
  return true
}
