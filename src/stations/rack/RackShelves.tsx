'use client'

import { useWindowVirtualizer } from '@tanstack/react-virtual'
import { Link } from '@/ui/frame/Link'
import { useEffect, useMemo } from 'react'
import { formatMl } from '@/core/quantity/format'
import { BottleGlyph } from '@/ui/pictures/BottleGlyph'
import { ago } from '@/ui/tables/dates'
import { drawMarks } from '@/ui/frame/tray'
import { TrayMark } from '@/ui/frame/TrayMark'
import { useChunks } from '@/ui/hooks/useChunks'
import { useColumns } from '@/ui/hooks/useColumns'
import type { FoundRack, ShelfBottle } from './find'
import { lookOf } from './looks'
import styles from './rack.module.css'

/** A bottle takes this much of a shelf, and a shelf is this high, px. */
const BOTTLE = 130
const LINE_HEIGHT = 300
const HEAD_HEIGHT = 54
/** Columns assumed until the page has been measured: what a 1280 px window holds. */
const USUAL_COLUMNS = 9

type Line =
  | { readonly name: string; readonly count: number }
  | { readonly from: number; readonly to: number; readonly shelf: string }

/** Shelves of thousands of bottles, of which only those in sight are drawn. */
export function RackShelves({ found, address, now }: { found: FoundRack; address: string; now: number }) {
  const { rows, want } = useChunks<ShelfBottle>(address, found.rows, found.total, found)
  const { box, columns, top } = useColumns({ width: BOTTLE, gap: 0, usual: USUAL_COLUMNS })
  const lines = useMemo(() => linesOf(found.shelves, columns), [found.shelves, columns])
  const view = useWindowVirtualizer({
    count: lines.length,
    estimateSize: (i) => ('name' in lines[i]! ? HEAD_HEIGHT : LINE_HEIGHT),
    overscan: 3,
    scrollMargin: top,
    initialRect: { width: 1000, height: 1200 },
  })
  const shown = view.getVirtualItems()
  const places = shown.flatMap((s) => {
    const l = lines[s.index]!
    return 'from' in l ? [l.from, l.to - 1] : []
  })
  const [first, last] = [Math.min(...places), Math.max(...places)]
  useEffect(() => {
    if (Number.isFinite(first)) want(first, last)
  }, [want, first, last])
  useEffect(drawMarks)
  return (
    <div ref={box} style={{ height: view.getTotalSize(), position: 'relative' }}>
      {shown.map((s) => {
        const line = lines[s.index]!
        const place = { transform: `translateY(${s.start - view.options.scrollMargin}px)` }
        if ('name' in line)
          return (
            <h2 key={s.key} className={styles.shelfName} style={place}>
              {line.name} <small>{line.count}</small>
            </h2>
          )
        return (
          <div
            key={s.key}
            ref={view.measureElement}
            data-index={s.index}
            className={styles.shelfLine}
            style={{ ...place, gridTemplateColumns: `repeat(${columns}, minmax(0, 1fr))` }}
            role="list"
            aria-label={line.shelf || 'Bottles'}
          >
            {Array.from({ length: line.to - line.from }, (_, k) => line.from + k).map((i) => (
              <div
                key={rows[i]?.id ?? i}
                role="listitem"
                aria-posinset={i + 1}
                aria-setsize={found.total}
                className={styles.shelfPlace}
              >
                {rows[i] ? <OnShelf b={rows[i]} now={now} /> : null}
              </div>
            ))}
          </div>
        )
      })}
    </div>
  )
}

/** Headings and lines of bottles, by their places in the whole rack. */
function linesOf(shelves: FoundRack['shelves'], columns: number): Line[] {
  const lines: Line[] = []
  let at = 0
  for (const { name, count } of shelves) {
    if (name) lines.push({ name, count })
    for (let from = at; from < at + count; from += columns)
      lines.push({ from, to: Math.min(from + columns, at + count), shelf: name })
    at += count
  }
  return lines
}

function OnShelf({ b, now }: { b: ShelfBottle; now: number }) {
  return (
    <div data-card className={styles.onShelf}>
      <Link href={`/rack/${b.id}`}>
        <BottleGlyph id={b.id} look={lookOf({ ...b, levelTimeS: b.expectedS ?? b.levelTimeS }, now)} />
        <b>{b.label}</b>
        <small>
          {formatMl(b.ul)} · {b.isJar ? 'run-off' : b.role}
        </small>
        {b.hasAdditive && b.ul > 0 ? <small>holds an additive</small> : null}
        <small>
          {b.isJar ? 'kept' : 'mixed'} {ago(new Date(b.mixedAt), new Date(now))}
        </small>
        {b.needs.slice(0, 2).map((n) => (
          <small key={n.kind} className={styles.state}>
            {n.short}
          </small>
        ))}
      </Link>
      <TrayMark item={{ kind: 'bottle', id: b.id, label: b.label, hex: b.hex, sheen: b.sheen }} />
    </div>
  )
}
