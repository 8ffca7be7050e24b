'use client'

import { Button, Input, Select } from 'antd'
import { useState } from 'react'
import { START_AGEING } from '@/core/consistency/ageing'
import { forecast } from '@/core/consistency/dilution'
import { undiluted } from '@/core/consistency/reference'
import { USUAL_TECHNIQUE } from '@/core/technique/techniques'
import { useTechniques } from '@/ui/hooks/useTechniques'
import { usualWater } from '@/core/mix/thinners'
import { LOOKS, wantedBand, type Look } from '@/core/consistency/wanted'
import { adviseWater } from '@/core/consistency/waterAdvice'
import { formatMl, formatSmall } from '@/core/quantity/format'
import { ago } from '@/ui/tables/dates'
import { EmptyState, Notice } from '@/ui/frame/Notice'
import { BenchProviders } from '@/ui/frame/Providers'
import { readVolume } from '@/ui/forms/QuantityInput'
import { useDropSizes } from '@/ui/hooks/useDropSizes'
import { useSend } from '@/ui/hooks/useSend'
import { BenchNav } from '../BenchNav'
import { waterBottleAction } from './actions'
import { adviceSentence, adviceSteps } from './Advice'
import { BandScale } from './BandScale'
import { CurveChart } from './CurveChart'
import type { ConsistencyData, DeskBottle } from './queries'
import { PairCurves } from './PairCurves'
import { ReadPanel } from './ReadPanel'
import { ReferenceStrip } from './ReferenceStrip'
import styles from '../bench.module.css'

/** Consistency as a number: read a bottle, hear how much water, see its curve, and bring a palette to one measure. */
export function ConsistencyDesk({
  data,
  first,
  now,
}: {
  data: ConsistencyData
  first?: string | undefined
  now: string
}) {
  const { bottles } = data
  const [chosen, setChosen] = useState(first ?? bottles.find((b) => b.levelTimeS !== null)?.id ?? bottles[0]?.id ?? '')
  const techniques = useTechniques()
  const [technique, setTechnique] = useState<string>()
  const [look, setLook] = useState<Look>('as usual')
  const [palette, setPalette] = useState<string>()
  const [waterId, setWaterId] = useState(usualWater(data.waters)?.id)
  const bottle = bottles.find((b) => b.id === chosen)
  const palettes = [...new Set(bottles.map((b) => b.palette).filter(Boolean))].sort()
  const shown = palette ?? bottle?.palette ?? ''
  const strip = bottles
    .filter((b) => (shown ? b.palette === shown : b.id === chosen || b.levelTimeS !== null))
    .slice(0, 14)
  const key = technique ?? bottle?.technique ?? USUAL_TECHNIQUE
  const meantFor = techniques.find(key)
  return (
    <BenchProviders>
      <div className="head">
        <h1>
          Bench <span className="sub">consistency, read and learned</span>
        </h1>
      </div>
      <BenchNav here="/bench/consistency" />
      {!bottle ? (
        <EmptyState title="No bottle to read">
          Mix a bottle first; then time its mound here, and its curve is learned.
        </EmptyState>
      ) : (
        <>
          <div className="tools">
            <Select
              showSearch
              optionFilterProp="label"
              aria-label="Bottle"
              value={chosen}
              onChange={setChosen}
              className="w280"
              options={bottles.map((b) => ({ value: b.id, label: b.label }))}
            />
            <Select
              aria-label="Technique"
              value={key}
              onChange={setTechnique}
              className="w240"
              options={techniques.all.map((t) => ({ value: t.key, label: t.name }))}
            />
            <Select<Look>
              aria-label="Look"
              value={look}
              onChange={setLook}
              className="w150"
              options={LOOKS.map((l) => ({ value: l, label: l }))}
            />
            <Select
              aria-label="Water"
              value={waterId}
              onChange={setWaterId}
              className="w190"
              options={data.waters.map((w) => ({ value: w.id, label: w.name }))}
            />
          </div>
          {meantFor ? (
            <Reading
              key={bottle.id}
              bottle={bottle}
              data={data}
              bandS={wantedBand(meantFor, look, bottle.role)}
              waterId={waterId}
              now={now}
            />
          ) : (
            <Notice>Choose what it is thinned for, and the water it wants is worked out.</Notice>
          )}
          <section className="panel below" aria-label="Side by side">
            <div className="head close">
              <h2 className="flush">Beside one another</h2>
              <Select
                aria-label="Palette"
                value={shown}
                onChange={setPalette}
                className="w240"
                options={[{ value: '', label: 'all that were read' }, ...palettes.map((p) => ({ value: p, label: p }))]}
              />
            </div>
            <ReferenceStrip bottles={strip} waterId={waterId} chosen={chosen} onChoose={setChosen} />
          </section>
          {data.learned.length ? (
            <section className="panel below" aria-label="Curves">
              <h2>What has been learned of each paint and medium?</h2>
              <PairCurves pairs={data.learned} />
            </section>
          ) : null}
        </>
      )}
    </BenchProviders>
  )
}

