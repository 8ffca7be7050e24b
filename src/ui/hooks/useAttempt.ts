'use client'

import { useState } from 'react'
import { readTyped } from '@/core/quantity/typed'

/**
 * Runs work that reads what was typed: what cannot be read becomes one sentence, to be shown beside the field, and
 * nothing is sent.
 */
export function attemptOr(say: (sentence: string | undefined) => void, work: () => void): void {
  say(undefined)
  const { sentence } = readTyped(work)
  if (sentence) say(sentence)
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
