import type { Answer } from '@/core/answer'
import type { BookMixing } from '@/db/mixings/schema'

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
