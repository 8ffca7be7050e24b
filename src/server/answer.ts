import { randomBytes } from 'node:crypto'
import type { AnyObjectSchema, InferType } from 'yup'
import { ValidationError } from 'yup'
import type { Answer } from '@/core/answer'
import { FikaError, Invalid } from '@/core/errors'
import { troubleOf } from '@/db/base/trouble'
import { validated } from '@/db/base/validated'

/** What was sent, as a plain object: a form with files is one too. */
const plain = (input: unknown): unknown => (input instanceof FormData ? Object.fromEntries(input) : input)

/** Validates what came in by the schema the form used. @throws Invalid with the first field that is wrong */
export async function checked<S extends AnyObjectSchema>(schema: S, input: unknown): Promise<InferType<S>> {
  try {
    return validated(schema, plain(input))
  } catch (error) {
    if (error instanceof ValidationError) throw new Invalid(error.message, error.path || undefined)
    throw error
  }
}

/** Turns whatever an action throws into one sentence; the unexpected is logged and not shown. */
export async function answer<T>(work: () => Promise<T>): Promise<Answer<T>> {
  try {
    return { ok: true, value: await work() }
  } catch (error) {
    const refused = error instanceof FikaError ? error : troubleOf(error)
    if (refused) {
      if (refused.code === 'Busy') console.error(error)
      const field = refused instanceof Invalid ? refused.field : undefined
      return { ok: false, code: refused.code, message: refused.message, ...(field ? { field } : {}) }
    }
    // Next's own control flow (redirects) must pass.
    if (typeof (error as { digest?: unknown } | null)?.digest === 'string') throw error
    // The number stands in the log and on the screen, so that one finds the other.
    const number = randomBytes(4).toString('hex')
    console.error(`error ${number}`, error)
    return {
      ok: false,
      code: 'Unexpected',
      message: `Fika could not do that, and changed nothing. Try again; if it happens once more, restart Fika. (Error ${number})`,
    }
  }
}
