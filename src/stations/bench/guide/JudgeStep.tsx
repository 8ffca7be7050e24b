'use client'

import { learn } from '@/core/consistency/dilution'
import { waterContent, wAfter } from '@/core/consistency/reference'
import { adviseWater } from '@/core/consistency/waterAdvice'
import { additionOf, stillOn, STILL_MOVING } from '@/core/device/settle'
import { pouredWater } from '@/core/mix/guide'
import { judgeWater } from '@/core/mix/waterLimit'
import { formatMl, formatSmall, formatSmallBeside } from '@/core/quantity/format'
import { parsePouredUl } from '@/core/quantity/parse'
import { HandInput } from '@/ui/forms/HandInput'
import { attemptOr } from '@/ui/hooks/useAttempt'
import { useDropSizes } from '@/ui/hooks/useDropSizes'
import { adviceSentence, adviceSteps } from '../consistency/Advice'
import { BandScale } from '../consistency/BandScale'
import { useTries } from '@/ui/hand/useTries'
import type { StepProps } from './stepProps'
import { StepKey } from '@/ui/hand/StepKey'
import { amountsOf } from './pouring'
import { useTyped } from '@/ui/hand/useTyped'
import guideStyles from './guide.module.css'
import benchStyles from '../bench.module.css'

/** Time the mound, hear how much water, add it, time it again; until it is as wanted. */
export function JudgeStep(props: StepProps) {
  const { plan, state, bands } = props
  const last = state.readings.at(-1)
  const read = last && last.atUl === state.wateredUl ? last : undefined
  return (
    <>
      <BandScale bands={bands} wantedS={plan.bandS} nowS={last?.levelTimeS ?? null} />
      {read ? <WaterPart {...props} /> : <WatchPart {...props} />}
    </>
  )
}

function WatchPart({ plan, send, state }: StepProps) {
  const watch = useTries((reading, clear) => {
    send({ kind: 'reading', ...reading, how: 'stopwatch' })
    clear()
  })
  return (
    <>
      <StepKey label={watch.running ? 'The mound is gone' : 'The ribbon stops'} next={watch.press} always />
      <h2 className={guideStyles.guideTitle}>Time the mound, {watch.turn}</h2>
      <div className={`${benchStyles.guideNumber} ${guideStyles.guideNumberMid}`} data-testid="watch">
        {watch.seconds.toFixed(1)}
        <span> s</span>
      </div>
      <p className={benchStyles.guideUnder}>
        {watch.running ? 'press when the mound is gone' : 'press when the ribbon stops falling'} · wanted{' '}
        {plan.bandS[0]}–{plan.bandS[1]} s
      </p>
      <p className={benchStyles.guideSay}>
        {watch.said ? `So far ${watch.said}. ` : ''}
        {watch.enough ? (
          <button type="button" className="plain" onClick={watch.enough}>
            That is enough
          </button>
        ) : null}{' '}
        <button type="button" className="plain" onClick={() => send({ kind: 'good' })}>
          {state.readings.length ? 'It is good, go on' : 'By eye: it is good, go on'}
        </button>
      </p>
    </>
  )
}

