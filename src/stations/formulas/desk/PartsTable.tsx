'use client'

import { Button, Input, Segmented, Select } from 'antd'
import { isStrong } from '@/core/mix/inSteps'
import { formatMl } from '@/core/quantity/format'
import type { Material } from '@/db/materials/mixable'
import { Chip } from '@/ui/pictures/Drawdown'
import { UNITS, type DeskView, type Row, type Unit } from './deskDraft'
import styles from './desk.module.css'

/** The paints of a formula with their amounts, in one unit for all, and what a drop of each does. */
export function PartsTable({
  rows,
  unit,
  view,
  paints,
  onRows,
  onUnit,
}: {
  rows: readonly Row[]
  unit: Unit
  view: DeskView
  paints: readonly Material[]
  onRows: (rows: Row[]) => void
  onUnit: (unit: Unit) => void
}) {
  const set = (i: number, part: Partial<Row>) => onRows(rows.map((r, k) => (k === i ? { ...r, ...part } : r)))
  const total = view.used.reduce((s, u) => s + u.parts, 0)
  return (
    <>
      <Segmented
        block
        options={[...UNITS]}
        value={unit}
        onChange={onUnit}
        aria-label="Unit of the amounts"
        className="apart"
      />
      {rows.map((r, i) => {
        const material = paints.find((p) => p.id === r.id)
        const at = view.used.findIndex((u) => u.material.id === r.id)
        const used = view.used[at]
        const strong =
          used && view.prediction && isStrong({ id: r.id, parts: used.parts, pull: view.prediction.pull[at]! }, total)
        return (
          <div className={styles.part} key={i}>
            <Chip hex={material?.hex ?? null} sheen={material?.sheen ?? 'satin'} size={34} />
            <Select
              showSearch
              optionFilterProp="label"
              aria-label="Choose a paint"
              placeholder="Choose a paint"
              value={r.id || undefined}
              className="wide"
              popupMatchSelectWidth={false}
              onChange={(id: string) => set(i, { id })}
              options={paints.map((p) => ({ value: p.id, label: p.name, maker: p.maker }))}
              optionRender={(o) => (
                <>
                  {o.label} <small className="muted">{String(o.data.maker)}</small>
                </>
              )}
            />
            <Input
              aria-label={`Amount of ${material?.name ?? 'paint'}`}
              className="num"
              value={r.amount}
              inputMode="decimal"
              onChange={(e) => set(i, { amount: e.target.value })}
            />
            <Button
              aria-label={`Leave ${material?.name ?? 'it'} out`}
              onClick={() => onRows(rows.filter((_, k) => k !== i))}
            >
              ×
            </Button>
            {used ? (
              <small className={`muted ${styles.partNote}`}>
                {(100 * used.share).toFixed(used.share < 0.1 ? 1 : 0)} % · {formatMl(used.ul)} ·{' '}
                {used.oneDrop >= 0.05
                  ? `one drop more: ΔE ${used.oneDrop.toFixed(1)}`
                  : `one ml more: ΔE ${used.oneMl.toFixed(used.oneMl < 0.1 ? 2 : 1)}`}
                {strong ? <b> · strong: add in steps</b> : null}
              </small>
            ) : null}
          </div>
        )
      })}
      <Button onClick={() => onRows([...rows, { id: '', amount: '1' }])}>
        {rows.length ? 'And another' : 'Add a paint'}
      </Button>
    </>
  )
}
