'use client'

import { usePathname, useRouter } from 'next/navigation'
import { startTransition, useEffect, useOptimistic, useRef, useState } from 'react'

/**
 * A filter that lives in the address bar, so that a view can be kept and shared. Typing in the search waits a moment
 * before it asks the server. What is chosen shows at once (`shown`), before the server has answered.
 * @param defaults values that are left out of the address
 */
export function useAddressFilter<F extends { q: string }>(filter: F, defaults: Partial<F>) {
  const router = useRouter()
  const path = usePathname()
  const [shown, show] = useOptimistic(filter)
  const [q, setQ] = useState(filter.q)
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined)
  useEffect(() => () => clearTimeout(timer.current), [])
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
    timer.current = setTimeout(() => go({ q: text } as Partial<F>), 180)
  }
  return { q, type, go, shown }
}
