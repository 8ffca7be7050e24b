'use client'

import { Select } from 'antd'
import { formatMl } from '@/core/quantity/format'
import type { PricedBottle } from './pricedBottle'

/** Chooses a bottle by name, with what it holds beside it. */
export function BottleSelect({
  bottles,
  value,
  label,
  onChange,
}: {
  bottles: PricedBottle[]
  value: string
  label: string
  onChange: (id: string) => void
}) {
  return (
    <Select
      showSearch
      allowClear={value !== ''}
      optionFilterProp="label"
      aria-label={label}
      placeholder="Choose a bottle"
      value={value || undefined}
      className="wide"
      popupMatchSelectWidth={false}
      onChange={(v?: string) => onChange(v ?? '')}
      options={bottles.map((b) => ({ value: b.id, label: `${b.label} · ${formatMl(b.ul)}` }))}
    />
  )
}
