'use client'

import { Button, Checkbox } from 'antd'
import { useCallback, useMemo } from 'react'
import { differenceInWords, deltaE00 } from '@/core/colour/deltaE00'
import { hexToLab } from '@/core/colour/lab'
import { opticsOf } from '@/core/colour/packOptics'
import { readTyped } from '@/core/quantity/typed'
import { ALIKE, boxing, farthestApart } from '@/core/mix/boxing'
import { formatFlOz, formatMl } from '@/core/quantity/format'
import type { ToScale } from '@/core/mix/inSteps'
import { ColourReader } from '@/ui/forms/ColourReader'
import { Chip } from '@/ui/pictures/Drawdown'
import { Notice } from '@/ui/frame/Notice'
import { SplitDisc } from '@/ui/pictures/SplitDisc'
import { saveBatchAction } from '../actions'
import { BatchBooking, type BatchSupply } from './BatchBooking'
import { planBatch, type ContainerPlan } from './plan'
import type { BatchState } from '@/db/formulas/batchSchema'
import { useKept, type SendBatch } from './useKept'
import styles from './batch.module.css'

/** Room to pour over from one container to the next while boxing: the half of it. */
const SHARE = 0.5

export interface BatchPaint extends ToScale {
  readonly name: string
  readonly hex: string
}

export interface OpenBatch {
  readonly id: string
  readonly revision: number
  readonly title: string
  readonly formulaId: string
  readonly formulaVersion: number
  readonly formulaName: string
  readonly state: BatchState
  readonly done: boolean
}

/** A large batch, ticked off container by container; read, boxed until alike, then carried to its mark. */
export function BatchDesk({
  batch,
  paints,
  supply,
}: {
  batch: OpenBatch
  paints: readonly BatchPaint[]
  supply: BatchSupply
}) {
  const sendBatch = useCallback<SendBatch>(
    (revision, state, finished) =>
      saveBatchAction({
        id: batch.id,
        revision,
        title: batch.title,
        formulaId: batch.formulaId,
        formulaVersion: batch.formulaVersion,
        state,
        finished,
      }),
    [batch.id, batch.title, batch.formulaId, batch.formulaVersion],
  )
  const { state, keep, pending, refusal } = useKept(batch.state, batch.revision, sendBatch)
  const { value: containers, sentence } = useMemo(() => readTyped(() => planBatch(paints, state)), [paints, state])
  const toggle = (key: string) =>
    keep((now) => ({
      ...now,
      done: now.done.includes(key) ? now.done.filter((k) => k !== key) : [...now.done, key],
    }))
  const byId = new Map(paints.map((p) => [p.id, p]))
  if (!containers) return <Notice kind="warning">{sentence}</Notice>
  const read = state.readings.filter((r) => r !== null && r !== undefined)
  const keptLab = hexToLab(state.keptHex)
  return (
    <>
      <div className={styles.batchHead}>
        <Chip hex={state.keptHex} sheen="matte" size={44} />
        <span>
          <b>{formatMl(state.paintUl)} of paint</b> in {state.containers}{' '}
          {state.containers === 1 ? 'container' : 'containers'}, {state.medium} medium and {state.water} water to one of
          paint
          <small className="muted">
            {' '}
            {batch.formulaName}, version {batch.formulaVersion}
          </small>
        </span>
        <Button className="noPrint" onClick={() => window.print()}>
          Print the card
        </Button>
      </div>
      {refusal ? <Notice kind="warning">{refusal.message}</Notice> : null}
      <div className={styles.batch}>
        {containers.map((c, i) => (
          <section className="panel" key={i} aria-label={`Container ${i + 1}`}>
            <h2>Container {i + 1}</h2>
            <ContainerPicture
              plan={c}
              paints={byId}
              sizeUl={state.sizeUl}
              hex={state.readings[i]?.hex ?? state.keptHex}
              done={state.done}
              index={i}
            />
            <Steps plan={c} index={i} state={state} paints={byId} toggle={toggle} />
            <div className="noPrint batch-read">
              <p className="between">
                <b>Compare with the kept swatch</b>
              </p>
              <ColourReader
                label="Read this one"
                under={[
                  { label: 'this container', hex: shifted(state.keptHex, (i % 2 ? -1.4 : 1.2) / 3 ** state.boxed) },
                  { label: 'the kept swatch', hex: state.keptHex },
                ]}
                onRead={(r) =>
                  keep((now) => ({
                    ...now,
                    readings: at(
                      now.readings,
                      i,
                      { hex: r.hex, reflectance: r.reflectance === null ? null : [...r.reflectance] },
                      now.containers,
                    ),
                  }))
                }
              />
              {state.readings[i] ? (
                <p className="chipline">
                  <SplitDisc
                    left={state.keptHex}
                    right={state.readings[i].hex}
                    labels={['Kept', 'this container']}
                    size={56}
                  />
                  {differenceInWords(deltaE00(keptLab, hexToLab(state.readings[i].hex)))}, ΔE00{' '}
                  {deltaE00(keptLab, hexToLab(state.readings[i].hex)).toFixed(1)}
                </p>
              ) : null}
            </div>
          </section>
        ))}
      </div>
      <section className="panel noPrint below" aria-label="Boxing">
        <h2>All alike?</h2>
        {state.containers === 1 ? (
          <p className="muted">One container is alike by itself.</p>
        ) : read.length < state.containers ? (
          <p className="muted">
            Read every container: then Fika says whether they are one batch, and how often to box them.
          </p>
        ) : (
          <Alike state={state} onBoxed={() => keep((now) => ({ ...now, boxed: now.boxed + 1, readings: [] }))} />
        )}
        <div className="tools after">
          <Button type="primary" size="large" loading={pending} onClick={() => keep((now) => now, !batch.done)}>
            {batch.done ? 'Open it again' : 'The batch is done'}
          </Button>
        </div>
      </section>
      <div className="noPrint">
        <BatchBooking
          batchId={batch.id}
          state={state}
          containers={containers}
          unticked={
            containers.flatMap((c, i) => stepsOf(c, i, state, byId)).filter((r) => !state.done.includes(r.key)).length
          }
          supply={supply}
        />
      </div>
    </>
  )
}

