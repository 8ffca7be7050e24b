'use client'

import { useWindowVirtualizer } from '@tanstack/react-virtual'
import { useEffect } from 'react'
import { drawMarks } from '@/ui/frame/tray'
import { useChunks } from '@/ui/hooks/useChunks'
import { useColumns } from '@/ui/hooks/useColumns'
import { rowsAddress, type PaintFilter } from './filter'
import type { DrawerRow } from './find'
import { PaintCard } from './PaintCard'
import styles from './drawer.module.css'

const GAP = 16
/** A card is at least this wide. */
const CARD = 184
const CARD_HEIGHT = 262
/** Columns assumed until the page has been measured: what a 1280 px window holds. */
const USUAL_COLUMNS = 5

/** Ten thousand drawdown cards of which only those in sight are drawn. */
export function CardGrid(props: { filter: PaintFilter; first: readonly DrawerRow[]; total: number; currency: string }) {
  const { rows, want } = useChunks(rowsAddress(props.filter), props.first, props.total)
  const { box, columns, top } = useColumns({ width: CARD, gap: GAP, usual: USUAL_COLUMNS })
  const lines = useWindowVirtualizer({
    count: Math.ceil(props.total / columns),
    estimateSize: () => CARD_HEIGHT + GAP,
    overscan: 6,
    scrollMargin: top,
    initialRect: { width: 1000, height: 1400 },
  })
  const shown = lines.getVirtualItems()
  const [from, to] = [(shown[0]?.index ?? 0) * columns, ((shown.at(-1)?.index ?? 0) + 1) * columns - 1]
  useEffect(() => want(from, to), [want, from, to])
  useEffect(drawMarks)
  return (
    <div ref={box} role="list" aria-label="Paints" style={{ height: lines.getTotalSize(), position: 'relative' }}>
      {shown.map((line) => (
        <div
          key={line.key}
          ref={lines.measureElement}
          data-index={line.index}
          role="presentation"
          className={styles.cardLine}
          style={{
            gridTemplateColumns: `repeat(${columns}, minmax(0, 1fr))`,
            transform: `translateY(${line.start - lines.options.scrollMargin}px)`,
          }}
        >
          {Array.from({ length: columns }, (_, k) => line.index * columns + k)
            .filter((i) => i < props.total)
            .map((i) => (
              <div key={i} role="listitem" aria-posinset={i + 1} aria-setsize={props.total}>
                {rows[i] ? (
                  <PaintCard m={rows[i]} currency={props.currency} />
                ) : (
                  <div className={`card ${styles.cardWaiting}`} aria-hidden="true" />
                )}
              </div>
            ))}
        </div>
      ))}
    </div>
  )
}
