'use client'

import { Button, Checkbox, Input, Select } from 'antd'
import { useRouter } from 'next/navigation'
import { useMemo, useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { ONE_RATIO_SCHOOLS, REST_HOURS } from '@/core/mix/schools'
import { WATER_SCHOOLS, type WaterSchool } from '@/core/mix/waterLimit'
import { needsPigmentCare, ROLES, type Role } from '@/core/paint/properties'
import { formatFlOz, formatGrams, formatMl, massMg } from '@/core/quantity/format'
import { formatMoney } from '@/core/quantity/money'
import { parseMassMg, type UnitSystem } from '@/core/quantity/parse'
import { parseNumber } from '@/core/quantity/number'
import type { Material } from '@/db/catalogue'
import { Cup } from '@/ui/Cup'
import { Chip } from '@/ui/Drawdown'
import { Notice } from '@/ui/Notice'
import { BenchProviders } from '@/ui/Providers'
import { QuantityInput, readVolume } from '@/ui/QuantityInput'
import { useSend } from '@/ui/useSend'
import { bookMixAction } from './actions'
import { viewOf, type Draft, type MixView } from './mixDraft'

export interface BenchStart {
  readonly draft: Draft
  readonly label: string
  readonly role: Role
  /** A bottle the mix can go into instead of a new one. */
  readonly topUp?: { readonly id: string; readonly label: string }
}

const SIZES = [60, 120, 240, 355, 480, 1000]
const CLEAR = '#e9e9e4'

/** The bench: what goes in, how much of it, what was really poured, and into which bottle. */
export function Bench({
  materials,
  start,
  units,
  school,
  currency,
}: {
  materials: Material[]
  start: BenchStart
  units: UnitSystem
  school: WaterSchool
  currency: string
}) {
  const byId = useMemo(() => new Map(materials.map((m) => [m.id, m])), [materials])
  const [draft, setDraft] = useState(start.draft)
  const change = (part: Partial<Draft>) => setDraft((d) => ({ ...d, ...part }))
  const view = useMemo(() => viewOf(draft, byId, units, school), [draft, byId, units, school])
  const layers = view.lines.map((l) => ({
    id: l.materialId,
    label: l.material.name,
    ul: l.pouredUl ?? l.targetUl,
    hex: l.material.hex ?? (l.kind === 'water' ? '#cfd3d3' : CLEAR),
  }))
  const planned = view.totalUl - view.extraUl
  return (
    <BenchProviders>
      <div className="head">
        <h1>
          Bench <span className="sub">measure, mix, book</span>
        </h1>
        <button
          type="button"
          className="go second"
          data-key="n"
          onClick={() => setDraft({ ...start.draft, paints: [], mediums: [], poured: {}, waterParts: '' })}
        >
          Start over
        </button>
      </div>
      <div className="bench">
        <RecipePanel draft={draft} change={change} view={view} materials={materials} units={units} />
        <div className="bench-cup">
          <Cup layers={layers} fullUl={Math.max(view.totalUl * 1.12, 1)} markUl={planned} dark height={330} />
          <div style={{ textAlign: 'center', marginTop: 10 }}>
            <div className="big" data-testid="total-ml">
              {formatMl(view.totalUl)}
            </div>
            <div className="muted" style={{ fontSize: '1.2rem' }}>
              {formatFlOz(view.totalUl)}
            </div>
          </div>
          {view.water ? <WaterMeter view={view} /> : null}
        </div>
        <div className="grid">
          <AmountsPanel draft={draft} change={change} view={view} />
          <BookPanel draft={draft} view={view} start={start} byId={byId} units={units} currency={currency} />
        </div>
      </div>
    </BenchProviders>
  )
}

function choice(m: Material) {
  return { value: m.id, label: m.maker ? `${m.name} · ${m.maker}` : m.name }
}

function RecipePanel({
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
        </label>
      </div>
    </section>
  )
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

function AmountsPanel({ draft, change, view }: { draft: Draft; change: (d: Partial<Draft>) => void; view: MixView }) {
  if (view.lines.length === 0)
    return (
      <section className="panel">
        <h2>Amounts</h2>
        <p className="muted">Choose a paint, a medium and a total; the amounts appear here.</p>
        {view.problems.map((p) => (
          <Notice key={p} kind="warning">
            {p}
          </Notice>
        ))}
      </section>
    )
  return (
    <section className="panel" aria-label="Amounts">
      <table className="sheet">
        <thead>
          <tr>
            <th>Pour</th>
            <th className="num">ml</th>
            <th className="num">fl oz</th>
            <th className="num">g</th>
            <th style={{ width: 120 }}>Really poured</th>
          </tr>
        </thead>
        <tbody>
          {view.lines.map((l) => {
            const more = l.pouredUl === undefined ? 0 : l.targetUl - l.pouredUl
            return (
              <tr key={l.materialId} data-testid="amount">
                <td>
                  {l.material.name}
                  {more > 0 ? <b style={{ display: 'block' }}>add {formatMl(more)}</b> : null}
                </td>
                <td className="num" style={{ fontSize: '1.25rem', fontWeight: 600 }} title={`${l.targetUl} µl`}>
                  {bare(formatMl(l.targetUl))}
                </td>
                <td className="num">{bare(formatFlOz(l.targetUl))}</td>
                <td className="num">{bare(formatGrams(massMg(l.targetUl, l.material.densityGPerMl)))}</td>
                <td>
                  <Input
                    aria-label={`Really poured: ${l.material.name}`}
                    placeholder="as planned"
                    value={draft.poured[l.materialId] ?? ''}
                    onChange={(e) => change({ poured: { ...draft.poured, [l.materialId]: e.target.value } })}
                  />
                </td>
              </tr>
            )
          })}
        </tbody>
      </table>
      {view.extraUl > 0 ? (
        <div style={{ marginTop: 10 }}>
          <Notice kind="note">
            To keep the ratio, pour the rest to the new amounts: the batch becomes {formatMl(view.extraUl)} more,{' '}
            {formatMl(view.totalUl)} in all.
          </Notice>
        </div>
      ) : null}
      <p className="muted" style={{ margin: '8px 0 0', fontSize: '0.9rem' }}>
        “Really poured” takes ml, fl oz or g. A scale set to fl oz assumes water: on the scale, use grams.
      </p>
      {view.problems.map((p) => (
        <Notice key={p} kind="warning">
          {p}
        </Notice>
      ))}
    </section>
  )
}

const bare = (text: string) => text.replace(/\u00a0.*$/, '')

function WaterMeter({ view }: { view: MixView }) {
  const water = view.water!
  const byBinder = water.school === 'binder'
  const span = byBinder ? 0.4 : water.limit * 2
  const at = (x: number) => `${Math.min(100, (x / span) * 100)}%`
  return (
    <div style={{ marginTop: 18 }}>
      <h3>{byBinder ? 'Binder' : 'Water'}</h3>
      <div className="meter" title={`${WATER_SCHOOLS[water.school].name}; ${water.source}`}>
        <i style={{ width: at(Math.min(water.value, span)) }} />
        <b style={{ left: at(water.limit) }} />
      </div>
      {water.within ? (
        <p className="muted" style={{ marginTop: 6, fontSize: '0.92rem' }}>
          {water.sentence} Room for {formatMl(water.roomUl)} of water.
        </p>
      ) : (
        <div style={{ marginTop: 8 }}>
          <Notice kind="warning">{water.sentence}</Notice>
        </div>
      )}
    </div>
  )
}

function BookPanel({
  draft,
  view,
  start,
  byId,
  units,
  currency,
}: {
  draft: Draft
  view: MixView
  start: BenchStart
  byId: Map<string, Material>
  units: UnitSystem
  currency: string
}) {
  const [into, setInto] = useState<'new' | 'top-up'>(start.topUp ? 'top-up' : 'new')
  const [label, setLabel] = useState(start.label)
  const [role, setRole] = useState<Role>(start.role)
  const [capacity, setCapacity] = useState('')
  const [tare, setTare] = useState('')
  const [rest, setRest] = useState(String(REST_HOURS.usual))
  const [untracked, setUntracked] = useState(false)
  const [vesselId, setVesselId] = useState(() => uuidv7())
  const [unreadable, setUnreadable] = useState<string>()
  const { send, pending, refusal } = useSend<{ id: string }>()
  const router = useRouter()

  const avoided = draft.paints.flatMap((p) => {
    const hit = byId.get(p.id)?.avoid.find((a) => a.role === role)
    return hit ? [`${byId.get(p.id)!.name}: avoid as ${role}${hit.reason ? `, ${hit.reason}` : ''}.`] : []
  })
  const careful = view.lines.some((l) => needsPigmentCare(l.material.pigments))
  const usualSize = SIZES.find((s) => s * 1000 >= view.totalUl) ?? 1000

  const book = () => {
    setUnreadable(undefined)
    const size = readVolume(capacity.trim() || `${usualSize} ml`, units)
    const restHours = parseNumber(rest)
    if (size.error || view.problems.length) return setUnreadable(size.error ?? view.problems[0])
    if (!view.recipe) return setUnreadable('Choose a paint or a medium, and a total, first.')
    let tareMg: number | null = null
    try {
      tareMg = tare.trim() ? parseMassMg(tare, units) : null
    } catch (error) {
      return setUnreadable((error as Error).message)
    }
    const { paints, paintParts, mediums, water } = view.recipe
    const input = {
      vesselId: into === 'top-up' && start.topUp ? start.topUp.id : vesselId,
      into,
      label,
      role,
      paints,
      paintParts,
      mediums,
      water: water ?? null,
      poured: view.lines.map((l) => ({
        materialId: l.materialId,
        ul: l.pouredUl === undefined ? l.targetUl : Math.max(l.pouredUl, 0),
      })),
      capacityUl: Math.max(size.ul!, capacity.trim() ? 0 : view.totalUl),
      tareMg,
      restHours,
      untrackedForRest: untracked,
    }
    send(
      (requestId) => bookMixAction({ ...input, requestId }),
      ({ id }) => {
        setVesselId(uuidv7())
        router.push(`/rack/${id}`)
      },
      into === 'top-up' ? 'Topped up' : 'Bottle booked',
    )
  }
  return (
    <section className="panel" aria-label="Bottle">
      {start.topUp ? (
        <label className="field">
          <span>Into</span>
          <Select
            aria-label="Into which bottle"
            value={into}
            style={{ width: '100%' }}
            onChange={(v: 'new' | 'top-up') => setInto(v)}
            options={[
              { value: 'top-up', label: `Top up ${start.topUp.label}` },
              { value: 'new', label: 'A new bottle' },
            ]}
          />
        </label>
      ) : null}
      <div className="two" style={{ gap: '0 14px' }}>
        {into === 'new' ? (
          <>
            <label className="field">
              <span>Name of the bottle</span>
              <Input value={label} maxLength={120} onChange={(e) => setLabel(e.target.value)} />
            </label>
            <label className="field">
              <span>Role</span>
              <Select
                aria-label="Role"
                value={role}
                style={{ width: '100%' }}
                onChange={(v: Role) => setRole(v)}
                options={ROLES.map((r) => ({ value: r, label: r }))}
              />
            </label>
            <label className="field">
              <span>Bottle holds</span>
              <Input value={capacity} placeholder={`${usualSize} ml`} onChange={(e) => setCapacity(e.target.value)} />
            </label>
            <label className="field">
              <span>Empty bottle weighs</span>
              <Input value={tare} placeholder="28 g, if known" onChange={(e) => setTare(e.target.value)} />
            </label>
          </>
        ) : null}
        <label className="field">
          <span>Rest, hours</span>
          <Input value={rest} inputMode="decimal" onChange={(e) => setRest(e.target.value)} />
        </label>
        <div className="field" style={{ alignSelf: 'end', marginBottom: 12 }}>
          <span className="muted">Costs</span>
          <div style={{ fontSize: '1.3rem', fontWeight: 650 }}>
            {formatMoney(view.cost.minor, currency)}
            {view.totalUl > 0 ? (
              <small className="muted">
                {' '}
                · {formatMoney((view.cost.minor * 1000) / view.totalUl, currency, 3)} a ml
              </small>
            ) : null}
          </div>
        </div>
      </div>
      {parseNumber(rest) !== undefined && parseNumber(rest)! < REST_HOURS.minimum ? (
        <p>Two hours are the bare minimum; bubbles that stay become pinholes.</p>
      ) : null}
      {view.cost.unpricedUl > 0 ? (
        <p className="muted">{formatMl(view.cost.unpricedUl)} have no price yet and are not in the sum.</p>
      ) : null}
      {avoided.map((a) => (
        <Notice key={a} kind="warning">
          {a}
        </Notice>
      ))}
      {careful ? (
        <Notice kind="warning">
          A pigment here is harmful as dust. Gloves on; never sand or spray it. Follow the label, local codes and
          licensed practice.
        </Notice>
      ) : null}
      {view.short.length ? (
        <Notice kind="warning">
          Counted containers are short:{' '}
          {view.short.map((s) => `${s.material.name} by ${formatMl(s.lackUl)}`).join(', ')}.
          <br />
          <Checkbox checked={untracked} onChange={(e) => setUntracked(e.target.checked)}>
            Book the rest from untracked supply
          </Checkbox>
        </Notice>
      ) : null}
      {unreadable || refusal ? <Notice kind="warning">{unreadable ?? refusal?.message}</Notice> : null}
      <Button type="primary" size="large" block style={{ marginTop: 12 }} loading={pending} onClick={book}>
        {into === 'top-up' ? `Book the top-up` : 'Book the bottle'}
      </Button>
    </section>
  )
}
