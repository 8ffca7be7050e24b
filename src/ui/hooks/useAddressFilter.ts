'use client'

import { usePathname, useRouter } from 'next/navigation'
import { startTransition, useEffect, useEffectEvent, useOptimistic, useRef, useState } from 'react'

/**
 * A filter that lives in the address bar, so that a view can be kept and shared. Typing in the search waits a moment
 * before it asks the server; a click anywhere ends that wait, for a search that came after the click on a link would
 * call the visitor back. What is chosen shows at once (`shown`), before the server has answered.
 * @param defaults values that are left out of the address
 */
export function useAddressFilter<F extends { q: string }>(filter: F, defaults: Partial<F>) {
  const router = useRouter()
  const path = usePathname()
  const [shown, show] = useOptimistic(filter)
  const [q, setQ] = useState(filter.q)
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined)
  const go = (change: Partial<F>) => {
    const next = new URLSearchParams()
    for (const [k, v] of Object.entries({ ...shown, q, ...change }))
      if (v && v !== defaults[k as keyof F]) next.set(k, String(v))
    startTransition(() => {
      show({ ...shown, q, ...change })
      router.replace(`${path}${next.size ? `?${next}` : ''}`, { scroll: false })
    })
  }
  const type = (text: string) => {
    setQ(text)
    clearTimeout(timer.current)
    timer.current = setTimeout(ask, 180, text)
  }
  const ask = (text: string) => {
    timer.current = undefined
    go({ q: text } as Partial<F>)
  }
  const onClick = useEffectEvent(() => {
    if (timer.current === undefined) return
    clearTimeout(timer.current)
    ask(q)
  })
  useEffect(() => {
    document.addEventListener('click', onClick, true)
    return () => {
      document.removeEventListener('click', onClick, true)
      clearTimeout(timer.current)
    }
  }, [])
  return { q, type, go, shown }
}
