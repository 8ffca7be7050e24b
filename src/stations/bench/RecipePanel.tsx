'use client'

import { Button, Input, Select } from 'antd'
import { applySchool } from '@/core/mix/houseRules'
import type { School } from '@/core/mix/schools'
import { THINNER_FACTS } from '@/core/mix/thinners'
import { type UnitSystem } from '@/core/quantity/parse'
import type { Material } from '@/db/materials/mixable'
import { Chip } from '@/ui/pictures/Drawdown'
import { useState } from 'react'
import { ScalePanel } from './ScalePanel'
import { type Draft, type MixView } from './mixDraft'
import styles from './bench.module.css'

/** What goes in: total, ratio, colour formula, mediums and water. */
export function RecipePanel({
  draft,
  change,
  view,
  materials,
  units,
  schools,
}: {
  draft: Draft
  change: (d: Partial<Draft>) => void
  view: MixView
  materials: Material[]
  units: UnitSystem
  schools: School[]
}) {
  const paints = materials.filter((m) => m.kind === 'paint')
  const mediums = materials.filter((m) => m.kind === 'medium')
  const additives = materials.filter((m) => m.kind === 'additive' || (m.kind === 'medium' && !m.inBottle))
  const [school, setSchool] = useState<School>()
  const take = (key: string) => {
    const chosen = schools.find((s) => s.key === key)
    setSchool(chosen)
    if (!chosen) return change({ ratio: '' })
    const applied = applySchool(chosen, mediums)
    change({
      mediums: applied.mediums.length
        ? applied.mediums.map((m) => ({ id: m.id, parts: String(m.parts) }))
        : draft.mediums,
      ratio: applied.paint ? `${applied.medium} : ${applied.paint}` : '',
      waterParts: applied.water ? String(applied.water) : '',
      steps: [...chosen.steps],
    })
  }
  const missing = school ? applySchool(school, mediums).missing : []
  const waters = materials.filter((m) => m.kind === 'water')
  const thinner = waters.find((m) => m.id === draft.waterId)?.thinner
  const keeps = thinner ? THINNER_FACTS[thinner].keeps : ''
  return (
    <section className="panel" aria-label="Recipe">
      <ScalePanel draft={draft} change={change} materials={materials} units={units} />
      <div className="two pair">
        <label className="field">
          <span>Medium : paint</span>
          <Input
            value={draft.ratio}
            placeholder={`${view.houseRatio} ${view.houseFrom}`}
            onChange={(e) => change({ ratio: e.target.value })}
          />
        </label>
        <label className="field">
          <span>School</span>
          <Select
            aria-label="School of mixing"
            value={school?.key ?? (draft.ratio ? 'own' : 'body')}
            className="wide"
            popupMatchSelectWidth={false}
            onChange={take}
            options={[
              { value: 'body', label: `By body, ${view.houseRatio}` },
              ...(draft.ratio && !school ? [{ value: 'own', label: 'own ratio' }] : []),
              ...schools.map((s) => ({ value: s.key, label: s.name })),
            ]}
          />
        </label>
      </div>
      {missing.length ? <p className="muted">Not in the drawer: {missing.join(', ')}. The rest is taken.</p> : null}
      {draft.steps.length ? (
        <ol className={styles.saidSteps}>
          {draft.steps.map((s) => (
            <li key={s}>{s}</li>
          ))}
        </ol>
      ) : null}
      <div className="head close">
        <h2 className="flush push">Colour formula</h2>
        {view.colour ? <Chip hex={view.colour.hex} size={44} /> : null}
      </div>
      {view.colour ? (
        <p className="muted flush-top">
          Mixed: {view.colour.how} ΔE00.{view.colour.next ? ` ${view.colour.next}` : ''}
        </p>
      ) : null}
      <Rows rows={draft.paints} options={paints} what="paint" onChange={(rows) => change({ paints: rows })} />
      <h2 className="below">Medium</h2>
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
      <div className="two columns under">
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
            className="wide"
            onChange={(v: string) => change({ waterId: v })}
            options={waters.map(choice)}
          />
          {keeps ? <small className="muted">the mix keeps {keeps}</small> : null}
        </label>
      </div>
      <details className="helper" open={draft.drops.length > 0}>
        <summary>Additives by the drop, and steps</summary>
        <p className="muted">
          Drops for each 100 ml. Silicone: one or two for 90 ml; keep it off the bare surface and off base coats, and
          clean it before varnish or resin.
        </p>
        <Rows
          rows={draft.drops}
          options={additives}
          what="additive"
          most={6}
          onChange={(rows) => change({ drops: rows })}
        />
        <label className="field under">
          <span>Steps, one a line</span>
          <Input.TextArea
            rows={3}
            value={draft.steps.join('\n')}
            onChange={(e) => change({ steps: e.target.value.split('\n').slice(0, 12) })}
          />
        </label>
      </details>
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
  what: 'paint' | 'medium' | 'additive'
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
                aria-label={`Choose ${what === 'additive' ? 'an' : 'a'} ${what}`}
                placeholder={`Choose ${what === 'additive' ? 'an' : 'a'} ${what}`}
                value={r.id || undefined}
                className="wide"
                popupMatchSelectWidth={false}
                onChange={(id: string) => set(i, { id })}
                options={options.map(choice)}
              />
            </span>
            <Input
              aria-label={`Parts of ${m?.name ?? what}`}
              className="w90"
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
          {rows.length ? 'And another' : `Add ${what === 'additive' ? 'an' : 'a'} ${what}`}
        </Button>
      ) : (
        <p className="muted">
          {what === 'medium' ? 'Three are the most: beyond that each medium’s effect is lost.' : 'That is the most.'}
        </p>
      )}
    </>
  )
}
