'use client'

import { Input, Select } from 'antd'
import type { ScaleBy } from '@/core/mix/amounts'
import { formatMl } from '@/core/quantity/format'
import type { UnitSystem } from '@/core/quantity/parse'
import type { Material } from '@/db/materials/mixable'
import { QuantityInput } from '@/ui/forms/QuantityInput'
import type { Draft } from './mixDraft'

const WAYS: readonly { value: ScaleBy['by']; label: string }[] = [
  { value: 'total', label: 'to a total' },
  { value: 'ingredient', label: 'from one ingredient' },
  { value: 'left', label: 'from all that is left of one' },
  { value: 'cups', label: 'to a number of cups' },
]

/** How much is mixed: a total, what one ingredient gives, what is left of it, or so many cups. */
export function ScalePanel({
  draft,
  change,
  materials,
  units,
}: {
  draft: Draft
  change: (d: Partial<Draft>) => void
  materials: Material[]
  units: UnitSystem
}) {
  const inIt = [...draft.paints, ...draft.mediums, { id: draft.waterId }].flatMap(
    (r) => materials.find((m) => m.id === r.id) ?? [],
  )
  const from = materials.find((m) => m.id === draft.scaleId)
  const byOne = draft.scaleBy === 'ingredient' || draft.scaleBy === 'left'
  return (
    <>
      <div className="two pair">
        <label className="field tight">
          <span>Mix</span>
          <Select<ScaleBy['by']>
            size="large"
            aria-label="How the amount is found"
            value={draft.scaleBy}
            className="wide"
            popupMatchSelectWidth={false}
            onChange={(scaleBy) =>
              change({ scaleBy, scaleText: '', scaleId: draft.scaleId || draft.paints[0]?.id || '' })
            }
            options={[...WAYS]}
          />
        </label>
        {draft.scaleBy === 'total' ? (
          <label className="field tight">
            <span>Total to mix</span>
            <QuantityInput
              label="Total to mix"
              value={draft.total}
              onChange={(total) => change({ total })}
              system={units}
              size="large"
            />
          </label>
        ) : null}
        {draft.scaleBy === 'cups' ? (
          <>
            <label className="field tight">
              <span>Cups</span>
              <Input
                size="large"
                value={draft.scaleText}
                placeholder="6"
                inputMode="decimal"
                onChange={(e) => change({ scaleText: e.target.value })}
              />
            </label>
            <label className="field tight">
              <span>One cup holds</span>
              <QuantityInput
                label="One cup holds"
                value={draft.cupSize}
                onChange={(cupSize) => change({ cupSize })}
                system={units}
                size="large"
                placeholder="90 ml"
              />
            </label>
          </>
        ) : null}
        {byOne ? (
          <label className="field tight">
            <span>Of</span>
            <Select
              size="large"
              aria-label="The ingredient it is scaled from"
              value={draft.scaleId || undefined}
              placeholder="choose"
              className="wide"
              popupMatchSelectWidth={false}
              onChange={(scaleId: string) => change({ scaleId })}
              options={inIt.map((m) => ({ value: m.id, label: m.name }))}
            />
          </label>
        ) : null}
        {draft.scaleBy === 'ingredient' ? (
          <label className="field tight">
            <span>So much of it</span>
            <Input
              size="large"
              value={draft.scaleText}
              placeholder="60 ml, 64 g"
              onChange={(e) => change({ scaleText: e.target.value })}
            />
          </label>
        ) : null}
      </div>
      {draft.scaleBy === 'left' && from ? (
        <p className="muted">
          {from.onHandUl === null
            ? `Nobody has counted ${from.name}.`
            : `${formatMl(from.onHandUl)} of ${from.name} are left.`}
        </p>
      ) : null}
    </>
  )
}
