/**
 * The typed errors of Fika. Each carries what is needed to say what to do next, and its message is one clear
 * sentence for the person at the bench.
 */
export type ErrorCode =
  | 'NotEnough'
  | 'OverCapacity'
  | 'Conflict'
  | 'Invalid'
  | 'NotFound'
  | 'SignedOut'
  | 'Forbidden'
  | 'TooOften'
  | 'Device'
  | 'Busy'
  | 'TooLarge'

export class FikaError extends Error {
  constructor(
    readonly code: ErrorCode,
    message: string,
    readonly detail: Readonly<Record<string, string | number>> = {},
  ) {
    super(message)
    this.name = code
  }
}

/** A vessel or a supply holds less than is wanted. Volumes in µl. */
export class NotEnough extends FikaError {
  constructor(message: string, detail: { vesselId: string; haveUl: number; needUl: number }) {
    super('NotEnough', message, detail)
  }
}

/** A vessel cannot hold what would go in. Volumes in µl. */
export class OverCapacity extends FikaError {
  constructor(message: string, detail: { vesselId: string; capacityUl: number; wouldHoldUl: number }) {
    super('OverCapacity', message, detail)
  }
}

/** What was asked for contradicts what has been written since, or by somebody else. */
export class Conflict extends FikaError {
  constructor(message: string, detail: Record<string, string | number> = {}) {
    super('Conflict', message, detail)
  }
}

/** Something typed cannot be used; `field` names where it was typed. */
export class Invalid extends FikaError {
  constructor(
    message: string,
    readonly field?: string,
  ) {
    super('Invalid', message, field ? { field } : {})
  }
}

/** No such thing in this studio. */
export class NotFound extends FikaError {
  constructor(what: string) {
    super('NotFound', `There is no such ${what} in this studio. It may have been removed; go back and choose again.`)
  }
}

/** Somebody's role does not let them do this. */
export class Forbidden extends FikaError {
  constructor(message: string) {
    super('Forbidden', message)
  }
}

/** For `catch`: what is not there is undefined; every other error passes. */
export function undefinedIfMissing(error: unknown): undefined {
  if (error instanceof NotFound) return undefined
  throw error
}
