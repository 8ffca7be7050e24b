'use client'

import { useMemo } from 'react'

/** Plain data worked out anew at every drawing, as the same object for as long as it says the same. */
export function useKept<T>(value: T): T {
  const text = JSON.stringify(value)
  return useMemo(() => (text === undefined ? undefined : JSON.parse(text)) as T, [text])
}
