'use client'

import { Button, Input, Select } from 'antd'
import Link from 'next/link'
import { useMemo, useState } from 'react'
import { deltaE00, differenceInWords } from '@/core/colour/deltaE00'
import { chroma, hexToLab, hue } from '@/core/colour/lab'
import { mixToHex } from '@/core/colour/mixColour'
import { opticsFromHex } from '@/core/colour/paintOptics'
import { parseNumber } from '@/core/quantity/number'
import { formatRatio } from '@/core/quantity/ratio'
import type { Material } from '@/db/catalogue'
import { Chip } from '@/ui/Drawdown'
import { EmptyState } from '@/ui/Notice'
import { sheenFill } from '@/ui/SheenDefs'

/** A colour formula that stands in a bottle. */
export interface BottledFormula {
  readonly bottleId: string
  readonly label: string
  readonly hex: string | null
  readonly paints: readonly { materialId: string; name: string; parts: number }[]
}

/** Try a colour formula: a strip of cups, one big swatch, the nearest single paint, and on to the bench. */
export function FormulaDesk({
  paints,
  chosen,
  bottled,
}: {
  paints: Material[]
  chosen: readonly { id: string; parts: string }[]
  bottled: BottledFormula[]
}) {
  const [rows, setRows] = useState(() => chosen.map((c) => ({ ...c })))
  const byId = useMemo(() => new Map(paints.map((p) => [p.id, p])), [paints])
  const mix = rows.flatMap(({ id, parts }) => {
    const paint = byId.get(id)
    return paint ? [{ paint, parts: parseNumber(parts) ?? 0 }] : []
  })
  const used = mix.filter((m) => m.parts > 0)
  const key = used.map((m) => `${m.paint.id}:${m.parts}`).join()
  const hex = useMemo(
    () => mixToHex(used.map((m) => opticsFromHex(m.paint.hex!, m.paint.strength!)), used.map((m) => m.parts)), // prettier-ignore
    // The key says all that matters of what is used.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [key],
  )
  const lab = hex ? hexToLab(hex) : undefined
  const nearest = lab
    ? paints.map((p) => ({ p, d: deltaE00(lab, hexToLab(p.hex!)) })).sort((a, b) => a.d - b.d).slice(0, 3) // prettier-ignore
    : []
  const set = (i: number, part: Partial<{ id: string; parts: string }>) =>
    setRows((all) => all.map((r, k) => (k === i ? { ...r, ...part } : r)))
  const total = used.reduce((s, m) => s + m.parts, 0)
  return (
    <>
      <div className="head">
        <h1>
          Formulas <span className="sub">which colour do these make</span>
        </h1>
        {used.length ? (
          <Link
            className="go"
            href={`/bench?paints=${used.map((m) => m.paint.id).join(',')}&parts=${used.map((m) => m.parts).join(',')}`}
          >
            Mix it at the bench
          </Link>
        ) : null}
        <button type="button" className="go second" data-key="n" onClick={() => setRows([])}>
          New formula
        </button>
      </div>
      <div className="wide-left">
        <section className="panel" aria-label="Mixed colour">
          <svg
            viewBox="0 0 600 300"
            width="100%"
            role="img"
            aria-label={hex ? `The mix is about ${hex}` : 'No mix yet'}
          >
            <rect width="600" height="300" rx="6" fill={hex ?? '#e2e2e2'} />
            {hex ? <rect width="600" height="300" rx="6" fill={sheenFill('satin')} opacity="0.6" /> : null}
            {used.map((m, i) => {
              const width = Math.min(140, 560 / used.length)
              const x = 300 - (used.length * width) / 2 + i * width
              const h = 20 + (70 * m.parts) / Math.max(...used.map((u) => u.parts))
              return (
                <g key={m.paint.id}>
                  <path d={`M${x + 8} 186h${width - 16}l-8 100h-${width - 32}z`} fill="#ffffff" />
                  <path
                    d={`M${x + 16 - (h / 100) * 8} ${284 - h}h${width - 32 + (h / 100) * 16}l-${(h / 100) * 8} ${h}h-${width - 32}z`}
                    fill={m.paint.hex!}
                  />
                  <path
                    d={`M${x + 8} 186h${width - 16}l-8 100h-${width - 32}z`}
                    fill="none"
                    stroke="#1c1c1c"
                    strokeWidth="2.5"
                    strokeLinejoin="round"
                  />
                </g>
              )
            })}
          </svg>
          {lab ? (
            <dl className="facts" style={{ marginTop: 14 }}>
              <dt>Estimate</dt>
              <dd>
                {hex}, lightness {lab[0].toFixed(0)}, chroma {chroma(lab).toFixed(0)}, hue {hue(lab).toFixed(0)}°
              </dd>
              <dt>Nearest in the drawer</dt>
              <dd>
                {nearest.map(({ p, d }) => (
                  <span key={p.id} className="chipline" style={{ marginBottom: 4 }}>
                    <Chip hex={p.hex} sheen={p.sheen ?? 'satin'} size={24} />
                    {p.name}: {differenceInWords(d)} (ΔE00 {d.toFixed(1)})
                  </span>
                ))}
              </dd>
            </dl>
          ) : (
            <p className="muted" style={{ marginTop: 14 }}>
              Choose paints and give them parts; the mix is estimated from their swatches and strength. Paint the swatch
              before you trust it.
            </p>
          )}
        </section>
        <section className="panel" aria-label="Parts">
          <h2>Parts</h2>
          {rows.map((r, i) => (
            <div className="row" key={i}>
              <Chip hex={byId.get(r.id)?.hex ?? null} />
              <span className="grow">
                <Select
                  showSearch
                  optionFilterProp="label"
                  aria-label="Choose a paint"
                  placeholder="Choose a paint"
                  value={r.id || undefined}
                  style={{ width: '100%' }}
                  popupMatchSelectWidth={false}
                  onChange={(id: string) => set(i, { id })}
                  options={paints.map((p) => ({ value: p.id, label: p.maker ? `${p.name} · ${p.maker}` : p.name }))}
                />
              </span>
              <Input
                aria-label={`Parts of ${byId.get(r.id)?.name ?? 'paint'}`}
                style={{ width: 72 }}
                value={r.parts}
                onChange={(e) => set(i, { parts: e.target.value })}
              />
              <span className="num muted" style={{ width: 52 }}>
                {total > 0 && parseNumber(r.parts) ? `${Math.round((100 * parseNumber(r.parts)!) / total)} %` : ''}
              </span>
              <Button aria-label="Leave out" onClick={() => setRows((all) => all.filter((_, k) => k !== i))}>
                ×
              </Button>
            </div>
          ))}
          <Button onClick={() => setRows((all) => [...all, { id: '', parts: '1' }])}>
            {rows.length ? 'And another' : 'Add a paint'}
          </Button>
          <h2 style={{ marginTop: 22 }}>Formulas in bottles</h2>
          {bottled.length === 0 ? (
            <p className="muted">A bottle mixed from two or more paints keeps its formula here.</p>
          ) : (
            bottled.map((b) => (
              <button
                key={b.bottleId}
                type="button"
                className="plain"
                style={{ display: 'block', textDecoration: 'none', width: '100%', textAlign: 'left', padding: '6px 0' }}
                onClick={() => setRows(b.paints.map((p) => ({ id: p.materialId, parts: String(p.parts) })))}
              >
                <span className="chipline">
                  <Chip hex={b.hex} size={34} />
                  <span>
                    <b>{b.label}</b>
                    <small className="muted" style={{ display: 'block' }}>
                      {b.paints.map((p) => `${p.name} ${formatRatio([p.parts])}`).join(' : ')}
                    </small>
                  </span>
                </span>
              </button>
            ))
          )}
        </section>
      </div>
      {paints.length === 0 ? (
        <EmptyState title="There is no paint to mix">
          Bring your paints in first.
          <br />
          <Link className="go" href="/paints/import">
            Import CSV
          </Link>
        </EmptyState>
      ) : null}
    </>
  )
}
