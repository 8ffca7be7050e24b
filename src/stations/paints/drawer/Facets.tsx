'use client'

import { useState } from 'react'
import type { FacetCount } from '@/core/paint/facets'
import { HUE_FAMILIES } from '@/core/colour/hueFamily'
import { LIGHTFASTNESS } from '@/core/paint/pigments'
import { BODIES, OPACITIES, SHEENS } from '@/core/paint/properties'
import { FACETS, picksOf, type FacetKey, type PaintFilter } from './filter'
import styles from './drawer.module.css'

/** Facets that stand open; the others unfold. */
const OPEN: readonly FacetKey[] = ['maker', 'hue', 'body', 'opacity', 'sheen', 'stock']
const FIRST = 8
/** Values that have an order of their own; all others stand by count. */
const OWN_ORDER: Partial<Record<FacetKey, readonly string[]>> = {
  hue: HUE_FAMILIES,
  body: BODIES,
  opacity: OPACITIES,
  sheen: SHEENS,
  light: [...LIGHTFASTNESS, 'not known'],
  stock: ['in stock', 'low', 'used up', 'not counted'],
}

/** Every facet with how many paints each value would show; several values of one facet are alternatives. */
export function Facets({
  filter,
  counts,
  onPick,
}: {
  filter: PaintFilter
  counts: Readonly<Record<FacetKey, readonly FacetCount[]>>
  onPick: (key: FacetKey, picks: string[]) => void
}) {
  return (
    <div className={styles.facets} aria-label="Filters" role="group">
      {FACETS.map(([key, title]) =>
        counts[key].length ? (
          <Facet key={key} id={key} title={title} counts={counts[key]} picks={picksOf(filter, key)} onPick={onPick} />
        ) : null,
      )}
    </div>
  )
}

function Facet({
  id,
  title,
  counts,
  picks,
  onPick,
}: {
  id: FacetKey
  title: string
  counts: readonly FacetCount[]
  picks: readonly string[]
  onPick: (key: FacetKey, picks: string[]) => void
}) {
  const [all, setAll] = useState(false)
  const own = OWN_ORDER[id]
  const place = (v: string) => own?.indexOf(v) ?? -1
  const sorted = [...counts].sort((a, b) => (own ? place(a.value) - place(b.value) : b.count - a.count))
  const shown = all ? sorted : sorted.filter((c, i) => i < FIRST || picks.includes(c.value))
  const toggle = (value: string) =>
    onPick(id, picks.includes(value) ? picks.filter((p) => p !== value) : [...picks, value])
  return (
    <details open={OPEN.includes(id) || picks.length > 0}>
      <summary>{title}</summary>
      {shown.map(({ value, count }) => (
        <label key={value} data-none={count === 0 && !picks.includes(value) ? '' : undefined}>
          <input type="checkbox" checked={picks.includes(value)} onChange={() => toggle(value)} />
          <span>{value}</span>
          <i>{count}</i>
        </label>
      ))}
      {sorted.length > shown.length ? (
        <button type="button" className="plain" onClick={() => setAll(true)}>
          {sorted.length - shown.length} more
        </button>
      ) : null}
    </details>
  )
}
