'use client'

import { Link } from '@/ui/frame/Link'
import { useState } from 'react'
import { guideState, standing, type GuideEvent } from '@/core/mix/guide'
import { formatFlOz, formatMl } from '@/core/quantity/format'
import type { UnitSystem } from '@/core/quantity/parse'
import type { Band } from '@/core/consistency/levelTime'
import { Cup } from '@/ui/pictures/Cup'
import { Notice } from '@/ui/frame/Notice'
import { BenchProviders } from '@/ui/frame/Providers'
import { useHandKeys } from '@/ui/hooks/useHandKeys'
import { STILL_MOVING } from '@/core/device/settle'
import { useScale } from '@/ui/hooks/useScale'
import { JudgeStep } from './JudgeStep'
import { LabelStep } from './LabelStep'
import { OvershootStep } from './OvershootStep'
import { PourStep } from './PourStep'
import { ScaleLine } from '@/ui/hand/ScaleLine'
import { KeyPlace, StepKey } from '@/ui/hand/StepKey'
import { pouringOf } from './pouring'
import type { StepProps } from './stepProps'
import { useMixing } from './useMixing'
import { useAwake } from '@/ui/hand/useAwake'
import { useTone } from '@/ui/hand/useTone'
import type { GuidedMixing } from '@/db/mixings/write'
import handStyles from '@/ui/hand/hand.module.css'
import benchStyles from '../bench.module.css'
import guideStyles from './guide.module.css'

const PLACES = [
  ['prepare', 'Shake, strain'],
  ['cup', 'Cup'],
  ['pour', 'Pour'],
  ['stir', 'Stir'],
  ['judge', 'Water, judge'],
  ['label', 'Label, rest'],
] as const

/** A mix step by step, full screen: one huge number, one filling cup, one key. */
export function GuideScreen({
  start,
  bands,
  units,
}: {
  start: GuidedMixing
  bands: readonly Band[]
  units: UnitSystem
}) {
  const guide = useMixing(start)
  const scale = useScale()
  const { plan } = guide.mixing
  const state = guideState(plan, guide.events as readonly GuideEvent[])
  const [sound, setSound] = useState(false)
  const [place, setPlace] = useState<HTMLElement | null>(null)
  const send = (event: GuideEvent) => void guide.send(event, event.kind === 'reading' || event.kind === 'undo')
  const sendTyped = (event: GuideEvent) => guide.send(event, true)
  const undo = state.canUndo ? () => send({ kind: 'undo' }) : undefined
  useHandKeys({ undo })
  const pouring = pouringOf(plan, state, scale.grams, scale.resolutionG)
  useTone(sound, pouring && scale.here ? pouring.leftUl / pouring.targetUl : null)
  useAwake()
  if (guide.mixing.ended) return <Ended vesselId={guide.mixing.vesselId} />

  const here = state.step === 'overshoot' ? 'pour' : state.step
  const layers = plan.lines.map((l, i) => ({
    id: l.id,
    label: l.name,
    hex: l.hex ?? (l.kind === 'water' ? '#cfd3d3' : '#e9e9e4'),
    ul: i === state.line && pouring ? Math.max(0, pouring.inUl) : (state.pouredUl[i] ?? 0),
  }))
  const shown = layers.filter((l) => l.ul > 0)
  if (state.wateredUl > 0) shown.push({ id: 'water', label: 'water', hex: '#cfd3d3', ul: state.wateredUl })
  const totalUl = shown.reduce((s, l) => s + l.ul, 0)
  const wholeUl = state.targetsUl.reduce((a, b) => a + b, 0)
  const step = { plan, state, scale, send, sendTyped, units, bands, sending: guide.sending, say: guide.setTrouble }
  return (
    <BenchProviders>
      <KeyPlace value={{ place, busy: guide.sending }}>
        <div className={`${handStyles.screen} frame-dark`} data-step={state.step}>
          <header className={benchStyles.guideHead}>
            <h1>{plan.label || 'A mix'}</h1>
            <ol className={guideStyles.guidePlaces} aria-label="Steps">
              {PLACES.map(([key, name]) => (
                <li key={key} aria-current={key === here ? 'step' : undefined}>
                  {key === 'pour' && here === 'pour'
                    ? `${name} ${Math.min(plan.lines.length, Math.max(1, state.line + 1))} of ${plan.lines.length}`
                    : name}
                </li>
              ))}
            </ol>
            <button type="button" className="go second" aria-pressed={sound} onClick={() => setSound(!sound)}>
              Tone {sound ? 'on' : 'off'}
            </button>
            <Link className="go second" href="/bench">
              Leave
            </Link>
          </header>
          <div className={benchStyles.guideBody}>
            <section aria-live="polite">
              {guide.trouble ? <Notice kind="warning">{guide.trouble}</Notice> : null}
              {state.step === 'prepare' ? (
                <Plain {...step} title="First" list={plan.prepare} otherwise="Nothing to shake. Go on." label="Done" />
              ) : null}
              {state.step === 'cup' ? <CupStep {...step} /> : null}
              {state.step === 'pour' ? <PourStep {...step} /> : null}
              {state.step === 'overshoot' ? <OvershootStep {...step} /> : null}
              {state.step === 'stir' ? (
                <Plain
                  {...step}
                  title="Stir"
                  list={['Slowly, no bubbles. Scrape the sides and the floor, stir again.', ...plan.steps]}
                  label="Stirred"
                />
              ) : null}
              {state.step === 'judge' ? <JudgeStep {...step} /> : null}
              {state.step === 'label' ? <LabelStep {...step} mixingId={start.id} /> : null}
            </section>
            <aside className={benchStyles.guideCup}>
              <Cup
                layers={shown}
                fullUl={Math.max(plan.cupUl ?? 0, wholeUl * 1.12, totalUl, 1)}
                markUl={wholeUl}
                dark
                height={380}
              />
              <div className="guide-total" data-testid="guide-total" data-ul={Math.round(state.totalUl)}>
                {formatMl(totalUl)} <small>{formatFlOz(totalUl)}</small>
              </div>
              <ScaleLine scale={scale} wanted={pouring ? pouring.leftG : undefined} />
            </aside>
          </div>
          <footer className={benchStyles.guideFoot}>
            <button type="button" className="guide-key" onClick={undo} disabled={!undo}>
              Undo <kbd>Z</kbd>
              <small>{undo ? lastOf(guide.events as readonly GuideEvent[]) : ''}</small>
            </button>
            <span ref={setPlace} className={benchStyles.guidePlace} />
          </footer>
        </div>
      </KeyPlace>
    </BenchProviders>
  )
}

