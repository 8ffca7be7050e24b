'use client'

import { STILL_MOVING } from '@/core/device/settle'
import { useState } from 'react'
import { formatFlOz, formatMl } from '@/core/quantity/format'
import { parsePouredUl } from '@/core/quantity/parse'
import type { AmountWay } from '@/core/run/events'
import { squeezeOf } from '@/core/run/loading'
import { HandInput } from '@/ui/forms/HandInput'
import { StepKey } from '@/ui/hand/StepKey'
import { attemptOr } from '@/ui/hooks/useAttempt'
import { useDropSizes } from '@/ui/hooks/useDropSizes'
import { Chip } from '@/ui/pictures/Drawdown'
import type { TableBottle } from './desk'
import { Key } from './Key'
import type { RunStepProps } from './stepProps'
import styles from './run.module.css'

export interface Amount {
  readonly ul: number
  readonly how: AmountWay
  readonly grams?: number | undefined
  readonly squeezes?: number | undefined
}

/** How much of a bottle goes in: huge, by the scale, by what is typed, by a squeeze, or as planned. */
export function GiveAmount({
  state,
  scale,
  send,
  say,
  desk,
  bottle,
  into,
  plannedUl,
  inUl,
  give,
}: RunStepProps & {
  bottle: TableBottle
  /** Where it goes, in words. */
  into: string
  /** What is planned and what of it is in; null where nothing is planned. */
  plannedUl: number | null
  inUl: number
  give: (amount: Amount) => boolean
}) {
  const [typed, setTyped] = useState('')
  const { paint: dropUl } = useDropSizes()
  const { baselineG } = state
  const density = bottle.densityGPerMl
  const weighed = scale.here && baselineG !== null
  const live = weighed && scale.grams !== null ? scale.grams - baselineG : 0
  const leftUl = plannedUl === null ? null : plannedUl - inUl - (1000 * live) / density
  const shownG = leftUl === null ? live : (leftUl / 1000) * density
  const stands = scale.settledG ?? undefined
  // An amount that is booked while it moves would be weighed a second time with the next one.
  const moving = weighed && stands === undefined && !scale.overload
  const restUl = plannedUl === null ? 0 : Math.max(0, plannedUl - inUl)

  const squeeze = squeezeOf(bottle.id, desk.squeezed)

  const book = (squeezes?: number) => {
    say(undefined)
    if (moving) return say(STILL_MOVING)
    if (typed.trim())
      return attemptOr(say, () => {
        const ul = parsePouredUl(typed, density, desk.units, dropUl)
        if (give({ ul, how: 'typed', grams: weighed ? stands : undefined })) setTyped('')
      })
    if (scale.here && baselineG === null) return tare()
    if (weighed) {
      if (stands === undefined) return say('The scale shows no weight. Take something off it, or type what went in.')
      const ul = Math.round((1000 * (stands - baselineG)) / density)
      if (ul <= 0) return say(`The scale shows nothing more. Pour the ${bottle.label}, or type what went in.`)
      return void give({ ul, how: 'scale', grams: stands, squeezes })
    }
    if (restUl > 0) return void give({ ul: restUl, how: 'eye' })
    say('Type how much went in, like 12 ml or 14 g.')
  }
  const tare = () => {
    if (stands === undefined) return say(STILL_MOVING)
    send({ kind: 'tare', grams: stands })
  }
  const label = typed.trim()
    ? 'Book what was typed'
    : scale.here && baselineG === null
      ? 'Tare'
      : weighed
        ? 'That is in'
        : restUl > 0
          ? `Poured ${formatMl(restUl)}`
          : 'Type what went in'
  return (
    <>
      <StepKey label={label} next={() => book()} />
      <h2 className={`${styles.title} chipline`}>
        <Chip hex={bottle.hex} sheen={bottle.sheen} size={48} />
        <span>
          {bottle.label} <small className="muted">{into}</small>
        </span>
      </h2>
      {weighed || leftUl === null ? (
        <div className={styles.number} data-testid="left">
          {Math.abs(shownG).toFixed(Math.abs(shownG) < 100 ? 1 : 0)}
          <span> g</span>
        </div>
      ) : (
        <div className={styles.number} data-testid="left">
          {(leftUl / 1000).toFixed(leftUl < 100_000 ? 1 : 0)}
          <span> ml</span>
        </div>
      )}
      <p className={styles.under}>
        {leftUl === null
          ? `in so far · ${formatMl(Math.max(0, (1000 * live) / density))}`
          : leftUl < 0
            ? `too much · ${formatMl(-leftUl)}: it counts as it is`
            : `still to pour · ${formatMl(leftUl)} · ${formatFlOz(leftUl)}`}
      </p>
      <div className={styles.typed}>
        <label>
          <span>Or type what went in</span>
          <HandInput
            value={typed}
            aria-label={`Typed: ${bottle.label}`}
            placeholder="12 ml, 0.5 fl oz, 14 g"
            onChange={(e) => setTyped(e.target.value)}
            onEnter={() => book()}
          />
        </label>
        {weighed && !typed.trim() ? (
          <Key press={() => book(1)}>
            <span>
              That was one squeeze<small>as weighed, and remembered</small>
            </span>
          </Key>
        ) : (
          <Key
            press={() =>
              moving
                ? say(STILL_MOVING)
                : void give({ ul: squeeze.ul, how: 'eye', grams: weighed ? stands : undefined })
            }
          >
            <span>
              A squeeze
              <small>
                {formatMl(squeeze.ul)},{' '}
                {squeeze.learnedFrom ? `learned from ${squeeze.learnedFrom}` : 'start value of Fika'}
              </small>
            </span>
          </Key>
        )}
        {scale.here && baselineG !== null ? (
          <Key press={tare}>
            <span>
              Tare here<small>another cup</small>
            </span>
          </Key>
        ) : null}
      </div>
      {scale.here ? null : <p className="muted">{scale.why}</p>}
      {bottle.ul < (plannedUl ?? 0) - inUl ? (
        <p className="muted">By the books it holds {formatMl(bottle.ul)}. Pour on: what is more is booked as found.</p>
      ) : null}
    </>
  )
}
