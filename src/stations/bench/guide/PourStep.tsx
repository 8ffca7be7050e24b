'use client'

import { Input } from 'antd'
import { useEffect, useState } from 'react'
import { formatDrops, formatFlOz, formatMl } from '@/core/quantity/format'
import { parsePouredUl } from '@/core/quantity/parse'
import { Chip } from '@/ui/Drawdown'
import { attemptOr } from '@/ui/useAttempt'
import type { StepProps } from './stepProps'
import { FluidOunceTrap } from '../FluidOunceTrap'
import { StepKey } from './StepKey'
import { pouredBy, pouringOf } from './pouring'
import { useTyped } from './useTyped'
import { WeighOnce } from './WeighOnce'

/** One line: how much still to pour, huge; by the scale, by a typed amount, or as planned. */
export function PourStep({ plan, state, scale, send, sendTyped, units, say, sending }: StepProps) {
  const line = plan.lines[state.line]!
  const pouring = pouringOf(plan, state, scale.grams)!
  const { typed, setTyped, carry } = useTyped(sendTyped)
  // Of which line it was said that it is in, while the scale still moves.
  const [waitingFor, setWaitingFor] = useState<number>()
  const weighed = scale.here && state.baselineG !== null && !line.byDrop
  // A scale that went away is waited for no longer: the key books by sight or by what is typed.
  const waiting = weighed && waitingFor === state.line
  const bySight = () => send({ kind: 'pour', ul: Math.max(0, Math.round(pouring.targetUl - (state.pouredUl[state.line] ?? 0))), ...(scale.settledG === null ? {} : { grams: scale.settledG }) }) // prettier-ignore

  const next = () => {
    say(undefined)
    setWaitingFor(undefined)
    if (typed.trim())
      attemptOr(say, () => {
        const ul = parsePouredUl(typed, line.densityGPerMl, units)
        carry({ kind: 'pour', ul, ...(scale.settledG === null ? {} : { grams: scale.settledG }) })
      })
    else if (weighed) setWaitingFor(state.line)
    else bySight()
  }
  const planned = line.byDrop ? formatDrops(pouring.targetUl) : formatMl(pouring.leftUl)
  const label = waiting ? 'Hands off…' : typed.trim() ? 'Book what was typed' : weighed ? 'That is in' : `Poured ${planned}` // prettier-ignore

  // Asked for while the scale still moves: it is taken as soon as it stands.
  const { settledG } = scale
  useEffect(() => {
    if (!waiting || settledG === null || sending) return
    // The scale has come to rest: news from outside, and the key is let go.
    // eslint-disable-next-line react-hooks/set-state-in-effect
    setWaitingFor(undefined)
    const ul = pouredBy(plan, state, settledG)
    if (ul <= 0) say(`The scale shows nothing more in the cup. Pour the ${line.name}, or type what went in.`)
    else send({ kind: 'pour', ul, grams: settledG })
  }, [waiting, settledG, sending, plan, state, send, say, line.name])

  const over = pouring.leftUl < 0
  return (
    <>
      <StepKey label={label} next={next} />
      <h2 className="guide-title chipline">
        {line.hex ? <Chip hex={line.hex} size={52} /> : null}
        {line.name}
      </h2>
      {line.byDrop ? (
        <div className="guide-number" data-testid="left">
          {formatDrops(pouring.targetUl)}
        </div>
      ) : (
        <>
          <div className="guide-number" data-testid="left" data-there={pouring.isThere ? '' : undefined}>
            {Math.abs(pouring.leftG).toFixed(Math.abs(pouring.leftG) < 100 ? 1 : 0)}
            <span> g</span>
          </div>
          <p className="guide-under">
            {pouring.isThere ? 'That is it' : over ? 'too much' : 'still to pour'} · {formatMl(Math.abs(pouring.leftUl))} · {formatFlOz(Math.abs(pouring.leftUl))}
          </p>
        </>
      )}
      <div className="guide-type">
        <label>
          <span>Or type what went in</span>
          <Input
            size="large"
            value={typed}
            aria-label={`Typed: ${line.name}`}
            placeholder={`${formatMl(pouring.targetUl)}, 2 fl oz, 64 g`}
            onChange={(e) => setTyped(e.target.value)}
            onPressEnter={(e) => {
              next()
              // The one key is the hand's again.
              e.currentTarget.blur()
            }}
          />
        </label>
        <span className="muted">
          of {formatMl(pouring.targetUl)}
          {weighed ? '' : state.baselineG === null || !scale.here ? ` · ${scale.here ? 'not tared yet' : scale.why}` : ''}
        </span>
        {scale.here && !line.byDrop ? (
          <button
            type="button"
            className="go second"
            disabled={scale.settledG === null}
            onClick={() => send({ kind: 'tare', grams: scale.settledG!, heldUl: Math.max(0, Math.round(pouring.inUl - (state.pouredUl[state.line] ?? 0))) })}
          >
            Tare here
          </button>
        ) : null}
      </div>
      <FluidOunceTrap typed={typed} densityGPerMl={line.densityGPerMl} />
      <WeighOnce line={line} typed={typed} units={units} grams={weighed && scale.settledG !== null && state.baselineG !== null ? scale.settledG - state.baselineG : null} />
    </>
  )
} // prettier-ignore