const SAID: Readonly<Record<string, string>> = {
  next: 'the last step',
  tare: 'the tare',
  pour: 'the last pour',
  follow: 'keeping the ratio',
  keep: 'leaving it',
  water: 'the last water',
  reading: 'the last time',
  good: 'it is good',
}
const lastOf = (events: readonly GuideEvent[]) => SAID[standing(events).at(-1)?.kind ?? ''] ?? ''

function Plain({
  send,
  title,
  list,
  otherwise,
  label,
}: StepProps & { title: string; list: readonly string[]; otherwise?: string; label: string }) {
  return (
    <>
      <StepKey label={label} next={() => send({ kind: 'next' })} />
      <h2 className={guideStyles.guideTitle}>{title}</h2>
      {list.length ? (
        <ul className={guideStyles.guideList}>
          {list.map((l) => (
            <li key={l}>{l}</li>
          ))}
        </ul>
      ) : (
        <p className={benchStyles.guideSay}>{otherwise}</p>
      )}
    </>
  )
}

function CupStep({ send, scale, plan, say }: StepProps) {
  const next = () => {
    if (!scale.here) return send({ kind: 'next' })
    if (scale.settledG === null) return say(STILL_MOVING)
    send({ kind: 'tare', grams: scale.settledG })
  }
  const sum = plan.lines.reduce((s, l) => s + l.plannedUl, 0)
  return (
    <>
      <StepKey label={scale.here ? 'Tare' : 'No scale: by volume'} next={next} />
      <h2 className={guideStyles.guideTitle}>Set the empty cup on the scale</h2>
      <p className={benchStyles.guideSay}>
        {formatMl(sum)} will go in{plan.cupUl ? `; the cup holds ${formatMl(plan.cupUl)}` : ''}. Set the scale to grams:
        one that shows fl oz takes everything for water.
      </p>
      {plan.cupUl !== null && sum > plan.cupUl ? (
        <Notice kind="warning">The cup is too small for this. Take a larger one, or go back and mix less.</Notice>
      ) : null}
      {!scale.here ? <p className={benchStyles.guideSay}>{scale.why}</p> : null}
    </>
  )
}

function Ended({ vesselId }: { vesselId: string | null }) {
  return (
    <div className={`${handStyles.screen} frame-dark`}>
      <div style={{ padding: 60 }}>
        <h2 className={guideStyles.guideTitle}>This mix is finished</h2>
        <p className={benchStyles.guideSay}>
          <Link href={vesselId ? `/rack/${vesselId}` : '/rack'}>{vesselId ? 'To its bottle' : 'To the rack'}</Link>
        </p>
      </div>
    </div>
  )
}
