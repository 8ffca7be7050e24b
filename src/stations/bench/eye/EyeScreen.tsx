'use client'

import { Select } from 'antd'
import { Link } from '@/ui/frame/Link'
import { useRefresh } from '@/ui/hooks/useRefresh'
import { useEffect, useMemo, useState } from 'react'
import { additionOf, removalOf, stillOn, STILL_MOVING } from '@/core/device/settle'
import { eyeState, type EyeEvent } from '@/core/mix/byEye'
import { portionsOfMix, readBack, type Addition } from '@/core/mix/readBack'
import { judgeWater, type WaterRule } from '@/core/mix/waterLimit'
import { dropOf } from '@/core/quantity/dropSizes'
import { formatMl, formatVolume } from '@/core/quantity/format'
import { formatRatio } from '@/core/quantity/ratio'
import { parsePouredUl, type UnitSystem } from '@/core/quantity/parse'
import type { Material } from '@/db/materials/mixable'
import { HandInput } from '@/ui/forms/HandInput'
import { Cup } from '@/ui/pictures/Cup'
import { Chip } from '@/ui/pictures/Drawdown'
import { Notice } from '@/ui/frame/Notice'
import { BenchProviders } from '@/ui/frame/Providers'
import { attemptOr } from '@/ui/hooks/useAttempt'
import { useDropSizes } from '@/ui/hooks/useDropSizes'
import { useHandKeys } from '@/ui/hooks/useHandKeys'
import { useScale } from '@/ui/hooks/useScale'
import { FluidOunceTrap } from '../FluidOunceTrap'
import { BottleForm } from '../guide/LabelStep'
import { colourOf } from '../mixDraft'
import { ScaleLine } from '@/ui/hand/ScaleLine'
import { KeyPlace, StepKey } from '@/ui/hand/StepKey'
import { useMixing } from '../guide/useMixing'
import { useTyped } from '@/ui/hand/useTyped'
import type { EyeMixing } from '@/db/mixings/write'
import { SaveRecipe } from '../recipes/SaveRecipe'
import { PLAIN } from '../start'
import handStyles from '@/ui/hand/hand.module.css'
import benchStyles from '../bench.module.css'
import eyeStyles from './eye.module.css'

/** A bottle whose mix can go in, with what it holds. */
export interface Pourable {
  readonly id: string
  readonly label: string
  readonly hex: string | null
  readonly densityGPerMl: number
  readonly content: readonly { materialId: string; ul: number }[]
}

