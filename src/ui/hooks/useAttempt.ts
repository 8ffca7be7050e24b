'use client'

import { useState } from 'react'
import { FikaError } from '@/core/errors'

/**
 * Runs work that reads what was typed: what cannot be read becomes one sentence, to be shown beside the field, and
 * nothing is sent.
 */
export function attemptOr(say: (sentence: string | undefined) => void, work: () => void): void {
  say(undefined)
  try {
    work()
  } catch (error) {
    if (!(error instanceof FikaError)) throw error
    say(error.message)
  }
}

/** `attemptOr` with the sentence kept here. */
export function useAttempt() {
  const [unreadable, setUnreadable] = useState<string>()
  return {
    unreadable,
    attempt: (work: () => void) => attemptOr(setUnreadable, work),
    clear: () => setUnreadable(undefined),
  }
}
