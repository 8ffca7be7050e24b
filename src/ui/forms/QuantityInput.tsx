'use client'

import { Input } from 'antd'
import { FikaError } from '@/core/errors'
import { formatFlOz, formatGrams, formatMl, massMg } from '@/core/quantity/format'
import { parseVolumeUl, type UnitSystem } from '@/core/quantity/parse'

/** Reads what is typed: µl, an error sentence, or neither while it is empty. */
export function readVolume(text: string, system: UnitSystem): { ul?: number; error?: string } {
  if (text.trim() === '') return {}
  try {
    return { ul: parseVolumeUl(text, system) }
  } catch (error) {
    if (error instanceof FikaError) return { error: error.message }
    throw error
  }
}

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
}: {
  value: string
  onChange: (text: string) => void
  label: string
  system: UnitSystem
  densityGPerMl?: number
  placeholder?: string
  size?: 'middle' | 'large'
  compact?: boolean
}) {
  const read = readVolume(value, system)
  const also =
    read.ul === undefined
      ? ''
      : [formatMl(read.ul), formatFlOz(read.ul), densityGPerMl ? formatGrams(massMg(read.ul, densityGPerMl)) : '']
          .filter(Boolean)
          .join(' · ')
  return (
    <>
      <Input
        size={size}
        value={value}
        onChange={(e) => onChange(e.target.value)}
        aria-label={label}
        aria-invalid={read.error ? true : undefined}
        {...(read.error ? { status: 'error' as const } : {})}
        placeholder={placeholder ?? (system === 'us' ? '2 fl oz' : '60 ml')}
        autoComplete="off"
      />
      {compact && !read.error ? null : (
        <small className="muted" style={{ display: 'block', minHeight: 20 }} aria-live="polite">
          {read.error ?? also}
        </small>
      )}
    </>
  )
}