/** Pour first, read after: name what goes in, the scale books each addition, and the recipe is read back. */
export function EyeScreen({
  start,
  materials,
  bottles,
  units,
  waterRule,
}: {
  start: EyeMixing
  materials: Material[]
  bottles: Pourable[]
  units: UnitSystem
  waterRule: WaterRule
}) {
  const mix = useMixing(start)
  const scale = useScale()
  const refresh = useRefresh()
  const state = eyeState(mix.events as readonly EyeEvent[])
  const byId = useMemo(() => new Map(materials.map((m) => [m.id, m])), [materials])
  const bottleById = useMemo(() => new Map(bottles.map((b) => [b.id, b])), [bottles])
  const [filling, setFilling] = useState(false)
  const [place, setPlace] = useState<HTMLElement | null>(null)
  const { send, sending, setTrouble } = mix
  const { typed, setTyped, carry } = useTyped<EyeEvent>((event) => send(event, true))
  const now = state.now && (byId.get(state.now.id) ?? bottleById.get(state.now.id))
  const density = now?.densityGPerMl ?? 1
  const sizes = useDropSizes()
  const dropUl = dropOf(sizes, (state.now && byId.get(state.now.id)?.kind) ?? 'paint')
  const nameOf = (id: string) => byId.get(id)?.name ?? bottleById.get(id)?.label ?? 'gone since'

  // Every weight that stands is an addition of what was named; the first one that stands is the empty cup.
  const { grams, settledG, resolutionG, here } = scale
  useEffect(() => {
    if (settledG === null || sending || filling || state.baselineG === null || !state.now) return
    const added = additionOf(settledG, resolutionG, state.baselineG)
    if (added !== undefined)
      void send({ kind: 'add', ul: Math.round((1000 * added) / density), grams: state.baselineG + added })
  }, [settledG, resolutionG, sending, filling, state.baselineG, state.now, density, send])

  const additions = state.additions.flatMap((a): Addition[] => {
    const m = byId.get(a.id)
    if (m) return [{ materialId: m.id, name: m.name, kind: m.kind, ul: a.ul }]
    const b = bottleById.get(a.id)
    if (!b) return []
    return portionsOfMix(
      a.ul,
      b.content.flatMap((c) => {
        const part = byId.get(c.materialId)
        return part ? [{ materialId: part.id, name: part.name, kind: part.kind, ul: c.ul }] : []
      }),
    )
  })
  const read = additions.length ? readBack(additions) : undefined
  const water =
    read &&
    judgeWater(
      additions.map((a) => ({
        kind: a.kind,
        ul: a.ul,
        waterShare: byId.get(a.materialId)!.waterShare,
        solids: byId.get(a.materialId)!.solids,
        pigmentShare: byId.get(a.materialId)!.pigmentShare,
        grade: byId.get(a.materialId)!.grade,
      })),
      waterRule,
    )
  const colour = colourOf(additions.map((a) => ({ material: byId.get(a.materialId)!, parts: a.ul })))
  const removed = filling ? undefined : removalOf(settledG, resolutionG, state.baselineG)
  const takenBack = state.additions.at(-1)?.id === state.now?.id ? removed : undefined
  const live = here && state.baselineG !== null && grams !== null ? grams - state.baselineG : 0

  const book = () =>
    attemptOr(setTrouble, () => {
      const ul = parsePouredUl(typed, density, units, dropUl)
      carry({ kind: 'add', ul, grams: stillOn(settledG, state.baselineG) })
    })
  const next = () => {
    if (state.baselineG === null && here) {
      if (scale.settledG === null) return setTrouble(STILL_MOVING)
      return void send({ kind: 'tare', grams: scale.settledG })
    }
    if (typed.trim()) return book()
    if (read) setFilling(true)
    else setTrouble('Say what goes in first, then pour it.')
  }
  const undo = filling ? () => setFilling(false) : state.canUndo ? () => void send({ kind: 'undo' }) : undefined
  useHandKeys({ undo })
  // What is named waits its turn: dropped, the next weight would be booked as what was named before.
  const choose = (value: string) =>
    void send({ kind: 'name', source: byId.has(value) ? 'material' : 'bottle', id: value }, true)
  if (mix.mixing.ended)
    return (
      <p>
        This mix is finished.{' '}
        <Link href={mix.mixing.vesselId ? `/rack/${mix.mixing.vesselId}` : '/rack'}>To its bottle</Link>
      </p>
    )
  const recent = [...new Set(state.additions.map((a) => a.id))].slice(-5)
  const draft = read && {
    ...PLAIN,
    paints: read.recipe.paints.map((p) => ({ id: p.materialId, parts: short(p.parts) })),
    mediums: read.recipe.mediums.slice(0, 3).map((m) => ({ id: m.materialId, parts: short(m.parts) })),
    ratio: read.recipe.paints.length ? `${short(read.ratio[0])} : 1` : '',
    waterId: read.recipe.water?.materialId ?? '',
    waterParts: read.recipe.water ? short(read.recipe.water.parts) : '',
    total: `${Math.round(read.totalUl / 1000)} ml`,
  }
  return (
    <BenchProviders>
      <KeyPlace value={{ place, busy: sending }}>
        <div className={`${handStyles.screen} frame-dark`} data-step={filling ? 'label' : 'eye'}>
          <header className={benchStyles.guideHead}>
            <h1>Pour first, read after</h1>
            <span className="fill" />
            {draft ? <SaveRecipe draft={draft} role="pour" technique="straight" /> : null}
            <Link className="go second" href="/bench/eye" onClick={refresh}>
              Leave
            </Link>
          </header>
          <div className={benchStyles.guideBody}>
            <section>
              {mix.trouble ? <Notice kind="warning">{mix.trouble}</Notice> : null}
              {filling && read ? (
                <BottleForm
                  mixingId={start.id}
                  totalUl={state.totalUl}
                  label={start.plan.label}
                  role="pour"
                  units={units}
                  say={setTrouble}
                />
              ) : (
                <>
                  <StepKey
                    label={
                      state.baselineG === null && here ? 'Tare' : typed.trim() ? 'Book what was typed' : 'Into a bottle'
                    }
                    next={next}
                  />
                  <div className="row">
                    <span className="grow">
                      <Select
                        showSearch
                        size="large"
                        optionFilterProp="label"
                        aria-label="What goes in now"
                        placeholder="What goes in now?"
                        value={state.now?.id}
                        className="wide"
                        onChange={choose}
                        options={[
                          { label: 'Paints', options: list(materials, 'paint') },
                          { label: 'Mediums', options: [...list(materials, 'medium'), ...list(materials, 'additive')] },
                          { label: 'Water', options: list(materials, 'water') },
                          { label: 'Mixes left over', options: bottles.map((b) => ({ value: b.id, label: b.label })) },
                        ]}
                      />
                    </span>
                  </div>
                  <div className="row wrap">
                    {recent.map((id) => (
                      <button
                        key={id}
                        type="button"
                        className="go second"
                        aria-pressed={id === state.now?.id}
                        onClick={() => choose(id)}
                      >
                        {nameOf(id)}
                      </button>
                    ))}
                  </div>
                  <div className={benchStyles.guideNumber} data-testid="eye-live">
                    {live > 0.2 ? `+${live.toFixed(1)}` : '0.0'}
                    <span> g</span>
                  </div>
                  <p className={benchStyles.guideUnder}>
                    {state.baselineG === null && here
                      ? 'Set the empty cup on the scale and tap'
                      : now
                        ? `pour ${nameOf(state.now!.id)}; it is booked when the scale stands`
                        : 'say what goes in'}
                  </p>
                  {takenBack ? (
                    <p>
                      <button
                        type="button"
                        className="go second"
                        disabled={sending}
                        onClick={() =>
                          void send({
                            kind: 'back',
                            ul: Math.round((1000 * takenBack) / density),
                            grams: settledG!,
                          })
                        }
                      >
                        Poured back {takenBack.toFixed(1)} g of {nameOf(state.now!.id)}
                      </button>
                    </p>
                  ) : null}
                  <div className={benchStyles.guideType}>
                    <label>
                      <span>Or type it</span>
                      <HandInput
                        value={typed}
                        aria-label="What went in, typed"
                        placeholder="60 ml, 2 fl oz, 64 g"
                        onChange={(e) => setTyped(e.target.value)}
                        onEnter={book}
                        disabled={!state.now}
                      />
                    </label>
                  </div>
                  <FluidOunceTrap typed={typed} densityGPerMl={density} />
                  <ol className={eyeStyles.eyeList}>
                    {state.additions.map((a, i) => (
                      <li key={i} data-testid="addition" data-ul={a.ul}>
                        <Chip hex={byId.get(a.id)?.hex ?? bottleById.get(a.id)?.hex ?? null} /> {nameOf(a.id)}{' '}
                        <b>{formatMl(a.ul)}</b>
                      </li>
                    ))}
                  </ol>
                </>
              )}
            </section>
            <aside className={benchStyles.guideCup}>
              <Cup
                dark
                height={250}
                fullUl={Math.max(60_000, state.totalUl * 1.15)}
                layers={state.additions.map((a, i) => ({
                  id: String(i),
                  ul: a.ul,
                  label: nameOf(a.id),
                  hex: byId.get(a.id)?.hex ?? bottleById.get(a.id)?.hex ?? '#e9e9e4',
                }))}
              />
              <ScaleLine scale={scale} wanted={now ? 30 * density : undefined} />
              {read ? (
                <div className={eyeStyles.eyeRead} data-testid="read-back">
                  <div className="chipline">
                    {colour ? <Chip hex={colour.hex} size={44} /> : null}
                    <b style={{ fontSize: '1.5rem' }}>
                      {read.ratio[1]
                        ? `${formatRatio([read.ratio[0], 1])}${read.ratio[2] ? `, water ${short(read.ratio[2])}` : ''}`
                        : 'no paint yet'}
                    </b>
                  </div>
                  <small className="muted">medium : paint by volume · {formatVolume(read.totalUl)}</small>
                  {colour ? <small className="muted block">colour {colour.how} ΔE00</small> : null}
                  <dl className="facts near">
                    {read.shares.slice(0, 6).map((s) => (
                      <div key={s.materialId} className="contents">
                        <dt>{s.name}</dt>
                        <dd>{Math.round(100 * s.share)} %</dd>
                      </div>
                    ))}
                  </dl>
                  {water ? (
                    water.within ? (
                      <p className="muted">{water.sentence}</p>
                    ) : (
                      <Notice kind="warning">{water.sentence}</Notice>
                    )
                  ) : null}
                </div>
              ) : null}
            </aside>
          </div>
          <footer className={benchStyles.guideFoot}>
            <button type="button" className="guide-key" onClick={undo} disabled={!undo || sending}>
              {filling ? 'Back' : 'Undo'} <kbd>Z</kbd>
            </button>
            <span ref={setPlace} className={benchStyles.guidePlace} />
          </footer>
        </div>
      </KeyPlace>
    </BenchProviders>
  )
}

const short = (n: number) => String(Math.round(n * 100) / 100)
const list = (materials: readonly Material[], kind: Material['kind']) =>
  materials
    .filter((m) => m.kind === kind && !m.inBottle)
    .map((m) => ({ value: m.id, label: m.maker ? `${m.name} · ${m.maker}` : m.name }))
