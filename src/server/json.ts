import type { Answer } from '@/core/answer'

/** What a handler answers as JSON, kept by nobody on the way; a refusal is its sentence. */
export function json<T>(result: Answer<T>): Response {
  if (result.ok) return Response.json(result.value, { headers: { 'Cache-Control': 'private, no-store' } })
  return new Response(result.message, { status: result.code === 'SignedOut' ? 401 : 500 })
}
