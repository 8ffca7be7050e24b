'use client'

import { Button, Input, Select } from 'antd'
import { useState } from 'react'
import { cupHoldsUl, fillLines, type CupShape, type FillLine } from '@/core/vessel/cupShape'
import { formatFlOz, formatMl } from '@/core/quantity/format'
import { parseAmount, type UnitSystem } from '@/core/quantity/parse'
import { readTyped } from '@/core/quantity/typed'
import { Notice } from '@/ui/frame/Notice'
import type { MixLine } from './mixDraft'
import styles from './fillLines.module.css'

const KEPT = 'fika.cup'
const FILLED = [
  { value: 'planned', label: 'with what is planned' },
  { value: '0.5', label: 'half full' },
  { value: '0.75', label: 'three quarters full' },
  { value: '0.9', label: 'nine tenths full' },
] as const

/** Lines up to which a cup is filled, one after another, for those who never weigh: drawn to scale, printed full size. */
export function FillLines({ lines, units }: { lines: readonly MixLine[]; units: UnitSystem }) {
  const us = units === 'us'
  const [f, setF] = useState({
    bottom: us ? '2 in' : '5 cm',
    top: us ? '3 in' : '7.5 cm',
    height: us ? '3.5 in' : '9 cm',
  })
  const [filled, setFilled] = useState<(typeof FILLED)[number]['value']>('0.75')
  const open = (isOpen: boolean) => {
    const kept = isOpen ? localStorage.getItem(KEPT) : null
    if (kept) setF((old) => ({ ...old, ...(JSON.parse(kept) as Partial<typeof f>) }))
  }
  const set = (part: Partial<typeof f>) => {
    const next = { ...f, ...part }
    setF(next)
    localStorage.setItem(KEPT, JSON.stringify(next))
  }
  const { value, sentence } = readTyped(() => {
    const mm = (text: string) => parseAmount(text, 'length', units)
    const cup: CupShape = { bottomMm: mm(f.bottom), topMm: mm(f.top), heightMm: mm(f.height) }
    const holds = cupHoldsUl(cup)
    const totalUl = lines.reduce((sum, l) => sum + l.targetUl, 0)
    const scale = filled === 'planned' ? 1 : (Number(filled) * holds) / totalUl
    const amounts = lines.map((l) => ({ id: l.materialId, ul: l.targetUl * scale }))
    return { cup, holds, lines: fillLines(cup, amounts) }
  })
  const names = new Map(lines.map((l) => [l.materialId, l.material.name]))
  const text = (key: keyof typeof f, label: string) => (
    <label className="field">
      <span>{label}</span>
      <Input value={f[key]} onChange={(e) => set({ [key]: e.target.value })} />
    </label>
  )
  return (
    <details className="helper" onToggle={(e) => open(e.currentTarget.open)}>
      <summary>Fill lines for a cup, without a scale</summary>
      <div className="two columns">
        {text('bottom', 'Across the bottom, inside')}
        {text('top', 'Across the rim, inside')}
        {text('height', 'Height inside')}
        <label className="field">
          <span>Filled</span>
          <Select
            aria-label="How far the cup is filled"
            className="wide"
            value={filled}
            onChange={setFilled}
            options={[...FILLED]}
          />
        </label>
      </div>
      {sentence ? <Notice kind="warning">{sentence}</Notice> : null}
      {value ? (
        <>
          <p className="muted">
            It holds {formatMl(value.holds)} · {formatFlOz(value.holds)} to the rim.
          </p>
          <CupLines cup={value.cup} lines={value.lines} names={names} />
          <Strip lines={value.lines} names={names} />
          <Button
            onClick={() => {
              document.body.dataset.print = 'strip'
              window.print()
              delete document.body.dataset.print
            }}
          >
            Print the strip
          </Button>
        </>
      ) : null}
    </details>
  )
}

/** Names that would lie on one another are moved apart, from the bottom up. */
function apart(ys: readonly number[], least: number): number[] {
  return ys.reduce<number[]>((out, y) => [...out, Math.min(y, (out.at(-1) ?? Infinity) - least)], [])
}

/** The cup in its own proportions with its lines, bottom first. */
function CupLines({
  cup,
  lines,
  names,
}: {
  cup: CupShape
  lines: readonly FillLine[]
  names: ReadonlyMap<string, string>
}) {
  const scale = 200 / Math.max(cup.heightMm, cup.topMm, cup.bottomMm)
  const [height, bottom, top] = [cup.heightMm * scale, (cup.bottomMm * scale) / 2, (cup.topMm * scale) / 2]
  const [mid, floor] = [110, height + 12]
  const half = (mm: number) => bottom + ((top - bottom) * mm) / cup.heightMm
  const ys = lines.map((l) => floor - l.heightMm * scale)
  const told = apart(ys, 17)
  return (
    <svg viewBox={`0 0 420 ${floor + 14}`} width="100%" role="img" aria-label="The cup with its fill lines">
      <path
        d={`M${mid - top} 12 L${mid - bottom} ${floor} H${mid + bottom} L${mid + top} 12`}
        fill="#fff"
        stroke="#8a8a8a"
        strokeWidth="3"
        strokeLinejoin="round"
      />
      {lines.map((l, i) => (
        <g key={l.id}>
          <path d={`M${mid - half(l.heightMm)} ${ys[i]}H${mid + half(l.heightMm)}`} stroke="#1c1c1c" strokeWidth="2" />
          <path
            d={`M${mid + half(l.heightMm)} ${ys[i]}L${mid + 112} ${told[i]}`}
            stroke="currentColor"
            strokeWidth="1"
            fill="none"
          />
          <text x={mid + 118} y={told[i]! + 5} fontSize="15" fill="currentColor">
            <tspan fontWeight="650">{(l.heightMm / 10).toFixed(1)} cm</tspan> {names.get(l.id)}
          </text>
        </g>
      ))}
    </svg>
  )
}

/** A strip to cut out and tape to the cup's wall, foot on the table: full size where it is printed so. */
function Strip({ lines, names }: { lines: readonly FillLine[]; names: ReadonlyMap<string, string> }) {
  const tall = Math.max(...lines.map((l) => l.wallMm)) + 8
  const told = apart(
    lines.map((l) => tall - l.wallMm),
    4.6,
  )
  return (
    <div className={styles.strip} data-testid="strip">
      <svg viewBox={`0 0 80 ${tall + 12}`} width="80mm" height={`${tall + 12}mm`} aria-hidden="true">
        <rect x="0.4" y="0.4" width="14" height={tall} fill="#fff" stroke="#1c1c1c" strokeWidth="0.3" />
        {lines.map((l, i) => (
          <g key={l.id}>
            <path d={`M0.4 ${tall - l.wallMm}h14L18 ${told[i]}`} fill="none" stroke="#1c1c1c" strokeWidth="0.6" />
            <text x="19" y={told[i]! + 1.3} fontSize="3.8" fill="#1c1c1c">
              {names.get(l.id)}
            </text>
          </g>
        ))}
        <path d={`M0.4 ${tall + 4}h50m0 -1.500v3m-50 -3v3`} stroke="#1c1c1c" strokeWidth="0.4" />
        <text x="0.4" y={tall + 10} fontSize="3.2" fill="#1c1c1c">
          50 mm, if it was printed full size
        </text>
      </svg>
    </div>
  )
}
