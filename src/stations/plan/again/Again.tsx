'use client'

import { Button, Input, InputNumber, Select } from 'antd'
import { useMemo, useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { formatMl } from '@/core/quantity/format'
import { parseAmount, type UnitSystem } from '@/core/quantity/parse'
import { parseSize } from '@/core/quantity/size'
import { readTyped } from '@/core/quantity/typed'
import { planAmounts } from '@/core/plan/amounts'
import { sourceKey, type Design, type Of } from '@/core/plan/design'
import { scaleUp, swapColours, type Onto } from '@/core/plan/scaleUp'
import { surfaceWords } from '@/core/surface/words'
import type { Surface } from '@/core/surface/shapes'
import { Chip } from '@/ui/pictures/Drawdown'
import { Cup } from '@/ui/pictures/Cup'
import { Notice } from '@/ui/frame/Notice'
import type { DeskFacts } from '../deskFacts'
import type { Opened } from '../desk/draft'
import { PlanDesk } from '../desk/PlanDesk'
import { SourceSelect } from '../desk/SourceSelect'
import { colourOf, deskColours, type DeskColour } from '../desk/workOut'
import styles from './again.module.css'

/** A size a design is brought onto, as it is typed. */
interface Row {
  readonly id: string
  readonly name: string
  readonly shape: 'same' | 'rectangle' | 'round'
  readonly size: string
  readonly count: number
}

const firstRows = (design: Design): Row[] =>
  design.surfaces.map((s) => ({ id: s.id, name: s.name, shape: 'same', size: '', count: s.surface.count }))

/** @throws FikaError with a sentence for what cannot be read */
function ontoOf(row: Row, old: Design['surfaces'][number], units: UnitSystem): Onto {
  const surface = (): Surface => {
    if (row.shape === 'same') return { ...old.surface, count: row.count }
    const both = { edgeMm: old.surface.edgeMm, count: row.count }
    return row.shape === 'round'
      ? { shape: 'round', diameterMm: parseAmount(row.size, 'length', units), ...both }
      : { shape: 'rectangle', ...parseSize(row.size, units), ...both }
  }
  return { name: row.name, surface: surface(), stockId: null, eachMinor: row.shape === 'same' ? old.eachMinor : 0 }
}

/** What was poured or planned beside what is to be: another size, several panels, other colours; then it is a plan. */
export function Again({
  from,
  said,
  photo,
  facts,
}: {
  /** What it starts from, with everything the new plan keeps. */
  from: Opened
  /** Where it comes from, in words. */
  said: string
  photo?: { readonly id: string; readonly width: number; readonly height: number } | undefined
  facts: DeskFacts
}) {
  const { units } = facts.studio
  const colours = useMemo(() => deskColours(facts), [facts])
  const [rows, setRows] = useState(() => firstRows(from.design))
  const [swaps, setSwaps] = useState<ReadonlyMap<string, Of>>(new Map())
  const [open, setOpen] = useState<Opened>()
  const set = (id: string, part: Partial<Row>) => setRows(rows.map((r) => (r.id === id ? { ...r, ...part } : r)))
  const read = useMemo(
    () =>
      readTyped(() => {
        const onto = rows.map((r, i) =>
          ontoOf(r, from.design.surfaces[Math.min(i, from.design.surfaces.length - 1)]!, units),
        )
        const sizes = facts.cups.map((c) => c.sizeUl)
        const design = swapColours(scaleUp(from.design, onto, sizes, uuidv7), swaps)
        return { design, amounts: planAmounts(design, sizes) }
      }),
    [rows, swaps, from, units, facts],
  )
  const sources = [
    ...new Map(
      from.design.cups
        .flatMap((c) => c.layers.flatMap((l) => l.of ?? []))
        .concat(from.design.coats.flatMap((c) => c.of ?? []))
        .map((of) => [sourceKey(of), of] as const),
    ).values(),
  ]
  if (open) return <PlanDesk opened={open} chosen={[]} facts={facts} />
  const alone = from.design.surfaces.length === 1
  return (
    <>
      <div className="head">
        <h1>
          {from.title} <span className="sub">{said}</span>
        </h1>
        <Button
          type="primary"
          size="large"
          disabled={!read.value}
          onClick={() => read.value && setOpen({ ...from, design: read.value.design })}
        >
          Open as a plan
        </Button>
      </div>
      {from.carriedNote ? (
        <div className={styles.note}>
          <Notice>
            Next time, you wrote: <b>{from.carriedNote}</b>
          </Notice>
        </div>
      ) : null}
      <div className={styles.sides}>
        <section className="panel" aria-label="As it was">
          <h2>As it was</h2>
          {photo ? (
            // eslint-disable-next-line @next/next/no-img-element -- photos are served by the app itself, sized already
            <img
              src={`/wall/photo/${photo.id}`}
              width={photo.width}
              height={photo.height}
              alt="The piece"
              className={styles.photo}
            />
          ) : null}
          <Amounts design={from.design} colours={colours} sizes={facts.cups.map((c) => c.sizeUl)} />
        </section>
        <section className="panel" aria-label="What changes">
          <h2>What changes</h2>
          {rows.map((r, i) => (
            <div key={r.id} className="row">
              <Select
                aria-label={`Surface ${i + 1}`}
                value={r.shape}
                className="w150"
                onChange={(shape) =>
                  set(r.id, {
                    shape,
                    size:
                      shape === 'round'
                        ? units === 'us'
                          ? '12 in'
                          : '30 cm'
                        : units === 'us'
                          ? '24 x 36 in'
                          : '60 x 90 cm',
                  })
                }
                options={[
                  { value: 'same', label: 'same size' },
                  { value: 'rectangle', label: 'rectangle' },
                  { value: 'round', label: 'round' },
                ]}
              />
              {r.shape === 'same' ? (
                <span className="grow">
                  {surfaceWords(from.design.surfaces[Math.min(i, from.design.surfaces.length - 1)]!.surface)}
                </span>
              ) : (
                <Input
                  aria-label={`Size of surface ${i + 1}`}
                  className="grow"
                  value={r.size}
                  onChange={(e) => set(r.id, { size: e.target.value })}
                />
              )}
              <InputNumber
                aria-label={`Pieces of surface ${i + 1}`}
                min={1}
                max={200}
                value={r.count}
                onChange={(v) => set(r.id, { count: v ?? 1 })}
              />
              {alone && rows.length > 1 ? (
                <Button
                  aria-label={`Leave out surface ${i + 1}`}
                  onClick={() => setRows(rows.filter((x) => x.id !== r.id))}
                >
                  ×
                </Button>
              ) : null}
            </div>
          ))}
          {alone ? (
            <Button
              onClick={() =>
                setRows([
                  ...rows,
                  {
                    id: uuidv7(),
                    name: '',
                    shape: 'rectangle',
                    size: units === 'us' ? '12 x 16 in' : '30 x 40 cm',
                    count: 1,
                  },
                ])
              }
            >
              One more size
            </Button>
          ) : null}
          {read.sentence ? <Notice kind="warning">{read.sentence}</Notice> : null}
          <h3 className={styles.swaps}>Colours, one for another</h3>
          {sources.map((of) => {
            const old = colourOf(colours, of)!
            const now = swaps.get(sourceKey(of)) ?? of
            return (
              <div key={sourceKey(of)} className="row">
                <Chip hex={old.hex} sheen={old.sheen} />
                <span aria-hidden="true">›</span>
                <Chip hex={colourOf(colours, now)!.hex} sheen={colourOf(colours, now)!.sheen} />
                <span className="grow">
                  <SourceSelect
                    colours={colours}
                    value={now}
                    label={`In place of ${old.label}`}
                    use="cup"
                    onChange={(to) => setSwaps(new Map([...swaps, [sourceKey(of), to ?? of]]))}
                  />
                </span>
              </div>
            )
          })}
        </section>
        <section className="panel" aria-label="As it will be">
          <h2>As it will be</h2>
          {read.value ? (
            <Amounts design={read.value.design} colours={colours} sizes={facts.cups.map((c) => c.sizeUl)} />
          ) : (
            <p className="muted">It comes back when everything can be read.</p>
          )}
        </section>
      </div>
    </>
  )
}

/** Surfaces, cups and what each source gives, of one design. */
function Amounts({
  design,
  colours,
  sizes,
}: {
  design: Design
  colours: ReadonlyMap<string, DeskColour>
  sizes: readonly number[]
}) {
  const amounts = planAmounts(design, sizes)
  return (
    <>
      {design.surfaces.map((s) => (
        <p key={s.id} className="close">
          {s.surface.count} × {surfaceWords(s.surface)}
        </p>
      ))}
      <div className={styles.cups}>
        {design.cups.map((c) => {
          const f = amounts.cups.find((x) => x.id === c.id)!
          return (
            <figure key={c.id} className="flush">
              <Cup
                height={130}
                fullUl={Math.max(1, f.eachUl / 0.85)}
                layers={c.layers.map((l) => ({
                  id: l.id,
                  hex: colourOf(colours, l.of)?.hex ?? '#fff',
                  label: colourOf(colours, l.of)?.label ?? 'left open',
                  ul: f.layers.find((x) => x.layer === l.id)!.ul / Math.max(1, f.cups),
                }))}
              />
              <figcaption className="fine">
                {f.cups} × {formatMl(f.eachUl)}
                {c.sizeUl ? `, cup of ${formatMl(c.sizeUl)}` : ''}
              </figcaption>
            </figure>
          )
        })}
      </div>
      <table className="sheet">
        <tbody>
          {amounts.parts.map((p) => (
            <tr key={`${p.use} ${p.of.kind} ${p.of.id}`}>
              <td>
                <span className="chipline">
                  <Chip hex={colourOf(colours, p.of)!.hex} sheen={colourOf(colours, p.of)!.sheen} size={20} />
                  {colourOf(colours, p.of)!.label}
                </span>
              </td>
              <td>{p.use}</td>
              <td className="num">{formatMl(p.ul)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  )
}
