'use client'

import { Checkbox, Input, Select } from 'antd'
import { useState } from 'react'
import { fold } from '@/core/paint/fold'
import { parseNumber } from '@/core/quantity/number'
import { shortCode } from '@/core/vessel/shortCode'
import { Chip } from '@/ui/pictures/Drawdown'
import { RackNav } from '../RackNav'
import { GRIDS, gridOf } from './grids'
import rackStyles from '../rack.module.css'
import labelsStyles from './labels.module.css'

interface Labelled {
  readonly id: string
  readonly label: string
  readonly hex: string | null
  readonly sheen: string
  readonly code: string
  readonly palette: string
}

/** Labels: which bottles, on which sheet, from which place on; as they will be printed. */
export function LabelDesk({ bottles, first }: { bottles: Labelled[]; first: string[] }) {
  const [ids, setIds] = useState<string[]>(first)
  const [grid, setGrid] = useState(first.length === 1 ? 'one' : 'a4-24')
  const [from, setFrom] = useState('1')
  const [q, setQ] = useState('')
  const shown = bottles.filter((b) => fold(`${b.label} ${b.palette} ${b.code}`).includes(fold(q)))
  const sheet = gridOf(grid)
  const each = sheet.columns * sheet.rows
  const place = Math.min(each, Math.max(1, Math.trunc(parseNumber(from) ?? 1)))
  const sheets = Math.ceil((ids.length + place - 1) / each)
  const address = (as: string, more = '') =>
    `/rack/labels/print?ids=${ids.join(',')}&grid=${grid}&from=${place}&as=${as}${more}`
  const toggle = (id: string) => setIds(ids.includes(id) ? ids.filter((i) => i !== id) : [...ids, id])
  return (
    <>
      <div className="head">
        <h1>
          Labels{' '}
          <span className="sub">
            {ids.length} of {bottles.length} bottles
            {ids.length && each > 1 ? `, ${sheets} ${sheets === 1 ? 'sheet' : 'sheets'}` : ''}
          </span>
        </h1>
        <a className="go second" href={address('svg')} aria-disabled={ids.length === 0} download="labels.svg">
          As SVG
        </a>
        <a className="go" href={address('pdf')} target="_blank" rel="noreferrer" aria-disabled={ids.length === 0}>
          Print as PDF
        </a>
      </div>
      <RackNav here="/rack/labels" />
      <div className={rackStyles.labels}>
        <section className="panel" aria-label="Which labels">
          <label className="field">
            <span>Sheet</span>
            <Select
              aria-label="Sheet"
              value={grid}
              onChange={setGrid}
              className="wide"
              options={GRIDS.map((g) => ({ value: g.key, label: g.name }))}
            />
          </label>
          {each > 1 ? (
            <label className="field">
              <span>First free place, 1 to {each}</span>
              <Input value={from} inputMode="numeric" onChange={(e) => setFrom(e.target.value)} />
            </label>
          ) : null}
          <div className="row">
            <span className="grow">
              <Input
                allowClear
                value={q}
                placeholder="Search bottles"
                aria-label="Search bottles"
                onChange={(e) => setQ(e.target.value)}
              />
            </span>
            <button type="button" className="plain" onClick={() => setIds(shown.map((b) => b.id))}>
              All
            </button>
            <button type="button" className="plain" onClick={() => setIds([])}>
              None
            </button>
          </div>
          <ul className={labelsStyles.labelList}>
            {shown.map((b) => (
              <li key={b.id}>
                <Checkbox className="big-check" checked={ids.includes(b.id)} onChange={() => toggle(b.id)}>
                  <span className="chipline">
                    <Chip hex={b.hex} sheen={b.sheen} /> {b.label} <small className="muted">{shortCode(b.code)}</small>
                  </span>
                </Checkbox>
              </li>
            ))}
          </ul>
        </section>
        <section className={labelsStyles.labelSheet} aria-label="As printed">
          {ids.length ? (
            // The very file that is printed, drawn by the browser.
            // eslint-disable-next-line @next/next/no-img-element
            <img
              src={address('svg', '&outlines')}
              alt={`First sheet: ${Math.min(ids.length, each - place + 1)} labels`}
              data-testid="sheet"
              style={{ aspectRatio: `${sheet.page.width} / ${sheet.page.height}` }}
            />
          ) : (
            <p className="muted">Choose bottles, and their labels appear here as they are printed.</p>
          )}
        </section>
      </div>
    </>
  )
}
