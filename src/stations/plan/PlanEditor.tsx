'use client'

import { Button, Input, InputNumber, Segmented, Select } from 'antd'
import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { useMemo, useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { TECHNIQUES, technique as techniqueOf } from '@/core/consistency/techniques'
import { FikaError, Invalid } from '@/core/errors'
import { needs, planParts, type PlanPart } from '@/core/plan/amounts'
import { formatFlOz, formatMl, formatVolume } from '@/core/quantity/format'
import { formatMoney, parseMoneyMinor } from '@/core/quantity/money'
import { parseNumber } from '@/core/quantity/number'
import { parseAmount, parseVolumeUl, type UnitSystem } from '@/core/quantity/parse'
import { formatSize, parseSize } from '@/core/quantity/size'
import { areas, type Surface } from '@/core/surface/area'
import { COVERAGE_SOURCE, cupUl, LAYER_WET_MM, layerUl } from '@/core/surface/coverage'
import type { Bottle } from '@/db/bottles'
import type { PlanWithParts } from '@/db/plans'
import { Cup } from '@/ui/Cup'
import { Chip } from '@/ui/Drawdown'
import { Notice } from '@/ui/Notice'
import { SurfacePicture } from '@/ui/SurfacePicture'
import { useSend } from '@/ui/useSend'
import { dropPlanAction, savePlanAction } from './actions'
import { coverageOf, surfaceOf } from './shapes'
import type { PlanInput } from './schema'

export interface PricedBottle extends Bottle {
  /** Minor units of a ml. */
  readonly costPerMl: number
}

const APART = ['base coat', 'slip coat', 'reserve'] as const
type Apart = (typeof APART)[number]

interface Fields {
  title: string
  technique: string
  shape: 'rectangle' | 'round'
  size: string
  edge: string
  count: number
  school: 'rule-of-28' | 'film'
  wet: string
  runOff: string
  surfaceCost: string
  cup: { vesselId: string; parts: string }[]
  apart: Record<Apart, { vesselId: string; amount: string }>
  notes: string
}

function startFields(plan: PlanWithParts | undefined, chosen: readonly string[], us: boolean): Fields {
  const none = { vesselId: '', amount: '' }
  const apart = { 'base coat': none, 'slip coat': none, reserve: none }
  if (!plan)
    return {
      title: '',
      technique: 'straight',
      shape: 'rectangle',
      size: us ? '16 x 20 in' : '40 x 50 cm',
      edge: us ? '0.75 in' : '2 cm',
      count: 1,
      school: 'rule-of-28',
      wet: '1.2',
      runOff: '25',
      surfaceCost: '',
      cup: chosen.map((vesselId) => ({ vesselId, parts: '1' })),
      apart,
      notes: '',
    }
  const { surface: s, coverage: c } = plan
  for (const p of plan.parts) if (p.use !== 'cup') apart[p.use] = { vesselId: p.vesselId, amount: `${p.ul / 1000} ml` }
  return {
    title: plan.title,
    technique: plan.technique,
    shape: s.shape,
    size: s.shape === 'round' ? `${s.diameterMm / 10} cm` : formatSize(s, us ? 'us' : 'metric'),
    edge: `${s.edgeMm / 10} cm`,
    count: s.count,
    school: c.kind,
    wet: c.kind === 'film' ? String(c.wetMm) : '1.2',
    runOff: c.kind === 'film' ? String(c.runOffShare * 100) : '25',
    surfaceCost: plan.surfaceCostMinor ? (plan.surfaceCostMinor / 100).toFixed(2) : '',
    cup: plan.parts.filter((p) => p.use === 'cup').map((p) => ({ vesselId: p.vesselId, parts: String(p.parts) })),
    apart,
    notes: plan.notes,
  }
}

/** What the server takes. @throws FikaError with a sentence for what cannot be read */
function read(id: string, f: Fields, units: UnitSystem): PlanInput {
  const number = (text: string, what: string) => {
    const value = parseNumber(text)
    if (value === undefined) throw new Invalid(`“${text}” is not a number for ${what}.`)
    return value
  }
  const size = f.shape === 'rectangle' ? parseSize(f.size, units) : { lengthMm: 0, widthMm: 0 }
  return {
    id,
    title: f.title,
    technique: f.technique,
    surface: {
      shape: f.shape,
      ...size,
      diameterMm: f.shape === 'round' ? parseAmount(f.size, 'length', units) : 0,
      edgeMm: f.edge.trim() ? parseAmount(f.edge, 'length', units) : 0,
      count: f.count,
    },
    coverage: {
      kind: f.school,
      wetMm: number(f.wet, 'the wet film'),
      runOffShare: number(f.runOff, 'the run-off') / 100,
    },
    surfaceCostMinor: f.surfaceCost.trim() ? parseMoneyMinor(f.surfaceCost) : 0,
    cup: f.cup
      .filter((c) => c.vesselId)
      .map((c) => ({ vesselId: c.vesselId, parts: c.parts.trim() ? number(c.parts, 'a share') : 0 })),
    apart: APART.filter((use) => f.apart[use].vesselId && f.apart[use].amount.trim()).map((use) => ({
      use,
      vesselId: f.apart[use].vesselId,
      ul: parseVolumeUl(f.apart[use].amount, units),
    })),
    notes: f.notes,
  }
}

interface Reading {
  readonly input?: PlanInput
  readonly surface?: Surface
  readonly cup: number
  readonly parts: PlanPart[]
  readonly problem?: string
}

function readAll(id: string, f: Fields, units: UnitSystem): Reading {
  try {
    const input = read(id, f, units)
    const surface = surfaceOf(input.surface)
    const cup = cupUl(surface, coverageOf(input.coverage))
    return { input, surface, cup, parts: planParts(cup, input.cup, input.apart) }
  } catch (error) {
    if (!(error instanceof FikaError)) throw error
    return { cup: 0, parts: [], problem: error.message }
  }
}

/** A plan: the surface to scale, the cup in cross-section, what each bottle gives, what is short, what it costs. */
export function PlanEditor({
  plan,
  bottles,
  chosen,
  units,
  currency,
}: {
  plan?: PlanWithParts
  bottles: PricedBottle[]
  chosen: readonly string[]
  units: UnitSystem
  currency: string
}) {
  const [id] = useState(() => plan?.id ?? uuidv7())
  const [f, setF] = useState(() => startFields(plan, chosen, units === 'us'))
  const change = (part: Partial<Fields>) => setF((before) => ({ ...before, ...part }))
  const reading = useMemo(() => readAll(id, f, units), [id, f, units])
  const byId = useMemo(() => new Map(bottles.map((b) => [b.id, b])), [bottles])
  const { send, pending, refusal } = useSend<{ id: string } | null>()
  const [tried, setTried] = useState(false)
  const router = useRouter()

  const need = needs(reading.parts, new Map(bottles.map((b) => [b.id, b.ul])))
  const paintCost = reading.parts.reduce((sum, p) => sum + (p.ul / 1000) * (byId.get(p.vesselId)?.costPerMl ?? 0), 0)
  const surfaceCost = reading.input?.surfaceCostMinor ?? 0
  const layers = reading.parts
    .filter((p) => p.use === 'cup')
    .map((p) => ({
      id: p.vesselId,
      ul: p.ul,
      hex: byId.get(p.vesselId)?.hex ?? '#ddd',
      label: byId.get(p.vesselId)?.label ?? '',
    }))
  const wanted = techniqueOf(f.technique).levelTimeS
  const poured = Boolean(plan?.pouredAt)
  const save = (then: (id: string) => void) => {
    setTried(true)
    if (!reading.input) return
    send(
      () => savePlanAction(reading.input),
      (saved) => saved && then(saved.id),
      'Plan saved',
    )
  }
  return (
    <>
      <div className="head">
        <h1>{plan ? plan.title : 'New plan'}</h1>
        {plan && !poured ? (
          <Button
            onClick={() =>
              send(
                () => dropPlanAction({ id }),
                () => router.push('/plan'),
                'Put away',
              )
            }
          >
            Put away
          </Button>
        ) : null}
        {poured ? <b>Poured already</b> : null}
        <Button
          disabled={poured}
          loading={pending}
          onClick={() => save((saved) => (plan ? router.refresh() : router.push(`/plan/${saved}`)))}
        >
          Save
        </Button>
        <Button
          type="primary"
          size="large"
          disabled={poured}
          loading={pending}
          onClick={() => save((saved) => router.push(`/pour/${saved}`))}
        >
          Save, then pour
        </Button>
      </div>
      {(tried && reading.problem) || refusal ? (
        <Notice kind="warning">{refusal?.message ?? reading.problem}</Notice>
      ) : null}
      <div
        style={{
          display: 'grid',
          gridTemplateColumns: 'minmax(0, 1fr) minmax(0, 1.15fr) 250px',
          gap: 20,
          alignItems: 'start',
          marginTop: 8,
        }}
        className="plan-grid"
      >
        <SurfacePanel f={f} change={change} reading={reading} units={units} colours={layers} />
        <div className="grid">
          <section className="panel" aria-label="Cup">
            <h2>In the cup</h2>
            {f.cup.map((row, i) => {
              const b = byId.get(row.vesselId)
              const set = (part: Partial<{ vesselId: string; parts: string }>) =>
                change({ cup: f.cup.map((r, k) => (k === i ? { ...r, ...part } : r)) })
              const ul = reading.parts.find((p) => p.use === 'cup' && p.vesselId === row.vesselId)?.ul
              return (
                <div className="row" key={i}>
                  <Chip hex={b?.hex ?? null} sheen={b?.sheen ?? 'satin'} />
                  <span className="grow">
                    <BottleSelect
                      bottles={bottles}
                      value={row.vesselId}
                      label="Bottle for the cup"
                      onChange={(vesselId) => set({ vesselId })}
                    />
                  </span>
                  <Input
                    aria-label={`Share of ${b?.label ?? 'bottle'}`}
                    style={{ width: 62 }}
                    value={row.parts}
                    onChange={(e) => set({ parts: e.target.value })}
                  />
                  <span className="num" style={{ width: 66 }}>
                    {ul ? formatMl(ul) : ''}
                  </span>
                  <Button
                    aria-label={`Leave out ${b?.label ?? 'bottle'}`}
                    onClick={() => change({ cup: f.cup.filter((_, k) => k !== i) })}
                  >
                    ×
                  </Button>
                </div>
              )
            })}
            <Button data-testid="add-bottle" onClick={() => change({ cup: [...f.cup, { vesselId: '', parts: '1' }] })}>
              {f.cup.length ? 'And another' : 'Add a bottle'}
            </Button>
            {bottles.length === 0 ? <p className="muted">The rack is empty. Mix a bottle first.</p> : null}
          </section>
          <section className="panel" aria-label="Apart from the cup">
            <h2>Apart from the cup</h2>
            {APART.map((use) => (
              <ApartRow
                key={use}
                use={use}
                value={f.apart[use]}
                bottles={bottles}
                surface={reading.surface}
                onChange={(v) => change({ apart: { ...f.apart, [use]: v } })}
              />
            ))}
          </section>
        </div>
        <div className="grid">
          <Cup layers={layers} fullUl={Math.max(reading.cup * 1.1, 1)} height={280} />
          <div style={{ textAlign: 'center' }}>
            <div className="big" style={{ fontSize: '2.6rem' }} data-testid="cup-ml" data-ul={reading.cup}>
              {formatMl(reading.cup)}
            </div>
            <div className="muted">{formatFlOz(reading.cup)} in the cup</div>
          </div>
          <div className="panel" style={{ padding: 14 }}>
            <div style={{ fontSize: '1.3rem', fontWeight: 650 }}>{formatMoney(paintCost + surfaceCost, currency)}</div>
            <div className="muted" style={{ marginBottom: 8 }}>
              paint and surface
            </div>
            {need.filter((n) => n.shortUl > 0).length === 0 ? (
              <div>{need.length ? 'Every bottle holds enough.' : 'No bottle chosen yet.'}</div>
            ) : (
              need
                .filter((n) => n.shortUl > 0)
                .map((n) => (
                  <Link
                    key={n.vesselId}
                    href={`/bench?like=${n.vesselId}&ul=${n.shortUl}`}
                    style={{ display: 'block', fontWeight: 650, padding: '6px 0' }}
                  >
                    {byId.get(n.vesselId)?.label ?? 'A bottle'} is short by {formatMl(n.shortUl)}: mix it
                  </Link>
                ))
            )}
          </div>
        </div>
      </div>
      <div className="two" style={{ marginTop: 20 }}>
        <NeedPanel need={need} byId={byId} />
        <section className="panel" aria-label="Cost">
          <h2>Cost</h2>
          <dl className="facts">
            <dt>Paint</dt>
            <dd className="num">{formatMoney(paintCost, currency)}</dd>
            <dt>Surface</dt>
            <dd className="num">{formatMoney(surfaceCost, currency)}</dd>
            <dt>
              <b>In all</b>
            </dt>
            <dd className="num" data-testid="plan-cost">
              <b>{formatMoney(paintCost + surfaceCost, currency)}</b>
            </dd>
          </dl>
          <p className="muted" style={{ marginTop: 10 }}>
            Wanted for this technique: level again in {wanted[0]} – {wanted[1]} s. Check each bottle before pouring;
            mixes thicken.
          </p>
          <label className="field">
            <span>Notes</span>
            <Input.TextArea
              rows={2}
              value={f.notes}
              maxLength={4000}
              onChange={(e) => change({ notes: e.target.value })}
            />
          </label>
        </section>
      </div>
    </>
  )
}

function SurfacePanel({
  f,
  change,
  reading,
  units,
  colours,
}: {
  colours: readonly { hex: string; ul: number }[]
  f: Fields
  change: (p: Partial<Fields>) => void
  reading: Reading
  units: UnitSystem
}) {
  return (
    <section className="panel" aria-label="Surface">
      <label className="field">
        <span>Title</span>
        <Input value={f.title} maxLength={120} onChange={(e) => change({ title: e.target.value })} />
      </label>
      <label className="field">
        <span>Technique</span>
        <Select
          aria-label="Technique"
          value={f.technique}
          style={{ width: '100%' }}
          onChange={(technique) => change({ technique })}
          options={TECHNIQUES.map((t) => ({ value: t.key, label: t.name }))}
        />
      </label>
      <Segmented
        block
        value={f.shape}
        onChange={(shape: Fields['shape']) =>
          change({
            shape,
            size:
              shape === 'round' ? (units === 'us' ? '12 in' : '30 cm') : units === 'us' ? '16 x 20 in' : '40 x 50 cm',
          })
        }
        options={[
          { value: 'rectangle', label: 'Rectangle' },
          { value: 'round', label: 'Round' },
        ]}
        style={{ marginBottom: 12 }}
      />
      <div className="two" style={{ gap: '0 12px', gridTemplateColumns: '1.5fr 1fr 0.8fr' }}>
        <label className="field">
          <span>{f.shape === 'round' ? 'Diameter' : 'Size of the face'}</span>
          <Input value={f.size} onChange={(e) => change({ size: e.target.value })} />
        </label>
        <label className="field">
          <span>Edge depth</span>
          <Input value={f.edge} onChange={(e) => change({ edge: e.target.value })} />
        </label>
        <label className="field">
          <span>Pieces</span>
          <InputNumber
            style={{ width: '100%' }}
            min={1}
            max={200}
            value={f.count}
            onChange={(v) => change({ count: v ?? 1 })}
          />
        </label>
      </div>
      {reading.problem ? <Notice kind="warning">{reading.problem}</Notice> : null}
      {reading.surface ? <SurfacePicture surface={reading.surface} colours={colours} /> : null}
      <label className="field" style={{ marginTop: 12 }}>
        <span>How much the cup holds</span>
        <Select
          aria-label="Coverage school"
          value={f.school}
          style={{ width: '100%' }}
          onChange={(school: Fields['school']) => change({ school })}
          options={[
            { value: 'rule-of-28', label: 'Rule of 28: face in² ÷ 28 = fl oz' },
            { value: 'film', label: 'Film: face and edges × wet film' },
          ]}
        />
      </label>
      {f.school === 'film' ? (
        <div className="two" style={{ gap: '0 12px' }}>
          <label className="field">
            <span>Wet film, mm</span>
            <Input value={f.wet} onChange={(e) => change({ wet: e.target.value })} />
          </label>
          <label className="field">
            <span>Run-off, %</span>
            <Input value={f.runOff} onChange={(e) => change({ runOff: e.target.value })} />
          </label>
        </div>
      ) : (
        <p className="muted" style={{ fontSize: '0.9rem' }}>
          Run-off included, edges by habit. {COVERAGE_SOURCE[0]!.toUpperCase() + COVERAGE_SOURCE.slice(1)}.
        </p>
      )}
      <label className="field" style={{ marginBottom: 0 }}>
        <span>Price of the surface, all pieces</span>
        <Input value={f.surfaceCost} placeholder="7.50" onChange={(e) => change({ surfaceCost: e.target.value })} />
      </label>
    </section>
  )
}

function BottleSelect({
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
      style={{ width: '100%' }}
      popupMatchSelectWidth={false}
      onChange={(v?: string) => onChange(v ?? '')}
      options={bottles.map((b) => ({ value: b.id, label: `${b.label} · ${formatMl(b.ul)}` }))}
    />
  )
}

function ApartRow({
  use,
  value,
  bottles,
  surface,
  onChange,
}: {
  use: Apart
  value: { vesselId: string; amount: string }
  bottles: PricedBottle[]
  surface: Surface | undefined
  onChange: (v: { vesselId: string; amount: string }) => void
}) {
  const area = surface && areas(surface)
  const usual = area
    ? `${Math.max(5, Math.round(layerUl(area.faceMm2 + area.edgesMm2, LAYER_WET_MM[use]) / 5000) * 5)} ml`
    : ''
  return (
    <div className="row">
      <span style={{ width: 84 }}>{use[0]!.toUpperCase() + use.slice(1)}</span>
      <span className="grow">
        <BottleSelect
          bottles={bottles}
          value={value.vesselId}
          label={`Bottle for the ${use}`}
          onChange={(vesselId) => onChange({ vesselId, amount: vesselId ? value.amount || usual : '' })}
        />
      </span>
      <Input
        aria-label={`Amount of ${use}`}
        style={{ width: 92 }}
        value={value.amount}
        placeholder={usual}
        onChange={(e) => onChange({ ...value, amount: e.target.value })}
      />
    </div>
  )
}

function NeedPanel({
  need,
  byId,
}: {
  need: { vesselId: string; needUl: number; shortUl: number }[]
  byId: Map<string, PricedBottle>
}) {
  if (need.length === 0)
    return (
      <section className="panel">
        <h2>What each bottle gives</h2>
        <p className="muted">Choose bottles for the cup; what each must give, and what is short, appears here.</p>
      </section>
    )
  return (
    <section className="panel" aria-label="What each bottle gives">
      <h2>What each bottle gives</h2>
      <table className="sheet">
        <thead>
          <tr>
            <th>Bottle</th>
            <th className="num">Needs</th>
            <th className="num">Holds</th>
            <th>Then</th>
          </tr>
        </thead>
        <tbody>
          {need.map(({ vesselId, needUl, shortUl }) => {
            const b = byId.get(vesselId)
            return (
              <tr key={vesselId}>
                <td>
                  <span className="chipline">
                    <Chip hex={b?.hex ?? null} sheen={b?.sheen ?? 'satin'} />
                    {b?.label ?? 'emptied since'}
                  </span>
                </td>
                <td className="num" title={formatVolume(needUl)}>
                  {formatMl(needUl)}
                </td>
                <td className="num">{formatMl(b?.ul ?? 0)}</td>
                <td>
                  {shortUl > 0 ? (
                    <Link href={`/bench?like=${vesselId}&ul=${shortUl}`} data-testid="short">
                      <b>Short by {formatMl(shortUl)}: mix it</b>
                    </Link>
                  ) : (
                    'enough'
                  )}
                </td>
              </tr>
            )
          })}
        </tbody>
      </table>
    </section>
  )
}
