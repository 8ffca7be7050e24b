'use client'

import { Button, Input, Select } from 'antd'
import { ONE_RATIO_SCHOOLS } from '@/core/mix/schools'
import { THINNER_FACTS } from '@/core/mix/thinners'
import { type UnitSystem } from '@/core/quantity/parse'
import type { Material } from '@/db/catalogue'
import { Chip } from '@/ui/Drawdown'
import { QuantityInput } from '@/ui/QuantityInput'
import { type Draft, type MixView } from './mixDraft'

/** What goes in: total, ratio, colour formula, mediums and water. */
export function RecipePanel({
  draft,
  change,
  view,
  materials,
  units,
}: {
  draft: Draft
  change: (d: Partial<Draft>) => void
  view: MixView
  materials: Material[]
  units: UnitSystem
}) {
  const paints = materials.filter((m) => m.kind === 'paint')
  const mediums = materials.filter((m) => m.kind === 'medium' || m.kind === 'additive')
  const waters = materials.filter((m) => m.kind === 'water')
  const thinner = waters.find((m) => m.id === draft.waterId)?.thinner
  const keeps = thinner ? THINNER_FACTS[thinner].keeps : ''
  return (
    <section className="panel" aria-label="Recipe">
      <label className="field" style={{ marginBottom: 4 }}>
        <span>Total to mix</span>
        <QuantityInput
          label="Total to mix"
          value={draft.total}
          onChange={(total) => change({ total })}
          system={units}
          size="large"
        />
      </label>
      <div className="two" style={{ gap: '0 14px', gridTemplateColumns: '1fr 1fr' }}>
        <label className="field">
          <span>Medium : paint</span>
          <Input
            value={draft.ratio}
            placeholder={`${view.houseRatio} by body`}
            onChange={(e) => change({ ratio: e.target.value })}
          />
        </label>
        <label className="field">
          <span>School</span>
          <Select
            aria-label="School of mixing"
            value=""
            style={{ width: '100%' }}
            popupMatchSelectWidth={false}
            onChange={(v: string) => change({ ratio: v === 'body' ? '' : v })}
            options={[
              { value: '', label: draft.ratio ? 'own ratio' : 'by body' },
              { value: 'body', label: `By body, ${view.houseRatio}` },
              ...ONE_RATIO_SCHOOLS.map((s) => ({ value: `${s.medium} : ${s.paint}`, label: s.name })),
            ].filter((o, i, all) => all.findIndex((p) => p.value === o.value) === i)}
          />
        </label>
      </div>
      <div className="head" style={{ marginBottom: 8 }}>
        <h2 style={{ margin: 0, marginRight: 'auto' }}>Colour formula</h2>
        {view.hex ? (
          <span className="chipline">
            <Chip hex={view.hex} size={44} />
            <span className="muted">mixed, an estimate</span>
          </span>
        ) : null}
      </div>
      <Rows rows={draft.paints} options={paints} what="paint" onChange={(rows) => change({ paints: rows })} />
      <h2 style={{ marginTop: 16 }}>Medium</h2>
      <Rows
        rows={draft.mediums}
        options={mediums}
        what="medium"
        most={3}
        onChange={(rows) => change({ mediums: rows })}
      />
      {mediums.length === 0 ? (
        <p className="muted">There is no medium in the drawer yet. Add one under Paints, Mediums.</p>
      ) : null}
      <div className="two" style={{ gap: '0 14px', marginTop: 12 }}>
        <label className="field">
          <span>Water, in the same parts</span>
          <Input
            value={draft.waterParts}
            placeholder="0"
            inputMode="decimal"
            onChange={(e) => change({ waterParts: e.target.value })}
          />
        </label>
        <label className="field">
          <span>Kind of water</span>
          <Select
            aria-label="Kind of water"
            value={draft.waterId}
            style={{ width: '100%' }}
            onChange={(v: string) => change({ waterId: v })}
            options={waters.map(choice)}
          />
          {keeps ? <small className="muted">the mix keeps {keeps}</small> : null}
        </label>
      </div>
    </section>
  )
}

function choice(m: Material) {
  return { value: m.id, label: m.maker ? `${m.name} · ${m.maker}` : m.name }
}

function Rows({
  rows,
  options,
  what,
  most = 12,
  onChange,
}: {
  rows: Draft['paints']
  options: Material[]
  what: 'paint' | 'medium'
  most?: number
  onChange: (rows: Draft['paints']) => void
}) {
  const set = (i: number, part: Partial<{ id: string; parts: string }>) =>
    onChange(rows.map((r, k) => (k === i ? { ...r, ...part } : r)))
  return (
    <>
      {rows.map((r, i) => {
        const m = options.find((o) => o.id === r.id)
        return (
          <div className="row" key={i}>
            {what === 'paint' ? <Chip hex={m?.hex ?? null} sheen={m?.sheen ?? 'satin'} /> : null}
            <span className="grow">
              <Select
                showSearch
                optionFilterProp="label"
                aria-label={`Choose a ${what}`}
                placeholder={`Choose a ${what}`}
                value={r.id || undefined}
                style={{ width: '100%' }}
                popupMatchSelectWidth={false}
                onChange={(id: string) => set(i, { id })}
                options={options.map(choice)}
              />
            </span>
            <Input
              aria-label={`Parts of ${m?.name ?? what}`}
              style={{ width: 74 }}
              value={r.parts}
              inputMode="decimal"
              onChange={(e) => set(i, { parts: e.target.value })}
            />
            <Button
              aria-label={`Leave out ${m?.name ?? what}`}
              onClick={() => onChange(rows.filter((_, k) => k !== i))}
            >
              ×
            </Button>
          </div>
        )
      })}
      {rows.length < most ? (
        <Button onClick={() => onChange([...rows, { id: '', parts: '1' }])}>
          {rows.length ? 'And another' : `Add a ${what}`}
        </Button>
      ) : (
        <p className="muted">
          {what === 'medium' ? 'Three are the most: beyond that each medium’s effect is lost.' : 'Twelve are the most.'}
        </p>
      )}
    </>
  )
}
