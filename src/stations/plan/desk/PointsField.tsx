'use client'

import { Input } from '@/ui/forms/still'
import { useState } from 'react'
import { MM_PER_INCH } from '@/core/quantity/units'
import type { UnitSystem } from '@/core/quantity/parse'
import type { Point } from '@/core/surface/polygon'

/** A way over the surface as it is typed: places right and down of the middle, `-10 0, 10 0`; undefined where it is none. */
export function readPoints(typed: string, units: UnitSystem): Point[] | undefined {
  const unit = units === 'us' ? MM_PER_INCH : 10
  const points = typed
    .split(/[,;]+/)
    .filter((p) => p.trim())
    .map((p) => p.trim().split(/\s+/).map(Number))
  if (points.some((p) => p.length !== 2 || !p.every(Number.isFinite))) return undefined
  return points.map(([x, y]) => [Math.round(x! * unit), Math.round(y! * unit)])
}

const textOf = (points: readonly Point[], units: UnitSystem) => {
  const unit = units === 'us' ? MM_PER_INCH : 10
  return points.map((p) => p.map((x) => Number((x / unit).toFixed(1))).join(' ')).join(', ')
}

/** The typed twin of what is drawn on the surface. */
export function PointsField({
  label,
  points,
  units,
  onChange,
}: {
  /** What the places are of. */
  label: string
  points: readonly Point[]
  units: UnitSystem
  onChange: (points: Point[]) => void
}) {
  const [typed, setTyped] = useState(() => textOf(points, units))
  const read = readPoints(typed, units)
  return (
    <label className="field">
      <span>
        {label}, {units === 'us' ? 'in' : 'cm'} from the middle
      </span>
      <Input
        value={typed}
        placeholder="-15 0, 15 0"
        {...(read ? {} : { status: 'error' as const })}
        onChange={(e) => setTyped(e.target.value)}
        onBlur={() => read && textOf(read, units) !== textOf(points, units) && onChange(read)}
      />
      {read ? null : (
        <small className="muted">Type places to the right and down of the middle, like -15 0, 15 0.</small>
      )}
    </label>
  )
}
