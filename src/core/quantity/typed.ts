import { FikaError } from '../errors'

/** What typed text was read as, or one sentence about what cannot be read. */
export type Typed<T> =
  { readonly value: T; readonly sentence?: undefined } | { readonly value?: undefined; readonly sentence: string }

/** Reads typed text: what a reader refuses becomes its sentence; every other error passes. */
export function readTyped<T>(read: () => T): Typed<T> {
  try {
    return { value: read() }
  } catch (error) {
    if (error instanceof FikaError) return { sentence: error.message }
    throw error
  }
}

/** The same, where nothing typed is no trouble: then there is neither value nor sentence. */
export const readTypedIfAny = <T>(text: string, read: (text: string) => T): Typed<T | undefined> =>
  text.trim() === '' ? { value: undefined } : readTyped(() => read(text))
