'use client'

import { Select } from 'antd'
import { barsAdditive } from '@/core/vessel/additives'
import { formatMl } from '@/core/quantity/format'
import type { PlanUse } from '@/core/plan/amounts'
import type { PricedBottle } from './pricedBottle'

/** Chooses a bottle by name, with what it holds beside it; what may not be used so is shown and cannot be chosen. */
export function BottleSelect({
  bottles,
  value,
  label,
  use = 'cup',
  onChange,
}: {
  bottles: PricedBottle[]
  value: string
  label: string
  use?: PlanUse
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
      options={bottles.map((b) => {
        const barred = b.hasAdditive && barsAdditive(use) !== undefined
        return {
          value: b.id,
          label: `${b.label} · ${formatMl(b.ul)}${b.hasAdditive ? ` · holds an additive${barred ? `, so no ${use}` : ''}` : ''}`,
          disabled: barred,
        }
      })}
    />
  )
}
