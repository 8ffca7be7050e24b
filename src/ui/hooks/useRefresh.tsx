'use client'

import { useRouter } from 'next/navigation'
import {
  createContext,
  startTransition,
  useCallback,
  useContext,
  useEffect,
  useMemo,
  useRef,
  useState,
  type ReactNode,
} from 'react'

/** Wishes that come within this time are one: what was sent, and the news of it, look at the page once. */
const GATHER_MS = 40

export interface Refreshing {
  /** Has the page read anew, once for all that wish it at the same time. */
  refresh(): void
  /** Whether that was wished and is not on the screen yet. */
  readonly wished: boolean
  /** How often it was. */
  readonly round: number
}

const Here = createContext<Refreshing>({ refresh: () => undefined, wished: false, round: 0 })

/** Lets everything below have the page read anew; outside of it there is no page to read. */
export function RefreshHere({ children }: { children: ReactNode }) {
  const router = useRouter()
  const [wished, setWished] = useState(false)
  const [round, setRound] = useState(0)
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined)
  useEffect(() => () => clearTimeout(timer.current), [])
  const refresh = useCallback(() => {
    setWished(true)
    timer.current ??= setTimeout(() => {
      timer.current = undefined
      startTransition(() => {
        router.refresh()
        // Part of the same change: it is true when the new page is on the screen.
        setWished(false)
        setRound((r) => r + 1)
      })
    }, GATHER_MS)
  }, [router])
  const value = useMemo(() => ({ refresh, wished, round }), [refresh, wished, round])
  return <Here value={value}>{children}</Here>
}

/** How the page is read anew, and whether that is under way. */
export const useRefreshing = (): Refreshing => useContext(Here)

/** Has the page read anew, once for all that wish it at the same time. */
export const useRefresh = (): (() => void) => useRefreshing().refresh