function Reading({
  bottle,
  data,
  bandS,
  waterId,
  now,
}: {
  bottle: DeskBottle
  data: ConsistencyData
  bandS: readonly [number, number]
  waterId: string | undefined
  now: string
}) {
  const { water: dropUl } = useDropSizes()
  const [typed, setTyped] = useState('')
  const [trouble, setTrouble] = useState<string>()
  const { send, pending, refusal } = useSend<null>()
  const expected = forecast(bottle.belief, bottle.w)
  const seconds = Math.exp(expected.lnT)
  const advice = adviseWater({
    belief: bottle.belief,
    w: bottle.w,
    undilutedUl: undiluted(bottle.w, bottle.ul),
    bandS,
    roomUl: bottle.roomUl,
    readW: [...bottle.points, ...bottle.others].map((p) => p.w),
  })
  const firstUl = advice.stepsUl[0] ?? advice.waterUl
  const add = () => {
    const read = typed.trim() ? readVolume(typed, data.units, dropUl) : { value: firstUl }
    if (!read.value) return setTrouble(read.sentence ?? 'Type how much water went in, like 6 drops.')
    setTrouble(undefined)
    const ul = read.value
    send(
      (requestId) => waterBottleAction({ requestId, vesselId: bottle.id, waterId, ul, note: 'to consistency' }),
      () => setTyped(''),
      `${formatSmall(ul, dropUl)} booked`,
    )
  }
  return (
    <div className={styles.consistency}>
      <div className="grid">
        <ReadPanel bottle={bottle} pairs={data.pairs} />
        <section className="panel" aria-label="Water advice">
          <h2>How much water?</h2>
          <div className="big" data-testid="advice" data-ul={firstUl}>
            {firstUl > 0
              ? formatSmall(firstUl, dropUl)
              : advice.kind === 'good'
                ? 'none'
                : advice.mediumUl
                  ? `${formatMl(advice.mediumUl)} medium`
                  : '—'}
            {firstUl > 0 && advice.stepsUl.length > 1 ? <small className="muted"> first</small> : null}
          </div>
          <p className="near">
            {adviceSentence(advice, dropUl)} {adviceSteps(advice, dropUl)}
          </p>
          <p className="muted">{bottle.limit}</p>
          <div className="row">
            <span className="grow">
              <Input
                size="large"
                value={typed}
                aria-label="Water that went in"
                placeholder={firstUl > 0 ? formatSmall(firstUl, dropUl) : '6 drops, 0.4 ml'}
                onChange={(e) => setTyped(e.target.value)}
                onPressEnter={add}
              />
            </span>
            <Button size="large" type="primary" loading={pending} onClick={add} disabled={!waterId}>
              Added
            </Button>
          </div>
          {trouble || refusal ? <Notice kind="warning">{trouble ?? refusal?.message}</Notice> : null}
        </section>
      </div>
      <div className="grid">
        <section className="panel" aria-label="As it is">
          <div className="head close">
            <h2 className="flush">{bottle.label}</h2>
            <span className="muted">
              {bottle.levelTimeS === null
                ? 'not read yet'
                : `read ${ago(bottle.readAt!, new Date(now))}: ${bottle.levelTimeS.toFixed(2)} s`}{' '}
              · expected now {seconds.toFixed(1)} s, {Math.exp(expected.lnT - 1.2816 * expected.sd).toFixed(1)} to{' '}
              {Math.exp(expected.lnT + 1.2816 * expected.sd).toFixed(1)}
            </span>
          </div>
          <BandScale bands={data.bands} wantedS={bandS} nowS={seconds} />
          <p className="muted after">
            Wanted {bandS[0]} to {bandS[1]} s, by technique, look and role: start values of Fika.{' '}
            {ageingSentence(data.ageing)}
          </p>
        </section>
        <section className="panel" aria-label="Curve">
          <h2>What does water do to {bottle.pair || 'it'}?</h2>
          <CurveChart belief={bottle.belief} points={bottle.points} others={bottle.others} w={bottle.w} bandS={bandS} />
        </section>
      </div>
    </div>
  )
}

const percent = (perDay: number) => (100 * Math.expm1(perDay)).toFixed(1)

/** What is reckoned for standing, and how sure it is. */
const ageingSentence = ({ perDay, sd }: ConsistencyData['ageing']) =>
  `Standing thickens mixes by about ${percent(perDay)} % a day (± ${percent(sd)}), ${sd < START_AGEING.sd ? 'as bottles showed that were read again' : 'a start value of Fika until bottles are read again after some days'}; that is in what is expected now.`