const at = <T,>(list: readonly (T | null | undefined)[], i: number, value: T, length: number): (T | null)[] =>
  Array.from({ length }, (_, k) => (k === i ? value : (list[k] ?? null)))

/** The kept colour a little lighter or darker: what a stand-in reader may find in a container. */
function shifted(hex: string, by: number): string {
  return `#${[1, 3, 5]
    .map((k) =>
      Math.min(255, Math.max(0, Math.round(parseInt(hex.slice(k, k + 2), 16) * (1 + by / 40))))
        .toString(16)
        .padStart(2, '0'),
    )
    .join('')}`
}

interface StepRow {
  readonly key: string
  readonly ul: number
  readonly text: string
  readonly hint?: string
  readonly hex: string | null
}

/** What is ticked off for a container, in order. */
function stepsOf(
  plan: ContainerPlan,
  index: number,
  state: BatchState,
  paints: ReadonlyMap<string, BatchPaint>,
): StepRow[] {
  return [
    { key: `${index}/sample`, ul: plan.sampleUl, text: 'of the sample', hex: state.keptHex },
    ...plan.steps.map((s, k) => ({
      key: `${index}/${k}`,
      ul: s.ul,
      text: paints.get(s.id)!.name,
      hex: paints.get(s.id)!.hex,
      ...(s.look ? { hint: 'stir, look' } : {}),
    })),
    { key: `${index}/medium`, ul: plan.mediumUl, text: 'medium, to the mark', hex: null },
    { key: `${index}/water`, ul: plan.waterUl, text: 'water, by and by', hint: 'compare again', hex: null },
  ].filter((r) => r.ul > 0)
}

