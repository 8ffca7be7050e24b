import type { AnyObjectSchema, InferType } from 'yup'
import type { Answer, Refusal } from '@/core/answer'
import type { Session } from '@/db/people/sessions'
import { answer } from './answer'
import { ask, type Later } from './perform'

/**
 * The body of a request as it was sent, read when it is asked for: after it is known who sends it. What is no JSON is
 * taken for nothing, which no schema takes.
 * @param and what the address says besides, over what stands in the body
 */
export const bodyOf = (request: Request, and?: object): Later => {
  return async () => {
    const sent: unknown = await request.json().catch(() => null)
    if (!and) return sent
    return { ...(typeof sent === 'object' && !Array.isArray(sent) ? sent : null), ...and }
  }
}

const UNKEPT = { 'Cache-Control': 'private, no-store' } as const

/** An answer with its sentence where it is a refusal, for a page that reads both; kept by nobody on the way. */
export const answered = <T>(result: Answer<T>): Response => Response.json(result, { headers: UNKEPT })

/** HTTP's word for a refusal. */
const statusOf = (code: Refusal['code']) =>
  code === 'SignedOut' ? 401 : code === 'Forbidden' ? 403 : code === 'Busy' ? 503 : code === 'Unexpected' ? 500 : 400

/** The value alone, for a page that asks for more of what it shows; a refusal is its sentence. */
export function rows<T>(result: Answer<T>): Response {
  return result.ok ? Response.json(result.value, { headers: UNKEPT }) : refusedText(result)
}

/** The sentence of a refusal alone. */
export const refusedText = ({ code, message }: Refusal): Response =>
  new Response(message, { status: statusOf(code), headers: UNKEPT })

/** The same where the value is the text of JSON already. */
export function rowsOfText(result: Answer<string>): Response {
  if (!result.ok) return rows(result)
  return new Response(result.value, { headers: { ...UNKEPT, 'Content-Type': 'application/json' } })
}

/** A form as it was sent to a route, read once it is known who sends it; what is none is an empty one. */
export const formOf = (request: Request): Later => {
  return () => request.formData().catch(() => new FormData())
}

/**
 * A change that takes its time and tells how far it is, as lines of JSON: whatever `tell` is given, then
 * `{ imported: … }` with the value or `{ message: … }` with the sentence of the refusal.
 */
export async function told<S extends AnyObjectSchema, T>(
  schema: S,
  input: Later,
  work: (input: InferType<S>, who: Session, tell: (line: object) => void) => Promise<T>,
): Promise<Response> {
  const started = await ask(schema, input, (good, who) => ({ good, who }))
  const encoder = new TextEncoder()
  if (!started.ok)
    return new Response(`${JSON.stringify({ message: started.message })}\n`, { status: statusOf(started.code) })
  const { good, who } = started.value
  const stream = new ReadableStream<Uint8Array>({
    async start(controller) {
      const tell = (line: object) => controller.enqueue(encoder.encode(`${JSON.stringify(line)}\n`))
      const result = await answer(() => work(good, who, tell))
      tell(result.ok ? { imported: result.value } : { message: result.message })
      controller.close()
    },
  })
  return new Response(stream, {
    headers: { 'Content-Type': 'application/x-ndjson', 'Cache-Control': 'no-store', 'X-Accel-Buffering': 'no' },
  })
}
