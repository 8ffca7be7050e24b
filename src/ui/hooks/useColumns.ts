'use client'

import { useRef, useState } from 'react'
import { useBrowserLayoutEffect } from './useBrowserLayoutEffect'

/**
 * How many columns of things fit into a box, and where the box begins on the page, px; measured anew as the page
 * changes its size.
 * @param usual columns assumed until the page has been measured
 */
export function useColumns({ width, gap, usual }: { width: number; gap: number; usual: number }) {
  const box = useRef<HTMLDivElement>(null)
  const [columns, setColumns] = useState(usual)
  const [top, setTop] = useState(0)
  useBrowserLayoutEffect(() => {
    const measure = () => {
      if (!box.current) return
      setColumns(Math.max(1, Math.floor((box.current.clientWidth + gap) / (width + gap))))
      setTop(box.current.getBoundingClientRect().top + window.scrollY)
    }
    measure()
    const watch = new ResizeObserver(measure)
    watch.observe(document.body)
    return () => watch.disconnect()
  }, [width, gap])
  return { box, columns, top }
}