function WaterPart({ plan, state, scale, send, sendTyped, units, say }: StepProps) {
  const { water: dropUl } = useDropSizes()
  const cup = pouredWater(plan, state)
  const at = (ul: number) => wAfter(waterContent(cup), cup.ul, ul)
  const points = state.readings.map((r) => ({ w: at(r.atUl), lnT: Math.log(r.levelTimeS), sigma: r.sigma }))
  const belief = learn(plan.belief, [{ points, tau: 0 }])
  const water = judgeWater(amountsOf(plan, state), plan.waterRule ?? { school: 'paint-30' })
  const advice = adviseWater({
    belief,
    w: at(state.wateredUl),
    undilutedUl: cup.ul - cup.waterUl,
    bandS: plan.bandS,
    roomUl: plan.water ? water.roomUl : 0,
    readW: points.map((p) => p.w),
  })
  const last = state.readings.at(-1)!
  const good = last.levelTimeS >= plan.bandS[0] && last.levelTimeS <= plan.bandS[1]
  const { typed, setTyped, carry } = useTyped(sendTyped)
  const onScale =
    state.baselineG === null ? undefined : additionOf(scale.settledG ?? undefined, scale.resolutionG, state.baselineG)
  const weighedUl = plan.water && onScale ? Math.round((1000 * onScale) / plan.water.densityGPerMl) : 0
  const suggestedUl = weighedUl || advice.stepsUl[0] || advice.waterUl
  const add = () =>
    attemptOr(say, () => {
      const isTyped = typed.trim() !== ''
      const ul = isTyped ? parsePouredUl(typed, plan.water?.densityGPerMl ?? 1, units, dropUl) : suggestedUl
      if (!plan.water) return say('This mix has no water to thin it with. Use medium, or go on as it is.')
      if (!(ul > 0)) return say('Type how much water went in, like 6 drops.')
      // Booked as advised now, what the scale shows a moment later would be taken for more water.
      if (!isTyped && scale.here && state.baselineG !== null && scale.settledG === null) return say(STILL_MOVING)
      const event = { kind: 'water', ul, grams: stillOn(scale.settledG, state.baselineG) } as const
      if (isTyped) carry(event)
      else send(event)
    })
  const done = !typed.trim() && (suggestedUl <= 0 || (good && !weighedUl))
  const label = done
    ? 'It is good'
    : typed.trim()
      ? 'Added what was typed'
      : `Added ${formatSmall(suggestedUl, dropUl)}`
  return (
    <>
      <StepKey label={label} next={() => (done ? send({ kind: 'good' }) : add())} />
      <h2 className={guideStyles.guideTitle} data-testid="reading">
        {last.levelTimeS.toFixed(2)} s{' '}
        <small>
          {last.tries.length > 1
            ? `middle of ${last.tries.length}, ${Math.min(...last.tries).toFixed(2)} to ${Math.max(...last.tries).toFixed(2)}`
            : 'one try'}
        </small>
      </h2>
      {good ? (
        <p className={`${benchStyles.guideSay} ${guideStyles.guideLoud}`}>
          It is as wanted: {plan.bandS[0]}–{plan.bandS[1]} s.
        </p>
      ) : (
        <>
          <Amount
            suggestedUl={suggestedUl}
            mediumUl={advice.mediumUl}
            weighed={weighedUl > 0}
            first={advice.stepsUl.length > 1}
          />
          <p className={benchStyles.guideSay}>
            {adviceSentence(advice, dropUl)} {adviceSteps(advice, dropUl)}
          </p>
        </>
      )}
      <p className="muted">
        {water.sentence} {formatMl(state.wateredUl)} of water so far.
      </p>
      <div className={benchStyles.guideType}>
        <label>
          <span>Or type the water</span>
          <HandInput
            value={typed}
            aria-label="Water that went in"
            placeholder="6 drops, 0.4 ml"
            onChange={(e) => setTyped(e.target.value)}
            onEnter={add}
          />
        </label>
        {good ? null : (
          <button type="button" className="go second" onClick={() => send({ kind: 'good' })}>
            Leave it so, go on
          </button>
        )}
        {good && plan.water ? (
          <button type="button" className="go second" onClick={add} disabled={!typed.trim()}>
            Add it all the same
          </button>
        ) : null}
      </div>
    </>
  )
}

/** What goes in now: drops while one counts them, else ml. */
function Amount({
  suggestedUl,
  mediumUl,
  weighed,
  first,
}: {
  suggestedUl: number
  mediumUl: number
  weighed: boolean
  /** More is to follow after a stir and a look. */
  first: boolean
}) {
  const { water: dropUl } = useDropSizes()
  const [number, unit] = (suggestedUl > 0 ? formatSmall(suggestedUl, dropUl) : formatMl(mediumUl)).split('\u00a0')
  return (
    <>
      <div
        className={`${benchStyles.guideNumber} ${guideStyles.guideNumberMid}`}
        data-testid="advice"
        data-ul={suggestedUl}
      >
        {number}
        <span> {unit}</span>
      </div>
      <p className={benchStyles.guideUnder}>
        {suggestedUl > 0
          ? `${weighed ? 'by the scale' : first ? 'of water, first' : 'of water'} · ${formatSmallBeside(suggestedUl, dropUl)}`
          : 'of medium'}
      </p>
    </>
  )
}
