'use client'

import { Button, Input, Segmented } from 'antd'
import { useMemo, useState } from 'react'
import { formatGrams, formatMl } from '@/core/quantity/format'
import { parseMassMg, type UnitSystem } from '@/core/quantity/parse'
import { v7 as uuidv7 } from 'uuid'
import { contentKey } from '@/core/vessel/content'
import { level } from '@/core/vessel/level'
import { readShortCode, shortCode } from '@/core/vessel/shortCode'
import { explain, type Difference } from '@/core/vessel/stocktake'
import type { Loss } from '@/core/vessel/weighIn'
import type { Weight } from '@/db/bottles/stocktake'
import { HandInput } from '@/ui/forms/HandInput'
import { BottleGlyph } from '@/ui/pictures/BottleGlyph'
import { Chip } from '@/ui/pictures/Drawdown'
import { EmptyState, Notice } from '@/ui/frame/Notice'
import { day } from '@/ui/tables/dates'
import { attemptOr } from '@/ui/hooks/useAttempt'
import { useHandKeys } from '@/ui/hooks/useHandKeys'
import { STILL_MOVING } from '@/core/device/settle'
import { useScale } from '@/ui/hooks/useScale'
import { useSend } from '@/ui/hooks/useSend'
import { dropWeightAction, nameLossAction, stocktakeAction, takeWeightAction } from '../actions'
import { RackNav } from '../RackNav'
import type { ToWeigh } from './queries'
import { useWeights } from './useWeights'
import rackStyles from '../rack.module.css'
import stocktakeStyles from './stocktake.module.css'

