'use client'

import { Button, Input, Segmented } from 'antd'
import { useRouter } from 'next/navigation'
import { useMemo, useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { formatGrams, formatMl } from '@/core/quantity/format'
import { parseMassMg, type UnitSystem } from '@/core/quantity/parse'
import { level } from '@/core/vessel/level'
import { readShortCode, shortCode } from '@/core/vessel/shortCode'
import { explain, type Difference } from '@/core/vessel/stocktake'
import { HandInput } from '@/ui/HandInput'
import { BottleGlyph } from '@/ui/BottleGlyph'
import { Chip } from '@/ui/Drawdown'
import { EmptyState, Notice } from '@/ui/Notice'
import { attemptOr } from '@/ui/useAttempt'
import { useHandKeys } from '@/ui/useHandKeys'
import { useScale } from '@/ui/useScale'
import { useSend } from '@/ui/useSend'
import { stocktakeAction } from '../actions'
import { RackNav } from '../RackNav'
import type { ToWeigh } from './queries'
import { useTaken, type Taken } from './useTaken'

/** Along the shelf with the scale: bottle after bottle, every difference explained, all of it booked at the end. */
export function Stocktake({ bottles, studioId, units }: { bottles: ToWeigh[]; studioId: string; units: UnitSystem }) {
  const { taken, set, ready } = useTaken(studioId)
  const [at, setAt] = useState<string>()
  const [typed, setTyped] = useState('')
  const [tare, setTare] = useState('')
  const [code, setCode] = useState('')
  const [trouble, setTrouble] = useState<string>()
  const scale = useScale()
  const { send, pending, refusal } = useSend<null>()
  const router = useRouter()
  const byId = useMemo(() => new Map(bottles.map((b) => [b.id, b])), [bottles])
  const lines = Object.entries(taken).flatMap(([id, t]) => { const b = byId.get(id); return b ? [{ bottle: b, taken: t, difference: differenceOf(b, t) }] : [] }) // prettier-ignore
  const open = bottles.filter((b) => !taken[b.id])
  const bottle = (at && byId.get(at)) || open[0]
  const unclear = lines.filter((l) => l.difference.kind === 'unexplained' || l.difference.kind === 'unreadable')

  const go = (id: string | undefined) => {
    setAt(id)
    setTyped('')
    setTare('')
    setTrouble(undefined)
  }
  const take = () => {
    if (!bottle) return
    attemptOr(setTrouble, () => {
      const tareMg = tare.trim() ? parseMassMg(tare, units) : bottle.tareMg
      if (tareMg === null) return setTrouble('Type what the empty bottle weighs, like 28 g; it is remembered.')
      let grossMg: number
      if (typed.trim()) grossMg = parseMassMg(typed, units)
      else if (!scale.here) return setTrouble(`${scale.why} Or type the weight.`)
      else if (scale.settledG === null) return setTrouble('The scale is still moving. Hands off, then tap again.')
      else grossMg = Math.round(scale.settledG * 1000)
      const t: Taken = { requestId: uuidv7(), grossMg, tareMg }
      const difference = differenceOf(bottle, t)
      if (difference.kind === 'unreadable') return setTrouble(difference.sentence)
      set({ ...taken, [bottle.id]: t })
      go(open.find((b) => b.id !== bottle.id)?.id)
    })
  }
  const drop = (id: string) => {
    set(Object.fromEntries(Object.entries(taken).filter(([k]) => k !== id)))
    go(id)
  }
  const lastId = lines.at(-1)?.bottle.id
  useHandKeys({ next: take, undo: lastId ? () => drop(lastId) : undefined })
  const find = () => {
    const body = readShortCode(code)
    const found = bottles.find((b) => b.code === body)
    if (!found) return setTrouble('No bottle on the rack has that code. Read the label again.')
    setCode('')
    go(found.id)
  }
  const over = () => {
    set({})
    go(undefined)
    router.refresh()
  }
  const book = () => {
    const differing = lines.filter((l) => l.difference.kind !== 'as booked')
    if (differing.length === 0) return over()
    send(
      () => stocktakeAction({ lines: differing.map((l) => ({ vesselId: l.bottle.id, ...l.taken })) }),
      over,
      'Stocktake booked',
    )
  }
  const name = (id: string, named: 'spilled' | 'residue') => set({ ...taken, [id]: { ...taken[id]!, named } })

  return (
    <>
      <div className="head">
        <h1>
          Stocktake{' '}
          <span className="sub">
            {lines.length} of {bottles.length} weighed
          </span>
        </h1>
        <Button type="primary" size="large" disabled={!ready || lines.length === 0 || unclear.length > 0} loading={pending} onClick={book}>
          Book {lines.length === 1 ? 'one weight' : `${lines.length} weights`}
        </Button>
      </div>
      <RackNav here="/rack/stocktake" />
      {refusal ? <Notice kind="warning">{refusal.message}</Notice> : null}
      {bottles.length === 0 ? (
        <EmptyState title="Nothing to weigh">There is no bottle on the rack.</EmptyState>
      ) : (
        <div className="stocktake">
          <section className="panel stocktake-now" aria-label="To weigh now">
            {bottle ? (
              <>
                <BottleGlyph id={`take-${bottle.id}`} height={210} look={{ hex: bottle.hex, sheen: bottle.sheen, level: level(bottle), jar: bottle.isJar }} />
                <div>
                  <h2 style={{ fontSize: '1.7rem', marginBottom: 2 }} data-testid="to-weigh" data-id={bottle.id}>
                    {bottle.label}
                  </h2>
                  <p className="muted" style={{ margin: 0 }}>
                    {shortCode(bottle.code)} · {formatMl(bottle.ul)} by the books
                  </p>
                  <div className="big" style={{ margin: '14px 0 6px' }} data-testid="stock-weight">
                    {scale.here && scale.grams !== null ? `${scale.grams.toFixed(1)} g` : '—'}
                  </div>
                  <p className="muted" data-testid="stock-scale" data-settled={scale.settledG ?? ''}>
                    {scale.here ? (scale.overload ? 'too heavy: take it off' : scale.settledG === null ? 'moving' : 'steady') : scale.why}
                  </p>
                </div>
                {scale.standIn ? (
                  <button type="button" className="go second" style={{ justifySelf: 'start' }} onClick={() => void scale.ask({ do: 'place', grams: bookedG(bottle) - (scale.grams ?? 0) })}>
                    Set it on the stand-in
                  </button>
                ) : null}
                <div className="stocktake-type">
                  <label className="field">
                    <span>Or type the weight</span>
                    <HandInput value={typed} placeholder="164 g" aria-label="Weight, typed" onChange={(e) => setTyped(e.target.value)} onEnter={take} />
                  </label>
                  <label className="field">
                    <span>Empty bottle weighs</span>
                    <HandInput value={tare} placeholder={bottle.tareMg === null ? '28 g' : formatGrams(bottle.tareMg)} aria-label="Empty bottle weighs" onChange={(e) => setTare(e.target.value)} onEnter={take} />
                  </label>
                </div>
                {trouble ? <Notice kind="warning">{trouble}</Notice> : null}
                <button type="button" className="guide-key guide-take" onClick={take}>
                  Take the weight <kbd>Space</kbd>
                </button>
                <div className="row stocktake-find">
                  <Input value={code} placeholder="Code on the label" aria-label="Code on the label" style={{ width: 190 }} onChange={(e) => setCode(e.target.value)} onPressEnter={find} />
                  <Button onClick={find}>Find it</Button>
                  <Button onClick={() => go(open[(open.findIndex((b) => b.id === bottle.id) + 1) % Math.max(1, open.length)]?.id)}>Skip it</Button>
                </div>
              </>
            ) : (
              <p>Every bottle is weighed. Book the weights, or weigh one again below.</p>
            )}
          </section>
          <section className="panel" aria-label="Weighed">
            <h2>What was found</h2>
            {lines.length === 0 ? <p className="muted">Nothing is corrected until you book it. Weigh a bottle, and what the difference is appears here.</p> : null}
            <table className="sheet">
              <tbody>
                {[...lines].reverse().map(({ bottle: b, taken: t, difference: d }) => (
                  <tr key={b.id} data-testid="weighed" data-kind={d.kind}>
                    <td>
                      <b>{b.label}</b>
                      <br />
                      <small>{d.sentence}</small>
                      {d.kind === 'unexplained' || t.named ? (
                        <div style={{ marginTop: 6 }}>
                          <Segmented<'spilled' | 'residue' | ''>
                            value={t.named ?? ''}
                            onChange={(v) => v && name(b.id, v)}
                            options={[
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
                    <td style={{ width: 70 }}>
                      <button type="button" className="plain" onClick={() => drop(b.id)}>
                        Again
                      </button>
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
            {open.length ? (
              <>
                <h3 style={{ marginTop: 16 }}>Still to weigh</h3>
                <div className="to-weigh">
                  {open.slice(0, 60).map((b) => (
                    <button key={b.id} type="button" aria-current={b.id === bottle?.id ? 'true' : undefined} onClick={() => go(b.id)}>
                      <Chip hex={b.hex} sheen={b.sheen} size={24} /> {b.label}
                    </button>
                  ))}
                </div>
              </>
            ) : null}
            {unclear.length ? <Notice kind="warning">{unclear.length === 1 ? 'One loss' : `${unclear.length} losses`} cannot be explained by water. Say what happened, then book.</Notice> : null}
          </section>
        </div>
      )}
    </>
  )
} // prettier-ignore

/** What the bottle weighs by the books, g. */
const bookedG = (b: ToWeigh) =>
  ((b.tareMg ?? 30_000) + b.content.reduce((s, p) => s + p.ul * p.densityGPerMl, 0)) / 1000

function differenceOf(b: ToWeigh, t: Taken): Difference {
  return explain({ grossMg: t.grossMg, tareMg: t.tareMg, content: b.content, named: t.named })
}
