'use client'

import { Input } from 'antd'
import { areas, type Surface } from '@/core/surface/area'
import { LAYER_WET_MM, layerUl } from '@/core/surface/coverage'
import { suitsAsBase } from '@/core/vessel/suitsAsBase'
import { formatMl } from '@/core/quantity/format'
import { Chip } from '@/ui/pictures/Drawdown'
import type { ApartUse } from '@/core/plan/amounts'
import { BottleSelect } from './BottleSelect'
import type { PricedBottle } from './pricedBottle'

/** One thing planned apart from the cup; a usual amount for the surface is offered. */
export function ApartRow({
  use,
  value,
  bottles,
  surface,
  pourHex,
  onChange,
}: {
  use: ApartUse
  value: { vesselId: string; amount: string }
  bottles: PricedBottle[]
  surface: Surface | undefined
  /** Mean colour of the cup, for what may lie under it. */
  pourHex: string | undefined
  onChange: (v: { vesselId: string; amount: string }) => void
}) {
  const area = surface && areas(surface)
  const usual = area
    ? `${Math.max(5, Math.round(layerUl(area.faceMm2 + area.edgesMm2, LAYER_WET_MM[use]) / 5000) * 5)} ml`
    : ''
  const jars =
    use === 'base coat' && pourHex && !value.vesselId
      ? bottles
          .flatMap((b) => (b.isJar && b.hex && !b.hasAdditive ? [{ b, ...suitsAsBase(b.hex, pourHex) }] : []))
          .filter((j) => j.suits)
      : []
  return (
    <>
      <div className="row">
        <span className="w90">{use[0]!.toUpperCase() + use.slice(1)}</span>
        <span className="grow">
          <BottleSelect
            bottles={bottles}
            value={value.vesselId}
            use={use}
            label={`Bottle for the ${use}`}
            onChange={(vesselId) => onChange({ vesselId, amount: vesselId ? value.amount || usual : '' })}
          />
        </span>
        <Input
          aria-label={`Amount of ${use}`}
          className="w120"
          value={value.amount}
          placeholder={usual}
          onChange={(e) => onChange({ ...value, amount: e.target.value })}
        />
      </div>
      {jars.slice(0, 2).map(({ b, why }) => (
        <p key={b.id} className="chipline" style={{ margin: '0 0 8px 92px' }}>
          <Chip hex={b.hex} />
          <span className="grow">
            {b.label}, {formatMl(b.ul)}: {why}.{' '}
            <button type="button" className="plain" onClick={() => onChange({ vesselId: b.id, amount: usual })}>
              Take it
            </button>
          </span>
        </p>
      ))}
    </>
  )
}
