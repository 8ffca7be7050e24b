'use client'

import { Button, Input, Select } from 'antd'
import { useState } from 'react'
import { blend, BLEND_WARNING, EFFECTS, standIns, type EffectProfile } from '@/core/mix/mediumEffects'
import { parseNumber } from '@/core/quantity/number'
import { formatMoney } from '@/core/quantity/money'
import { Notice } from '@/ui/frame/Notice'
import { EffectChart } from './EffectChart'
import styles from './mediums.module.css'

export interface DeskMedium {
  readonly id: string
  readonly name: string
  readonly effects: EffectProfile
  readonly densityGPerMl: number
  readonly solids: number
  /** Minor units per ml; null where no price is known. */
  readonly perMl: number | null
}

/** Blends two or three mediums and shows what comes out; or finds a blend that stands in for one. */
export function BlendDesk({ mediums, currency }: { mediums: readonly DeskMedium[]; currency: string }) {
  const [parts, setParts] = useState<{ id: string; parts: string }[]>(() =>
    mediums.slice(0, 2).map((m, i) => ({ id: m.id, parts: i === 0 ? '2' : '1' })),
  )
  const [missing, setMissing] = useState<string>()
  const byId = new Map(mediums.map((m) => [m.id, m]))
  const used = parts.map((p) => ({ ...byId.get(p.id)!, parts: parseNumber(p.parts) ?? 0 }))
  const mixed = used.some((u) => u.parts > 0) ? blend(used) : undefined
  const wanted = missing ? byId.get(missing) : undefined
  const others = mediums.filter((m) => m.id !== missing)
  const set = (i: number, change: Partial<{ id: string; parts: string }>) =>
    setParts(parts.map((p, k) => (k === i ? { ...p, ...change } : p)))
  const imitate = (found: readonly { index: number; parts: number }[]) =>
    setParts(found.map((f) => ({ id: others[f.index]!.id, parts: String(f.parts) })))
  const options = mediums.map((m) => ({ value: m.id, label: m.name }))
  return (
    <div className="two">
      <section className="panel" aria-label="Blend">
        <h2>Blend mediums</h2>
        {parts.map((p, i) => (
          <div className="row" key={i}>
            <Select
              className="grow"
              aria-label={`Medium ${i + 1}`}
              value={p.id}
              options={options}
              onChange={(id) => set(i, { id })}
            />
            <Input
              aria-label={`Parts of medium ${i + 1}`}
              value={p.parts}
              inputMode="decimal"
              className="w90"
              onChange={(e) => set(i, { parts: e.target.value })}
            />
            <Button onClick={() => setParts(parts.filter((_, k) => k !== i))} aria-label={`Leave out medium ${i + 1}`}>
              ×
            </Button>
          </div>
        ))}
        <Button
          onClick={() =>
            setParts([...parts, { id: mediums[Math.min(parts.length, mediums.length - 1)]!.id, parts: '1' }])
          }
        >
          And another
        </Button>
        {mixed ? (
          <div className="under" data-testid="blend">
            {mixed.tooMany ? <Notice kind="warning">{BLEND_WARNING}</Notice> : null}
            <EffectChart effects={mixed.effects} {...(wanted ? { over: wanted.effects } : {})} label="The blend" />
            {wanted ? <p className="muted">Outline: {wanted.name}.</p> : null}
            <dl className="facts">
              <dt>Density</dt>
              <dd>{mixed.densityGPerMl.toFixed(3)} g/ml</dd>
              <dt>Solids</dt>
              <dd>{Math.round(mixed.solids * 100)} % by volume</dd>
              <dt>Costs</dt>
              <dd>
                {mixed.perMl === null
                  ? 'one of them has no price yet'
                  : `${formatMoney(mixed.perMl, currency, 3)} a ml`}
              </dd>
            </dl>
          </div>
        ) : null}
      </section>
      <section className="panel" aria-label="Stand-ins">
        <h2>Stand in for one you cannot get</h2>
        <Select
          aria-label="Medium you cannot get"
          placeholder="Choose the medium"
          value={missing}
          options={options}
          onChange={setMissing}
          allowClear
          className="wide"
        />
        {wanted ? (
          <ul className={styles.standIns} data-testid="stand-ins">
            {standIns(
              wanted.effects,
              others.map((o) => o.effects),
            ).map((s) => {
              const far = EFFECTS.map((name, i) => ({ name, by: Math.abs(s.effects[i]! - wanted.effects[i]!) }))
                .sort((a, b) => b.by - a.by)
                .filter((f) => f.by >= 0.5)
                .slice(0, 2)
              return (
                <li key={s.parts.map((p) => p.index).join()}>
                  <b>{Math.round(s.nearness * 100)} % alike</b>
                  <span>{s.parts.map((p) => `${others[p.index]!.name} ${p.parts}`).join(' : ')}</span>
                  <small className="muted">
                    {far.length ? `differs most in ${far.map((f) => f.name).join(' and ')}` : 'differs in nothing much'}
                  </small>
                  <Button onClick={() => imitate(s.parts)}>Try it</Button>
                </li>
              )
            })}
          </ul>
        ) : (
          <p className="muted under">
            Fika looks through blends of up to three others for the profile that comes nearest.
          </p>
        )}
      </section>
    </div>
  )
}
