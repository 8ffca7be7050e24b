'use client'

import { useCallback, useEffect, useRef, useState } from 'react'

/**
 * Rows of a long view, of which the first chunk came with the page; the rest is asked for as it comes into sight.
 * @param address of further rows; `from` and `chunk` are added to it
 * @param stamp when it changes, everything is asked for anew; until then the old rows stand
 * @returns rows by place (undefined where not yet here) and a way to ask for a range
 */
export function useChunks<Row>(address: string, first: readonly Row[], total: number, stamp?: unknown) {
  const [rows, setRows] = useState<readonly (Row | undefined)[]>(first)
  const [seen, setSeen] = useState(stamp)
  const asked = useRef(new Set<number>())
  const chunk = Math.max(1, first.length)
  const alive = useRef(true)
  useEffect(() => {
    alive.current = true
    return () => {
      alive.current = false
    }
  }, [])
  if (seen !== stamp) {
    setSeen(stamp)
    setRows((old) => [...first, ...old.slice(first.length, total)])
  }
  useEffect(() => {
    asked.current = new Set()
  }, [stamp])
  const want = useCallback(
    (from: number, to: number) => {
      for (let at = Math.floor(from / chunk) * chunk; at <= to && at < total; at += chunk) {
        if (at === 0 || asked.current.has(at)) continue
        const mine = asked.current
        mine.add(at)
        fetch(`${address}${address.includes('?') ? '&' : '?'}from=${at}&chunk=${chunk}`)
          .then((r) => (r.ok ? (r.json() as Promise<Row[]>) : Promise.reject(new Error())))
          .then((more) => {
            if (!alive.current || mine !== asked.current) return
            setRows((old) => {
              const next = [...old]
              more.forEach((row, i) => (next[at + i] = row))
              return next
            })
          })
          .catch(() => mine.delete(at))
      }
    },
    // A new stamp asks anew, so the way to ask is a new one too.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [address, chunk, total, stamp],
  )
  return { rows, want }
}
