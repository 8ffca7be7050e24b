'use client'

import { useEffect, useState } from 'react'
import { additionOf, stillOn } from '@/core/device/settle'
import { dropOf } from '@/core/quantity/dropSizes'
import { formatDrops, formatFlOz, formatMl, formatSpoons, isCounted } from '@/core/quantity/format'
import { parsePouredUl } from '@/core/quantity/parse'
import { HandInput } from '@/ui/forms/HandInput'
import { Chip } from '@/ui/pictures/Drawdown'
import { attemptOr } from '@/ui/hooks/useAttempt'
import { useDropSizes } from '@/ui/hooks/useDropSizes'
import type { StepProps } from './stepProps'
import { FluidOunceTrap } from '../FluidOunceTrap'
import { StepKey } from '@/ui/hand/StepKey'
import { pouredBy, pouringOf } from './pouring'
import { useTyped } from '@/ui/hand/useTyped'
import { WeighOnce } from './WeighOnce'
import guideStyles from './guide.module.css'
import benchStyles from '../bench.module.css'

/** How long what was poured may take to show on the screen, ms. */
const LATE_MS = 1500

/** One line: how much still to pour, huge; by the scale, by a typed amount, or as planned. */
export function PourStep({ plan, state, scale, send, sendTyped, units, say, sending }: StepProps) {
  const line = plan.lines[state.line]!
  const pouring = pouringOf(plan, state, scale.grams, scale.resolutionG)!
  const { typed, setTyped, carry } = useTyped(sendTyped)
  const dropUl = dropOf(useDropSizes(), line.kind)
  // More of it than anybody counts is weighed, or scooped.
  const byDrop = line.byDrop && isCounted(pouring.targetUl, dropUl)
  const scoop = line.byDrop ? formatSpoons(pouring.targetUl) : ''
  // Of which line it was said that it is in, before the scale has shown it and stands.
  const [asked, setAsked] = useState<{ line: number; late: boolean }>()
  const weighed = scale.here && state.baselineG !== null && !byDrop
  // A scale that went away is waited for no longer: the key books by sight or by what is typed.
  const waiting = weighed && asked?.line === state.line
  const grams = stillOn(scale.settledG, state.baselineG)
  const bySight = () =>
    send({ kind: 'pour', ul: Math.max(0, Math.round(pouring.targetUl - (state.pouredUl[state.line] ?? 0))), grams })

  const next = () => {
    say(undefined)
    setAsked(undefined)
    if (typed.trim())
      attemptOr(say, () => {
        const ul = parsePouredUl(typed, line.densityGPerMl, units, dropUl)
        carry({ kind: 'pour', ul, grams })
      })
    else if (weighed) setAsked({ line: state.line, late: false })
    else bySight()
  }
  const planned = byDrop ? formatDrops(pouring.targetUl, dropUl) : formatMl(pouring.leftUl)
  const label = waiting
    ? 'Hands off…'
    : typed.trim()
      ? 'Book what was typed'
      : weighed
        ? 'That is in'
        : `Poured ${planned}`

  // Asked for before the scale has shown it: it is taken as soon as it stands. What it shows comes late, on a slow
  // tablet more so; only after a while is a weight that has not changed taken for nothing poured.
  const { settledG, resolutionG } = scale
  useEffect(() => {
    if (!asked || asked.late) return
    const timer = setTimeout(() => setAsked({ ...asked, late: true }), LATE_MS)
    return () => clearTimeout(timer)
  }, [asked])
  useEffect(() => {
    if (!waiting || settledG === null || sending) return
    const shown = state.heldUl > 0 || additionOf(settledG, resolutionG, state.baselineG ?? 0) !== undefined
    if (!shown && !asked?.late) return
    // The scale has come to rest: news from outside, and the key is let go.
    // eslint-disable-next-line react-hooks/set-state-in-effect
    setAsked(undefined)
    const ul = pouredBy(plan, state, settledG)
    if (ul <= 0) say(`The scale shows nothing more in the cup. Pour the ${line.name}, or type what went in.`)
    else send({ kind: 'pour', ul, grams: settledG })
  }, [waiting, asked, settledG, resolutionG, sending, plan, state, send, say, line.name])

  const over = pouring.leftUl < 0
  return (
    <>
      <StepKey label={label} next={next} />
      <h2 className={`${guideStyles.guideTitle} chipline`}>
        {line.hex ? <Chip hex={line.hex} size={52} /> : null}
        {line.name}
      </h2>
      {byDrop ? (
        <div className={benchStyles.guideNumber} data-testid="left">
          {formatDrops(pouring.targetUl, dropUl)}
        </div>
      ) : (
        <>
          <div className={benchStyles.guideNumber} data-testid="left" data-there={pouring.isThere ? '' : undefined}>
            {Math.abs(pouring.leftG).toFixed(Math.abs(pouring.leftG) < 100 ? 1 : 0)}
            <span> g</span>
          </div>
          <p className={benchStyles.guideUnder}>
            {pouring.isThere ? 'That is it' : over ? 'too much' : 'still to pour'} ·{' '}
            {formatMl(Math.abs(pouring.leftUl))} · {scoop || formatFlOz(Math.abs(pouring.leftUl))}
          </p>
        </>
      )}
      <div className={benchStyles.guideType}>
        <label>
          <span>Or type what went in</span>
          <HandInput
            value={typed}
            aria-label={`Typed: ${line.name}`}
            placeholder={`${formatMl(pouring.targetUl)}, 2 fl oz, 64 g`}
            onChange={(e) => setTyped(e.target.value)}
            onEnter={next}
          />
        </label>
        <span className="muted">
          of {formatMl(pouring.targetUl)}
          {weighed
            ? ''
            : state.baselineG === null || !scale.here
              ? ` · ${scale.here ? 'not tared yet' : scale.why}`
              : ''}
        </span>
        {scale.here && !byDrop ? (
          <button
            type="button"
            className="go second"
            disabled={scale.settledG === null}
            onClick={() =>
              send({
                kind: 'tare',
                grams: scale.settledG!,
                heldUl: Math.max(0, Math.round(pouring.inUl - (state.pouredUl[state.line] ?? 0))),
              })
            }
          >
            Tare here
          </button>
        ) : null}
      </div>
      <FluidOunceTrap typed={typed} densityGPerMl={line.densityGPerMl} />
      <WeighOnce
        line={line}
        typed={typed}
        units={units}
        grams={weighed && scale.settledG !== null && state.baselineG !== null ? scale.settledG - state.baselineG : null}
      />
    </>
  )
}
