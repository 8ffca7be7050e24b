'use client'

import { Select } from '@/ui/forms/still'
import { useMemo } from 'react'
import { formatMl } from '@/core/quantity/format'
import { barsAdditive } from '@/core/vessel/additives'
import { sourceKey, type Of } from '@/core/plan/design'
import type { PlanUse } from '@/core/plan/uses'
import type { DeskColour } from './workOut'

const GROUPS = [
  ['bottle', 'On the rack'],
  ['formula', 'Formulas, still to be mixed'],
  ['recipe', 'Recipes, still to be mixed'],
] as const

/** Chooses what a layer or coat is made of: a bottle, or a formula or recipe that is still to be mixed. */
export function SourceSelect({
  colours,
  value,
  label,
  use,
  onChange,
}: {
  colours: ReadonlyMap<string, DeskColour>
  value: Of | null
  label: string
  use: PlanUse
  onChange: (of: Of | null) => void
}) {
  const options = useMemo(() => optionsOf(colours, use), [colours, use])
  const gone = value && !colours.has(sourceKey(value)) ? [{ value: sourceKey(value), label: 'emptied since' }] : []
  return (
    <Select
      showSearch={{ optionFilterProp: 'label' }}
      allowClear={value !== null}
      aria-label={label}
      placeholder="Leave it open, or choose"
      value={value ? sourceKey(value) : undefined}
      className="wide"
      popupMatchSelectWidth={false}
      onChange={(key?: string) => onChange(key ? (colours.get(key)?.of ?? value) : null)}
      options={[...gone, ...options]}
    />
  )
}

function optionsOf(colours: ReadonlyMap<string, DeskColour>, use: PlanUse) {
  const all = [...colours.values()]
  return GROUPS.map(([kind, title]) => ({
    label: title,
    options: all
      .filter((c) => c.of.kind === kind)
      .map((c) => {
        const barred = c.bottle?.hasAdditive && barsAdditive(use) !== undefined
        const holds = c.bottle
          ? ` · ${formatMl(c.bottle.ul)}${c.bottle.hasAdditive ? ` · holds an additive${barred ? `, so no ${use}` : ''}` : ''}`
          : ''
        return { value: sourceKey(c.of), label: `${c.label}${holds}`, disabled: Boolean(barred) }
      }),
  })).filter((g) => g.options.length > 0)
}
