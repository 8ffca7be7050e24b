'use client'

import { useState } from 'react'
import { formatMl, formatSmall } from '@/core/quantity/format'
import { parseVolumeUl } from '@/core/quantity/parse'
import { tableAdvice } from '@/core/run/tableFlow'
import { HandInput } from '@/ui/forms/HandInput'
import { StepKey } from '@/ui/hand/StepKey'
import { useTries } from '@/ui/hand/useTries'
import { attemptOr } from '@/ui/hooks/useAttempt'
import { useDropSizes } from '@/ui/hooks/useDropSizes'
import { Chip } from '@/ui/pictures/Drawdown'
import type { TableBottle } from '../desk'
import { Key } from '../Key'
import type { RunStepProps } from '../stepProps'
import styles from '../run.module.css'

/** Every bottle once: shake it, time its mound with the key, or say that it is fine; drops that bring it there. */
export function BottlesStep(props: RunStepProps) {
  const { plan, state, bottleOf, next } = props
  const bottles = plan.bottles.flatMap((b) => bottleOf(b.id) ?? [])
  const [chosen, setChosen] = useState<string>()
  const open = bottles.filter((b) => !state.checks.has(b.id))
  const bottle = bottles.find((b) => b.id === chosen) ?? open[0]
  const reference = bottles.find((b) => b.isReference)
  if (bottles.length === 0)
    return (
      <>
        <StepKey label="On" next={next} />
        <h2 className={styles.title}>No bottle is planned</h2>
        <p className={styles.say}>Shake or stir each one as you reach for it; “Another bottle” takes it in.</p>
      </>
    )
  return (
    <>
      {bottle ? (
        <OneBottle key={bottle.id} {...props} bottle={bottle} done={() => setChosen(undefined)} />
      ) : (
        <>
          <StepKey label="On to the surface" next={next} />
          <h2 className={styles.title}>Every bottle is checked</h2>
        </>
      )}
      {reference && bottle && reference.id !== bottle.id ? (
        <p className={styles.say}>
          Beside it: <b>{reference.label}</b>, the reference the others are brought to.
        </p>
      ) : null}
      <div className={styles.keys}>
        {bottles.map((b) => (
          <Key key={b.id} on={b.id === bottle?.id} press={() => setChosen(b.id)}>
            <Chip hex={b.hex} sheen={b.sheen} size={32} />
            <span>
              {state.checks.has(b.id) ? '✓ ' : ''}
              {b.label}
            </span>
          </Key>
        ))}
        <Key press={next}>Skip the rest</Key>
      </div>
    </>
  )
}

function OneBottle({
  plan,
  state,
  desk,
  send,
  say,
  bottle,
  done,
}: RunStepProps & { bottle: TableBottle; done: () => void }) {
  const check = state.checks.get(bottle.id)
  const thinned = state.thinned.filter((t) => t.bottle === bottle.id)
  const { water: dropUl } = useDropSizes()
  const now = check?.at ?? desk.now
  const { expectedS, waterUl, mediumUl, isThin } = tableAdvice(bottle.flow, check, thinned, plan.bandS, now)
  const [typed, setTyped] = useState('')
  const watch = useTries((reading, clear) => {
    if (send({ kind: 'check', bottle: bottle.id, reading: { ...reading, how: 'stopwatch' } })) clear()
  })
  const addedUl = thinned.reduce((sum, t) => sum + t.ul, 0)
  const water = desk.waters[0]
  const thin = (ul: number) => (water ? send({ kind: 'thin', bottle: bottle.id, waterId: water.id, ul }) : false)
  const take = () =>
    attemptOr(say, () => {
      if (thin(parseVolumeUl(typed, desk.units, dropUl))) setTyped('')
    })
  return (
    <>
      <StepKey label={watch.running ? 'The mound is gone' : 'The ribbon stops'} next={watch.press} always />
      <h2 className={`${styles.title} chipline`}>
        <Chip hex={bottle.hex} sheen={bottle.sheen} size={48} />
        {bottle.label}
      </h2>
      <div className={styles.number} data-testid="watch">
        {watch.running || watch.tries.length
          ? watch.seconds.toFixed(1)
          : expectedS === null
            ? '?'
            : expectedS.toFixed(1)}
        <span> s</span>
      </div>
      <p className={styles.under}>
        {watch.running
          ? 'press when the mound is gone'
          : check?.levelTimeS
            ? 'timed here'
            : expectedS === null
              ? 'never timed'
              : 'as the books expect it now'}{' '}
        · wanted {plan.bandS[0]} – {plan.bandS[1]} s{watch.said ? ` · so far ${watch.said}` : ''}
      </p>
      {bottle.todo.map((t) => (
        <p key={t.short} className={styles.say}>
          <b>{t.short}.</b> {t.todo}
        </p>
      ))}
      {waterUl > 0 || mediumUl > 0 ? (
        <p className={styles.say} data-testid="thin-advice">
          Too thick: {waterUl > 0 ? `${formatSmall(waterUl, dropUl)} of water` : ''}
          {waterUl > 0 && mediumUl > 0 ? ', then ' : ''}
          {mediumUl > 0 ? `${formatMl(mediumUl)} of medium, since its water limit is near` : ''}; stir, time it again.
        </p>
      ) : isThin ? (
        <p className={styles.say}>Thinner than wanted. Add unwatered mix at the bench, or take another bottle.</p>
      ) : expectedS !== null ? (
        <p className={styles.say}>It is as wanted.</p>
      ) : null}
      {addedUl > 0 ? <p className="muted">{formatSmall(addedUl, dropUl)} of water went in here.</p> : null}
      <div className={styles.keys}>
        <Key
          press={() => {
            if (send({ kind: 'check', bottle: bottle.id })) done()
          }}
        >
          Fine by eye
        </Key>
        {watch.enough ? <Key press={watch.enough}>That is enough</Key> : null}
        {waterUl > 0 && water ? <Key press={() => void thin(waterUl)}>Added {formatSmall(waterUl, dropUl)}</Key> : null}
        {check ? <Key press={done}>Next bottle</Key> : null}
      </div>
      <div className={styles.typed}>
        <label>
          <span>Or type the water that went in</span>
          <HandInput
            value={typed}
            aria-label={`Water in ${bottle.label}`}
            placeholder="6 drops, 0.4 ml"
            onChange={(e) => setTyped(e.target.value)}
            onEnter={take}
          />
        </label>
        <Key press={take} disabled={!typed.trim() || !water}>
          Added that
        </Key>
      </div>
    </>
  )
}
