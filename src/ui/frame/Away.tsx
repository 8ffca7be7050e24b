'use client'

import { useEffect } from 'react'
import { useAway } from '@/ui/hooks/connection'
import styles from './frame.module.css'

/** Says that Fika does not answer, for as long as it does not; and has the browser keep words for when a page cannot be reached. */
export function Away() {
  const away = useAway()
  useEffect(() => {
    // Where the page is not a secure one there is none, and everything else works all the same.
    navigator.serviceWorker?.register('/words.js').catch(() => undefined)
  }, [])
  if (!away) return null
  return (
    <p className={styles.away} role="status">
      <b>Fika does not answer just now.</b> What you typed stays here. What you sent goes out by itself, once, when it
      is back.
    </p>
  )
}
