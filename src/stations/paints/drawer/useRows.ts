'use client'

import { useCallback, useEffect, useRef, useState } from 'react'
import { addressOf, type PaintFilter } from './filter'
import type { DrawerRow } from './find'

/**
 * Rows of a view, of which the first chunk came with the page; the rest is asked for as it comes into sight.
 * @returns rows by place (undefined where not yet here) and a way to ask for a range
 */
export function useRows(filter: PaintFilter, first: readonly DrawerRow[], total: number) {
  const [rows, setRows] = useState<readonly (DrawerRow | undefined)[]>(first)
  const asked = useRef(new Set<number>())
  const view = addressOf({ ...filter, from: 0 }).toString()
  const chunk = Math.max(1, first.length)
  const alive = useRef(true)
  useEffect(() => {
    alive.current = true
    return () => {
      alive.current = false
    }
  }, [])
  const want = useCallback(
    (from: number, to: number) => {
      for (let at = Math.floor(from / chunk) * chunk; at <= to && at < total; at += chunk) {
        if (at === 0 || asked.current.has(at)) continue
        asked.current.add(at)
        fetch(`/paints/rows?${view}${view ? '&' : ''}from=${at}&chunk=${chunk}`)
          .then((r) => (r.ok ? (r.json() as Promise<DrawerRow[]>) : Promise.reject(new Error())))
          .then((more) => {
            if (!alive.current) return
            setRows((old) => {
              const next = [...old]
              more.forEach((row, i) => (next[at + i] = row))
              return next
            })
          })
          .catch(() => asked.current.delete(at))
      }
    },
    [chunk, total, view],
  )
  return { rows, want }
}
