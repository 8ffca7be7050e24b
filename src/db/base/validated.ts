import type { AnyObjectSchema, InferType } from 'yup'
import { ValidationError } from 'yup'

const UNREADABLE = 'This is not what the form holds. Reload the page, and type it again.'
const UNKEEPABLE = 'This holds a character that cannot be kept. Type the text anew.'

/** Deepest nesting of what comes in; nothing of ours goes half as deep. */
const DEEPEST = 40

/** Half of a character, without its other half: the source of an expression. */
export const HALF = '[\\ud800-\\udbff](?![\\udc00-\\udfff])|(?<![\\ud800-\\udbff])[\\udc00-\\udfff]'

/** What no column can keep: NUL, and halves of characters (PostgreSQL 15 manual, 8.3; Unicode 15, 3.9). */
const UNKEPT = new RegExp(`\\u0000|${HALF}`)

function refuseUnkept(value: unknown, depth = 0): void {
  if (typeof value === 'string') {
    if (UNKEPT.test(value)) throw new ValidationError(UNKEEPABLE)
  } else if (typeof value === 'object' && value !== null) {
    if (depth > DEEPEST) throw new ValidationError(UNREADABLE)
    if (ArrayBuffer.isView(value)) return
    for (const inner of Object.values(value)) refuseUnkept(inner, depth + 1)
  }
}

/**
 * Validates what came in by its schema. A list where a text is wanted, or a text no column can keep, is refused like
 * anything else that is wrong.
 * @throws ValidationError with the first field that is wrong
 */
export function validated<S extends AnyObjectSchema>(schema: S, value: unknown): InferType<S> {
  refuseUnkept(value)
  try {
    return schema.validateSync(value, { abortEarly: true, stripUnknown: true }) as InferType<S>
  } catch (error) {
    // A transform that takes a text for granted falls over what is none.
    if (error instanceof TypeError || error instanceof RangeError) throw new ValidationError(UNREADABLE)
    throw error
  }
}
