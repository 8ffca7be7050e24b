'use client'

import { Button, Checkbox, Input, Select } from 'antd'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { REST_HOURS } from '@/core/mix/schools'
import { flagAgainst } from '@/core/paint/flags'
import { needsPigmentCare } from '@/core/paint/pigments'
import { formatMl } from '@/core/quantity/format'
import { formatMoney } from '@/core/quantity/money'
import type { UnitSystem } from '@/core/quantity/parse'
import { parseNumber } from '@/core/quantity/number'
import type { Material } from '@/db/materials/mixable'
import { Notice } from '@/ui/frame/Notice'
import { useSend } from '@/ui/hooks/useSend'
import { bookMixAction } from './actions'
import { readBottle, untypedBottle, usualSizeUl } from './bottleDraft'
import { BottleFields } from './BottleFields'
import { type Draft, type MixView } from './mixDraft'
import type { BenchStart } from './start'

/** Into which bottle, with which cautions; books the mix. */
export function BookPanel({
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
  const [typed, setTyped] = useState(() => untypedBottle(start.label, start.role))
  const set = (part: Partial<typeof typed>) => setTyped((t) => ({ ...t, ...part }))
  const [untracked, setUntracked] = useState(false)
  const [vesselId, setVesselId] = useState(() => uuidv7())
  const [unreadable, setUnreadable] = useState<string>()
  const { send, pending, refusal } = useSend<{ id: string }>()
  const router = useRouter()

  const avoided = draft.paints.flatMap((p) => {
    const paint = byId.get(p.id)
    const says = paint && flagAgainst(paint.flags, typed.role)
    return says ? [`${paint.name}: ${says}.`] : []
  })
  const badLots = [...new Set(view.lines.map((l) => l.material))].flatMap((m) =>
    m.badLot
      ? [`A container of ${m.name} in use is flagged as bad: ${m.badLot}. Try it on card, or take another.`]
      : [],
  )
  const careful = view.lines.some((l) => needsPigmentCare(l.material.pigments))
  const usualUl = usualSizeUl(view.totalUl)

  const book = () => {
    setUnreadable(undefined)
    const bottle = readBottle(typed, units)
    if (!bottle.value || view.problems.length) return setUnreadable(bottle.sentence ?? view.problems[0])
    if (!view.recipe) return setUnreadable('Choose a paint or a medium, and a total, first.')
    const { paints, paintParts, mediums, water } = view.recipe
    const input = {
      vesselId: into === 'top-up' && start.topUp ? start.topUp.id : vesselId,
      into,
      ...bottle.value,
      capacityUl: bottle.value.capacityUl ?? Math.max(usualUl, view.totalUl),
      paints,
      paintParts,
      mediums,
      water: water ?? null,
      drops: view.drops,
      poured: view.lines.map((l) => ({
        materialId: l.materialId,
        ul: l.pouredUl === undefined ? l.targetUl : Math.max(l.pouredUl, 0),
      })),
      untrackedForRest: untracked,
      // Only while its paints are still those of the formula.
      formula:
        start.formula && JSON.stringify(draft.paints) === JSON.stringify(start.draft.paints)
          ? { id: start.formula.id, version: start.formula.version }
          : null,
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
            className="wide"
            onChange={(v: 'new' | 'top-up') => setInto(v)}
            options={[
              { value: 'top-up', label: `Top up ${start.topUp.label}` },
              { value: 'new', label: 'A new bottle' },
            ]}
          />
        </label>
      ) : null}
      <div className="two columns">
        {into === 'new' ? (
          <BottleFields typed={typed} onChange={set} usualSize={formatMl(usualUl)} />
        ) : (
          <label className="field">
            <span>Rest, hours</span>
            <Input value={typed.rest} inputMode="decimal" onChange={(e) => set({ rest: e.target.value })} />
          </label>
        )}
        <div className="field" style={{ alignSelf: 'end', marginBottom: 12 }}>
          <span className="muted">Costs</span>
          <div className="sum">
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
      {parseNumber(typed.rest) !== undefined && parseNumber(typed.rest)! < REST_HOURS.minimum ? (
        <p>Two hours are the bare minimum; bubbles that stay become pinholes.</p>
      ) : null}
      {view.cost.unpricedUl > 0 ? (
        <p className="muted">{formatMl(view.cost.unpricedUl)} have no price yet and are not in the sum.</p>
      ) : null}
      {[...avoided, ...badLots].map((a) => (
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
      <Button type="primary" size="large" block className="under" loading={pending} onClick={book}>
        {into === 'top-up' ? `Book the top-up` : 'Book the bottle'}
      </Button>
    </section>
  )
}
