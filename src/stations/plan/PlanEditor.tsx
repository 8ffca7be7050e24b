'use client'

import { Button, Input } from 'antd'
import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { useMemo, useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { offsText } from '@/core/colour/sureWords'
import { techniqueOf } from '@/core/technique/techniques'
import { needs, APART_USES } from '@/core/plan/amounts'
import { wordsOnPlan, type MakersWord } from '@/core/plan/makersWord'
import { formatFlOz, formatMl } from '@/core/quantity/format'
import { formatMoney } from '@/core/quantity/money'
import { type UnitSystem } from '@/core/quantity/parse'
import { meanColour } from '@/core/colour/meanColour'
import type { PlanWithParts } from '@/db/plans/read'
import { LAYER_WET_MM } from '@/core/surface/coverage'
import type { StockedSurface } from '@/db/surfaces/read'
import { Cup } from '@/ui/pictures/Cup'
import { Chip } from '@/ui/pictures/Drawdown'
import { Notice } from '@/ui/frame/Notice'
import { useSend } from '@/ui/hooks/useSend'
import { dropPlanAction, savePlanAction } from './actions'
import { readAll, startFields, type Fields } from './planDraft'
import { SurfacePanel } from './SurfacePanel'
import { ApartRow } from './ApartRow'
import { BottleSelect } from './BottleSelect'
import { NeedPanel } from './NeedPanel'
import type { PricedBottle } from './pricedBottle'
import styles from './plan.module.css'

/** A plan: the surface to scale, the cup in cross-section, what each bottle gives, what is short, what it costs. */
export function PlanEditor({
  plan,
  bottles,
  chosen,
  units,
  currency,
  surfaces,
  word,
}: {
  word: MakersWord
  surfaces: readonly StockedSurface[]
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
  const said = wordsOnPlan(
    reading.parts.flatMap((p) => {
      const b = byId.get(p.vesselId)
      if (!b) return []
      const parts = b.recipe.paints.reduce((sum, m) => sum + m.parts, 0)
      const paints = b.recipe.paints.map((m) => ({ id: m.materialId, share: m.parts / parts }))
      return [{ use: p.use, label: b.label, role: b.role, paints }]
    }),
    word,
  )
  const layers = reading.parts
    .filter((p) => p.use === 'cup')
    .map((p) => ({
      id: p.vesselId,
      ul: p.ul,
      hex: byId.get(p.vesselId)?.hex ?? '#ddd',
      label: byId.get(p.vesselId)?.label ?? '',
    }))
  const offs = offsText(f.cup.flatMap((r) => byId.get(r.vesselId) ?? []))
  const pourHex = meanColour(layers.map((l) => ({ hex: l.hex, amount: l.ul })))
  const wanted = techniqueOf(f.technique)?.levelTimeS
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
          onClick={() => save((saved) => void (plan || router.push(`/plan/${saved}`)))}
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
        className={styles.planGrid}
      >
        <SurfacePanel f={f} change={change} reading={reading} units={units} colours={layers} surfaces={surfaces} />
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
                    className="w70"
                    value={row.parts}
                    onChange={(e) => set({ parts: e.target.value })}
                  />
                  <span className="num w70">{ul ? formatMl(ul) : ''}</span>
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
            {offs ? <p className="muted after">{offs}</p> : null}
            {said.map((w) => (
              <Notice key={w.text} kind={w.against ? 'warning' : 'note'}>
                {w.text}
              </Notice>
            ))}
            {bottles.length === 0 ? <p className="muted">The rack is empty. Mix a bottle first.</p> : null}
          </section>
          <section className="panel" aria-label="Apart from the cup">
            <h2>Apart from the cup</h2>
            <p className="muted">
              Amounts offered: a wet film of{' '}
              {APART_USES.map((use) => `${LAYER_WET_MM[use]} mm for the ${use}`).join(', ')}. Start values of Fika.
            </p>
            {APART_USES.map((use) => (
              <ApartRow
                key={use}
                use={use}
                value={f.apart[use]}
                bottles={bottles}
                surface={reading.surface}
                pourHex={pourHex}
                onChange={(v) => change({ apart: { ...f.apart, [use]: v } })}
              />
            ))}
          </section>
        </div>
        <div className="grid">
          <Cup layers={layers} fullUl={Math.max(reading.cup * 1.1, 1)} height={280} />
          <div className="centred">
            <div className="big louder" data-testid="cup-ml" data-ul={reading.cup}>
              {formatMl(reading.cup)}
            </div>
            <div className="muted">{formatFlOz(reading.cup)} in the cup</div>
          </div>
          <div className="panel" style={{ padding: 14 }}>
            <div className="sum">{formatMoney(paintCost + surfaceCost, currency)}</div>
            <div className="muted close">paint and surface</div>
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
      <div className="two below">
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
          <p className="muted under">
            {wanted ? `Wanted for this technique: level again in ${wanted[0]} – ${wanted[1]} s. ` : ''}Check each bottle
            before pouring; mixes thicken.
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
