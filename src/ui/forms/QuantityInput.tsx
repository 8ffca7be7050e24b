'use client'

import { Input } from 'antd'
import { formatFlOz, formatGrams, formatMl, massMg } from '@/core/quantity/format'
import { parseVolumeUl, type UnitSystem } from '@/core/quantity/parse'
import { readTypedIfAny, type Typed } from '@/core/quantity/typed'

/** Reads a volume as it is typed, µl. */
export const readVolume = (text: string, system: UnitSystem, dropUl?: number): Typed<number | undefined> =>
  readTypedIfAny(text, (t) => parseVolumeUl(t, system, dropUl))

/** A volume typed in any unit, with its other readings beside it while typing. */
export function QuantityInput({
  value,
  onChange,
  label,
  system,
  densityGPerMl,
  placeholder,
  size = 'middle',
  compact = false,
  dropUl,
}: {
  value: string
  onChange: (text: string) => void
  label: string
  system: UnitSystem
  densityGPerMl?: number
  placeholder?: string
  size?: 'middle' | 'large'
  compact?: boolean
  /** Volume of a drop of what is typed; a drop of water where nothing is said, µl. */
  dropUl?: number
}) {
  const read = readVolume(value, system, dropUl)
  const also =
    read.value === undefined
      ? ''
      : [
          formatMl(read.value),
          formatFlOz(read.value),
          densityGPerMl ? formatGrams(massMg(read.value, densityGPerMl)) : '',
        ]
          .filter(Boolean)
          .join(' · ')
  return (
    <>
      <Input
        size={size}
        value={value}
        onChange={(e) => onChange(e.target.value)}
        aria-label={label}
        aria-invalid={read.sentence ? true : undefined}
        {...(read.sentence ? { status: 'error' as const } : {})}
        placeholder={placeholder ?? (system === 'us' ? '2 fl oz' : '60 ml')}
        autoComplete="off"
      />
      {compact && !read.sentence ? null : (
        <small className="muted" style={{ display: 'block', minHeight: 20 }} aria-live="polite">
          {read.sentence ?? also}
        </small>
      )}
    </>
  )
}