function Steps({
  plan,
  index,
  state,
  paints,
  toggle,
}: {
  plan: ContainerPlan
  index: number
  state: BatchState
  paints: ReadonlyMap<string, BatchPaint>
  toggle: (key: string) => void
}) {
  const rows = stepsOf(plan, index, state, paints)
  return (
    <ol className={styles.batchSteps}>
      {rows.map((r) => (
        <li key={r.key}>
          <Checkbox className="big-check" checked={state.done.includes(r.key)} onChange={() => toggle(r.key)}>
            <span className={styles.batchStep}>
              <b className="num">{formatMl(r.ul)}</b>
              <small className="muted num">{formatFlOz(r.ul)}</small>
              <span className="chipline">
                {r.hex ? <Chip hex={r.hex} sheen="matte" size={22} /> : null}
                <span>
                  {r.text} {r.hint ? <small className="muted">{r.hint}</small> : null}
                </span>
              </span>
            </span>
          </Checkbox>
        </li>
      ))}
    </ol>
  )
}

/** The container filling up as its steps are ticked, with the mark it is to reach. */
function ContainerPicture({
  plan,
  paints,
  sizeUl,
  hex,
  done,
  index,
}: {
  plan: ContainerPlan
  paints: ReadonlyMap<string, BatchPaint>
  sizeUl: number
  hex: string
  done: readonly string[]
  index: number
}) {
  const layers = [
    { key: `${index}/sample`, ul: plan.sampleUl, hex },
    ...plan.steps.map((s, k) => ({ key: `${index}/${k}`, ul: s.ul, hex: paints.get(s.id)!.hex })),
    { key: `${index}/medium`, ul: plan.mediumUl, hex: '#e9e9e4' },
    { key: `${index}/water`, ul: plan.waterUl, hex: '#cfd3d3' },
  ].filter((l) => l.ul > 0)
  const scale = 150 / Math.max(sizeUl, plan.totalUl)
  const tops = layers.reduce<number[]>((ys, l) => [...ys, (ys.at(-1) ?? 162) - l.ul * scale], [])
  return (
    <svg
      viewBox="0 0 320 170"
      width="100%"
      height="170"
      role="img"
      aria-label={`${formatMl(plan.totalUl)} of ${formatMl(sizeUl)}`}
    >
      {layers.map((l, i) => (
        <rect
          key={l.key}
          x="72"
          y={tops[i]}
          width="176"
          height={l.ul * scale}
          fill={done.includes(l.key) ? l.hex : '#fff'}
          stroke="#8a8a8a"
          strokeDasharray={done.includes(l.key) ? undefined : '3 4'}
          strokeWidth="1"
        />
      ))}
      <path d="M70 8V162H250V8" fill="none" stroke="#1c1c1c" strokeWidth="4" strokeLinejoin="round" />
      <path d={`M60 ${162 - plan.totalUl * scale}H260`} stroke="#1c1c1c" strokeWidth="2.5" strokeDasharray="8 6" />
      <text x="266" y={167 - plan.totalUl * scale} fontSize="14" fill="#1c1c1c">
        {formatMl(plan.totalUl)}
      </text>
    </svg>
  )
}

/** Whether the containers are one batch, by reading; and how often to box them if not. */
function Alike({ state, onBoxed }: { state: BatchState; onBoxed: () => void }) {
  const hexes = state.readings.map((r) => r!.hex)
  const apart = farthestApart(hexes.map(hexToLab))
  const { passes, apart: after } = boxing(
    hexes.map((hex) => opticsOf({ optics: null, hex, strength: 'normal' })),
    hexes.map(() => 1),
    SHARE,
  )
  if (apart < ALIKE)
    return (
      <p>
        <b>One batch:</b> the two most unlike are ΔE00 {apart.toFixed(1)} apart
        {state.boxed ? `, after boxing ${state.boxed === 1 ? 'once' : `${state.boxed} times`}` : ''}. Now medium to the
        mark, then water, and compare again.
      </p>
    )
  return (
    <>
      <p>
        The two most unlike are <b>ΔE00 {apart.toFixed(1)}</b> apart.{' '}
        {passes === undefined
          ? 'Pour all of it into one vessel instead.'
          : `Box them ${passes === 1 ? 'once' : `${passes} times`}: pour half of each into the next, round the ring, stir each. That leaves ΔE00 ${after.at(-1)!.toFixed(1)}.`}
      </p>
      <Button size="large" onClick={onBoxed}>
        Boxed once
      </Button>
    </>
  )
}
