import type { AnyObjectSchema, InferType } from 'yup'
import type { Answer } from '@/core/answer'
import { withStudio, type Tx } from '@/db/base/withStudio'
import { answer } from './answer'
import { ask } from './perform'

/** The body of a request as it was sent; null where it is no JSON, which no schema takes. */
export const bodyOf = (request: Request): Promise<unknown> => request.json().catch(() => null)

const UNKEPT = { 'Cache-Control': 'private, no-store' } as const

/** An answer with its sentence where it is a refusal, for a page that reads both; kept by nobody on the way. */
export const answered = <T>(result: Answer<T>): Response => Response.json(result, { headers: UNKEPT })

/** The value alone, for a page that asks for more of what it shows; a refusal is its sentence. */
export function rows<T>(result: Answer<T>): Response {
  if (result.ok) return Response.json(result.value, { headers: UNKEPT })
  return new Response(result.message, { status: result.code === 'SignedOut' ? 401 : 500 })
}

/**
 * A change that takes its time and tells how far it is, as lines of JSON: whatever `tell` is given, then
 * `{ imported: … }` with the value or `{ message: … }` with the sentence of the refusal.
 * @param after called once the change is committed
 */
export async function told<S extends AnyObjectSchema, T>(
  schema: S,
  input: unknown,
  work: (tx: Tx, input: InferType<S>, tell: (line: object) => void) => Promise<T>,
  after: () => void = () => undefined,
): Promise<Response> {
  const started = await ask(schema, input, (good, who) => ({ good, who }))
  const encoder = new TextEncoder()
  if (!started.ok)
    return new Response(`${JSON.stringify({ message: started.message })}\n`, {
      status: started.code === 'SignedOut' ? 401 : 400,
    })
  const { good, who } = started.value
  const stream = new ReadableStream<Uint8Array>({
    async start(controller) {
      const tell = (line: object) => controller.enqueue(encoder.encode(`${JSON.stringify(line)}\n`))
      const result = await answer(() => withStudio(who, (tx) => work(tx, good, tell)))
      if (result.ok) after()
      tell(result.ok ? { imported: result.value } : { message: result.message })
      controller.close()
    },
  })
  return new Response(stream, {
    headers: { 'Content-Type': 'application/x-ndjson', 'Cache-Control': 'no-store', 'X-Accel-Buffering': 'no' },
  })
}
