import type { ErrorCode } from './errors'

/** What a server action answers: a value, or one sentence that says what to do. Nothing was changed when not ok. */
export type Answer<T> = { readonly ok: true; readonly value: T } | Refusal

export interface Refusal {
  readonly ok: false
  readonly code: ErrorCode | 'Unexpected'
  readonly message: string
  /** The form field it is about, where there is one. */
  readonly field?: string
}

/** How a refusal begins that is said before the app has seen the request. */
export const DOOR_SAYS = 'Fika: '