/** Along the shelf with the scale: bottle after bottle, every difference explained, all of it booked at the end. */
export function Stocktake({
  bottles,
  first,
  units,
  zone,
  today,
}: {
  bottles: ToWeigh[]
  first: readonly Weight[]
  units: UnitSystem
  zone: string
  today: string
}) {
  const { weights, put, name, drop, dropAll } = useWeights(first)
  const [at, setAt] = useState<string>()
  const [typed, setTyped] = useState('')
  const [tare, setTare] = useState('')
  const [code, setCode] = useState('')
  const [trouble, setTrouble] = useState<string>()
  const scale = useScale()
  const { send: keep, pending: keeping, refusal: notKept } = useSend<Weight | void>({ quiet: true })
  const { send: bookAll, pending: booking, refusal: notBooked } = useSend<null>()
  const byId = useMemo(() => new Map(bottles.map((b) => [b.id, b])), [bottles])
  const taken = useMemo(() => new Set(weights.map((w) => w.vesselId)), [weights])
  const lines = weights.flatMap((weight) => {
    const b = byId.get(weight.vesselId)
    return b
      ? [{ bottle: b, weight, changed: weight.heldAs !== contentKey(b.content), difference: differenceOf(b, weight) }]
      : []
  })
  const open = bottles.filter((b) => !taken.has(b.id))
  const bottle = (at && byId.get(at)) || open[0]
  const bookable = lines.filter((l) => !l.changed)
  const unclear = bookable.filter((l) => l.difference.kind === 'unexplained' || l.difference.kind === 'unreadable')

  const go = (id: string | undefined) => {
    setAt(id)
    setTyped('')
    setTare('')
    setTrouble(undefined)
  }
  const take = () => {
    if (!bottle || keeping) return
    attemptOr(setTrouble, () => {
      const tareMg = tare.trim() ? parseMassMg(tare, units) : bottle.tareMg
      if (tareMg === null) return setTrouble('Type what the empty bottle weighs, like 28 g; it is remembered.')
      let grossMg: number
      if (typed.trim()) grossMg = parseMassMg(typed, units)
      else if (!scale.here) return setTrouble(`${scale.why} Or type the weight.`)
      else if (scale.settledG === null) return setTrouble(STILL_MOVING)
      else grossMg = Math.round(scale.settledG * 1000)
      const difference = differenceOf(bottle, { grossMg, tareMg, named: null })
      if (difference.kind === 'unreadable') return setTrouble(difference.sentence)
      const next = open.find((b) => b.id !== bottle.id)?.id
      keep(
        () => takeWeightAction({ requestId: uuidv7(), vesselId: bottle.id, grossMg, tareMg }),
        (weight) => {
          if (weight) put(weight)
          go(next)
        },
      )
    })
  }
  const again = ({ vesselId, requestId }: Weight) =>
    keep(
      () => dropWeightAction({ vesselId, requestId }),
      () => {
        drop(vesselId)
        go(vesselId)
      },
    )
  const last = lines.findLast((l) => l.weight.mine)?.weight
  useHandKeys({ next: take, undo: last ? () => again(last) : undefined })
  const find = () => {
    const body = readShortCode(code)
    const found = bottles.find((b) => b.code === body)
    if (!found) return setTrouble('No bottle on the rack has that code. Read the label again.')
    setCode('')
    go(found.id)
  }
  const book = () => {
    const requestIds = bookable.map((l) => l.weight.requestId)
    bookAll(
      () => stocktakeAction({ requestIds }),
      () => {
        dropAll(requestIds)
        go(undefined)
      },
      'Stocktake booked',
    )
  }
  const explainLoss = ({ vesselId, requestId }: Weight, named: Loss) =>
    keep(
      () => nameLossAction({ vesselId, requestId, named }),
      () => name(requestId, named),
    )
  const refusal = notBooked ?? notKept

  return (
    <>
      <div className="head">
        <h1>
          Stocktake{' '}
          <span className="sub">
            {lines.length} of {bottles.length} weighed
          </span>
        </h1>
        <Button
          type="primary"
          size="large"
          disabled={bookable.length === 0 || unclear.length > 0}
          loading={booking}
          onClick={book}
        >
          Book {bookable.length === 1 ? 'one weight' : `${bookable.length} weights`}
        </Button>
      </div>
      <RackNav here="/rack/stocktake" />
      {refusal ? <Notice kind="warning">{refusal.message}</Notice> : null}
      {bottles.length === 0 ? (
        <EmptyState title="Nothing to weigh">There is no bottle on the rack.</EmptyState>
      ) : (
        <div className={rackStyles.stocktake}>
          <section className={`panel ${stocktakeStyles.stocktakeNow}`} aria-label="To weigh now">
            {bottle ? (
              <>
                <BottleGlyph
                  id={`take-${bottle.id}`}
                  height={210}
                  look={{ hex: bottle.hex, sheen: bottle.sheen, level: level(bottle), jar: bottle.isJar }}
                />
                <div>
                  <h2 style={{ fontSize: '1.7rem', marginBottom: 2 }} data-testid="to-weigh" data-id={bottle.id}>
                    {bottle.label}
                  </h2>
                  <p className="muted flush">
                    {shortCode(bottle.code)} · {formatMl(bottle.ul)} by the books
                  </p>
                  <div className="big between" data-testid="stock-weight">
                    {scale.here && scale.grams !== null ? `${scale.grams.toFixed(1)} g` : '—'}
                  </div>
                  <p className="muted" data-testid="stock-scale" data-settled={scale.settledG ?? ''}>
                    {scale.here
                      ? scale.overload
                        ? 'too heavy: take it off'
                        : scale.settledG === null
                          ? 'moving'
                          : 'steady'
                      : scale.why}
                  </p>
                </div>
                {scale.standIn ? (
                  <button
                    type="button"
                    className="go second"
                    style={{ justifySelf: 'start' }}
                    onClick={() => void scale.ask({ do: 'place', grams: bookedG(bottle) - (scale.grams ?? 0) })}
                  >
                    Set it on the stand-in
                  </button>
                ) : null}
                <div className={stocktakeStyles.stocktakeType}>
                  <label className="field">
                    <span>Or type the weight</span>
                    <HandInput
                      value={typed}
                      placeholder="164 g"
                      aria-label="Weight, typed"
                      onChange={(e) => setTyped(e.target.value)}
                      onEnter={take}
                    />
                  </label>
                  <label className="field">
                    <span>Empty bottle weighs</span>
                    <HandInput
                      value={tare}
                      placeholder={bottle.tareMg === null ? '28 g' : formatGrams(bottle.tareMg)}
                      aria-label="Empty bottle weighs"
                      onChange={(e) => setTare(e.target.value)}
                      onEnter={take}
                    />
                  </label>
                </div>
                {trouble ? <Notice kind="warning">{trouble}</Notice> : null}
                <button type="button" className={`guide-key ${stocktakeStyles.guideTake}`} onClick={take}>
                  Take the weight <kbd>Space</kbd>
                </button>
                <div className="row">
                  <Input
                    value={code}
                    placeholder="Code on the label"
                    aria-label="Code on the label"
                    className="w190"
                    onChange={(e) => setCode(e.target.value)}
                    onPressEnter={find}
                  />
                  <Button onClick={find}>Find it</Button>
                  <Button
                    onClick={() =>
                      go(open[(open.findIndex((b) => b.id === bottle.id) + 1) % Math.max(1, open.length)]?.id)
                    }
                  >
                    Skip it
                  </Button>
                </div>
              </>
            ) : (
              <p>Every bottle is weighed. Book the weights, or weigh one again below.</p>
            )}
          </section>
          <section className="panel" aria-label="Weighed">
            <h2>What was found</h2>
            {lines.length === 0 ? (
              <p className="muted">
                Nothing is corrected until you book it. Weigh a bottle, and what the difference is appears here.
              </p>
            ) : null}
            <table className="sheet">
              <tbody>
                {[...lines].reverse().map(({ bottle: b, weight, changed, difference: d }) => (
                  <tr key={b.id} data-testid="weighed" data-kind={changed ? 'changed' : d.kind}>
                    <td>
                      <b>{b.label}</b>
                      {day(weight.at, zone) === today ? null : (
                        <small className="muted"> weighed {day(weight.at, zone)}</small>
                      )}
                      <br />
                      <small>
                        {changed
                          ? 'Something went in or out since it was weighed. Weigh it again; this weight is not booked.'
                          : d.sentence}
                      </small>
                      {!changed && (d.kind === 'unexplained' || weight.named) ? (
                        <div className="near">
                          <Segmented<Loss | ''>
                            value={weight.named ?? ''}
                            onChange={(v) => v && explainLoss(weight, v)}
                            options={[
                              { value: 'dried', label: 'It dried' },
                              { value: 'spilled', label: 'It was spilled' },
                              { value: 'residue', label: 'It sticks to the walls' },
                            ]}
                          />
                        </div>
                      ) : null}
                    </td>
                    <td className="num">
                      {formatMl(d.bookedUl)}
                      <br />
                      <b>{d.measuredUl === null ? '—' : formatMl(d.measuredUl)}</b>
                    </td>
                    <td className="w70">
                      <button type="button" className="plain" onClick={() => again(weight)}>
                        Again
                      </button>
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
            {open.length ? (
              <>
                <h3 className="below">Still to weigh</h3>
                <div className="to-weigh">
                  {open.slice(0, 60).map((b) => (
                    <button
                      key={b.id}
                      type="button"
                      aria-current={b.id === bottle?.id ? 'true' : undefined}
                      onClick={() => go(b.id)}
                    >
                      <Chip hex={b.hex} sheen={b.sheen} size={24} /> {b.label}
                    </button>
                  ))}
                </div>
              </>
            ) : null}
            {unclear.length ? (
              <Notice kind="warning">
                {unclear.length === 1 ? 'One loss is' : `${unclear.length} losses are`} more than the water that was
                added. Say what happened, then book.
              </Notice>
            ) : null}
          </section>
        </div>
      )}
    </>
  )
}

/** What the bottle weighs by the books, g. */
const bookedG = (b: ToWeigh) =>
  ((b.tareMg ?? 30_000) + b.content.reduce((s, p) => s + p.ul * p.densityGPerMl, 0)) / 1000

function differenceOf(b: ToWeigh, w: Pick<Weight, 'grossMg' | 'tareMg' | 'named'>): Difference {
  return explain({ grossMg: w.grossMg, tareMg: w.tareMg, content: b.content, named: w.named ?? undefined })
}
