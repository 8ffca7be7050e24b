'use client'

import { Checkbox, Input, Select } from '@/ui/forms/still'
import { formatMoney } from '@/core/quantity/money'
import { FINISHES } from '@/core/plan/finish'
import { LOOKS } from '@/core/consistency/wanted'
import type { Technique } from '@/core/technique/technique'
import { Notice } from '@/ui/frame/Notice'
import type { Draft } from './draft'
import type { Worked } from './workOut'

/** What the plan costs and leaves of its price, the film it leaves, and how it is finished. */
export function MoneyPanel({
  draft,
  worked,
  technique,
  currency,
  change,
}: {
  draft: Draft
  worked: Worked | undefined
  technique: Technique
  currency: string
  change: (part: Partial<Draft>) => void
}) {
  const m = worked?.money
  const money = (minor: number | undefined) => formatMoney(minor ?? 0, currency)
  return (
    <section className="panel" aria-label="Money and film">
      <h2>Money and film</h2>
      <dl className="facts">
        <dt>Paint</dt>
        <dd className="num">{money(m?.paint)}</dd>
        <dt>Surfaces</dt>
        <dd className="num">{money(m?.surfaces)}</dd>
        <dt>Finish, disposables</dt>
        <dd className="num">{money((m?.finish ?? 0) + (m?.disposables ?? 0))}</dd>
        {m && m.returned > 0 ? (
          <>
            <dt>Back into the jar</dt>
            <dd className="num">− {money(m.returned)}</dd>
          </>
        ) : null}
        <dt>
          <b>In all</b>
        </dt>
        <dd className="num" data-testid="plan-cost">
          <b>{money(m?.total)}</b>
        </dd>
        {m && m.pieces > 1 ? (
          <>
            <dt>Each of {m.pieces}</dt>
            <dd className="num">{money(m.each)}</dd>
          </>
        ) : null}
        {m && m.left !== null ? (
          <>
            <dt>{m.left < 0 ? 'Above its price by' : 'Left of its price'}</dt>
            <dd className="num">
              <b>{money(Math.abs(m.left))}</b>
            </dd>
          </>
        ) : null}
      </dl>
      {worked ? <Film worked={worked} runOff={technique.runOffShare} /> : null}
      <div className="two columns">
        <label className="field">
          <span>Finish</span>
          <Select
            aria-label="Finish"
            className="wide"
            value={draft.finish}
            onChange={(finish) => change({ finish })}
            options={FINISHES.map((value) => ({ value, label: value }))}
          />
        </label>
        <label className="field">
          <span>Wanted look</span>
          <Select
            aria-label="Wanted look"
            className="wide"
            value={draft.look}
            onChange={(look) => change({ look })}
            options={LOOKS.map((value) => ({ value, label: value }))}
          />
        </label>
        <label className="field">
          <span>Price of the finish</span>
          <Input
            value={draft.finishPrice}
            placeholder="2.50"
            onChange={(e) => change({ finishPrice: e.target.value })}
          />
        </label>
        <label className="field">
          <span>Gloves, sheets, cups</span>
          <Input
            value={draft.disposables}
            placeholder="1.00"
            onChange={(e) => change({ disposables: e.target.value })}
          />
        </label>
        <label className="field">
          <span>Run-off saved, %</span>
          <Input value={draft.saved} onChange={(e) => change({ saved: e.target.value })} />
        </label>
        <div className="field">
          <span>Accents</span>
          <Checkbox
            className="big-check"
            checked={draft.accents}
            onChange={(e) => change({ accents: e.target.checked })}
          >
            after drying
          </Checkbox>
        </div>
      </div>
      {draft.finish === 'resin' ? (
        <Notice>
          Resin by its data sheet: gloves, air, mixed by weight as it says, on a piece that is dry through and clean.
          Follow product labels, local codes and licensed practice.
        </Notice>
      ) : null}
    </section>
  )
}

function Film({ worked, runOff }: { worked: Worked; runOff: number }) {
  const { film, crack } = worked
  const percent = Math.round(crack.risk * 100)
  const dry = Math.round(film.wetMm * film.solids * 1000)
  return (
    <p className="fine">
      Film left about <b>{film.wetMm.toFixed(2)} mm</b> wet, {dry} µm dry ({Math.round(runOff * 100)} % run off).{' '}
      <b>
        Cracks in about {percent} of 100
        {percent > 10 ? `: under ${crack.safeMm.toFixed(1)} mm keeps it below one in ten` : ''}.
      </b>{' '}
      <span className="muted">
        {crack.pieces > 0
          ? `From ${crack.pieces} of your dry pieces and start values of Fika.`
          : 'Start values of Fika.'}
      </span>
    </p>
  )
}
