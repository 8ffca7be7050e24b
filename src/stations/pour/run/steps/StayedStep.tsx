'use client'

import { STILL_MOVING } from '@/core/device/settle'
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { crackRisk } from '@/core/learning/crackRisk'
import { formatMl } from '@/core/quantity/format'
import { parsePouredUl } from '@/core/quantity/parse'
import { meanOf, netGiven, STAYED_WORDS, whatStayed, type PieceStayed } from '@/core/run/stayed'
import { areas } from '@/core/surface/area'
import { HandInput } from '@/ui/forms/HandInput'
import { ScaleLine } from '@/ui/hand/ScaleLine'
import { StepKey } from '@/ui/hand/StepKey'
import { attemptOr } from '@/ui/hooks/useAttempt'
import { Chip } from '@/ui/pictures/Drawdown'
import { useFilms } from '../useFilms'
import { Aside } from '../Aside'
import { Key } from '../Key'
import { WeighOrType } from '../WeighOrType'
import type { RunStepProps } from '../stepProps'
import styles from '../run.module.css'

/** What stayed on it and where the rest went: by weight, by the jar, or by the studio's usual share; always booked. */
export function StayedStep(props: RunStepProps) {
  const { plan, state, piece, send, next, scale } = props
  const stayed = whatStayed(plan, state)
  const own = stayed.find((s) => s.piece === piece.id)!
  return (
    <>
      <StepKey label="On to the end" next={next} />
      <h2 className={styles.title}>What stayed on {piece.title}</h2>
      <Facts {...props} stayed={stayed} />
      {own.pouredUl > 0 ? <Risk {...props} own={own} /> : null}
      <WeighOrType
        {...props}
        label={`Weight of ${piece.title} now`}
        placeholder="448 g"
        keep={(grams) => send({ kind: 'weigh', piece: piece.id, when: 'after', grams })}
      />
      {state.weights.get(piece.id)?.before === undefined || state.weights.get(piece.id)?.before === null ? (
        <p className="muted">Its weight before was not taken, so this alone says little; the jar says it as well.</p>
      ) : null}
      <RunOff {...props} />
      <Back {...props} />
      <Aside>
        <ScaleLine scale={scale} />
      </Aside>
    </>
  )
}

function Facts({ plan, stayed }: RunStepProps & { stayed: readonly PieceStayed[] }) {
  return (
    <table className={styles.facts}>
      <thead>
        <tr>
          <th>Piece</th>
          <th>Poured</th>
          <th>Left</th>
          <th>Jar</th>
          <th>Waste</th>
          <th>Film wet</th>
          <th>dry</th>
        </tr>
      </thead>
      <tbody>
        {stayed.map((s) => (
          <tr
            key={s.piece}
            data-testid="stayed"
            data-poured={s.pouredUl}
            data-left={s.leftUl}
            data-jar={s.jarUl}
            data-waste={s.wasteUl}
          >
            <td>
              {plan.pieces.find((p) => p.id === s.piece)!.title}
              <small className="muted block">{STAYED_WORDS[s.how]}</small>
            </td>
            <td>{formatMl(s.pouredUl)}</td>
            <td>{formatMl(s.leftUl)}</td>
            <td>{formatMl(s.jarUl)}</td>
            <td>{formatMl(s.wasteUl)}</td>
            <td>{s.wetMm.toFixed(2)} mm</td>
            <td>{Math.round(s.dryUm)} µm</td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}

/** Risk now, and what tipped off would bring it under one in ten: over the side that matters least. */
function Risk({ plan, desk, piece, state, own }: RunStepProps & { own: PieceStayed }) {
  const dried = useFilms(desk.run.id)
  if (!dried) return null
  const { risk, pieces, safeMm } = crackRisk({ wetMm: own.wetMm, waterOfPaint: own.waterOfPaint }, dried)
  const { faceMm2, edgesMm2 } = areas(piece.surface)
  const offUl = Math.round((own.wetMm - safeMm) * (faceMm2 + edgesMm2))
  const keepers = state.keepers.filter((k) => k.piece === piece.id && k.isKept)
  const side = keepers.length === 0 ? 'the side that matters least' : `the ${leastSide(keepers)}, away from what stays`
  return (
    <p className={styles.say} data-testid="risk">
      Crack risk now about {Math.max(1, Math.round(100 * risk))} in 100
      {pieces ? `, from ${pieces} of your own pieces` : ', start values of Fika'}.
      {offUl > 500
        ? ` Tip about ${formatMl(offUl)} more off over ${side}: under ${safeMm.toFixed(1)} mm it is less than one in ten.`
        : ''}
      {own.how === 'estimated'
        ? ` ${Math.round(100 * plan.runOffShare)} % are taken to run off, ${plan.runOffOf ? `from ${plan.runOffOf} weighed pieces` : 'a start value of Fika'}.`
        : ''}
    </p>
  )
}

function leastSide(keepers: readonly { readonly at: readonly [number, number] }[]): string {
  const mean = (i: 0 | 1) => keepers.reduce((sum, k) => sum + k.at[i], 0) / keepers.length
  const [x, y] = [mean(0), mean(1)]
  return Math.abs(x) > Math.abs(y) ? (x > 0 ? 'left' : 'right') : y > 0 ? 'top' : 'bottom'
}

const NEW = 'new'

/** Run-off into a jar or to waste, by weight or by eye, of one piece or of all together. */
function RunOff(props: RunStepProps) {
  const { plan, state, desk, piece, scale, send, say } = props
  const [jar, setJar] = useState<string>(desk.jars[0]?.id ?? NEW)
  const [newId] = useState(() => uuidv7())
  const [isJar, setIsJar] = useState(true)
  const [all, setAll] = useState(plan.pieces.length > 1)
  const [emptyG, setEmptyG] = useState<number>()
  const [typed, setTyped] = useState('')
  const { densityGPerMl } = meanOf(state.given, all ? null : piece.id)
  const keep = (ul: number, weighed: boolean) =>
    send({
      kind: 'run-off',
      piece: all ? null : piece.id,
      to: isJar ? 'jar' : 'waste',
      jar: isJar ? (jar === NEW ? newId : jar) : null,
      newJar: isJar && jar === NEW ? `Run-off, ${plan.title}`.slice(0, 120) : null,
      ul,
      weighed,
    })
  const take = () =>
    attemptOr(say, () => {
      const ul = parsePouredUl(typed, densityGPerMl, desk.units)
      if (keep(ul, /g|oz|lb/i.test(typed) && !/fl/i.test(typed))) setTyped('')
    })
  return (
    <section aria-label="Run-off">
      <h3>Run-off</h3>
      <div className={styles.keys}>
        <Key on={isJar} press={() => setIsJar(true)}>
          Into a jar
        </Key>
        <Key on={!isJar} press={() => setIsJar(false)}>
          Waste
        </Key>
        {plan.pieces.length > 1 ? (
          <Key on={all} press={() => setAll(!all)}>
            {all ? 'Of all pieces' : `Of ${piece.title}`}
          </Key>
        ) : null}
      </div>
      {isJar ? (
        <div className={styles.keys} role="group" aria-label="Jar">
          {desk.jars.map((j) => (
            <Key key={j.id} on={jar === j.id} press={() => setJar(j.id)}>
              {j.label}
            </Key>
          ))}
          <Key on={jar === NEW} press={() => setJar(NEW)}>
            A new jar
          </Key>
        </div>
      ) : null}
      <div className={styles.typed}>
        <label>
          <span>Weighed or measured</span>
          <HandInput
            value={typed}
            aria-label="Run-off"
            placeholder="42 g, 35 ml"
            onChange={(e) => setTyped(e.target.value)}
            onEnter={take}
          />
        </label>
        <Key press={take} disabled={!typed.trim()}>
          Book the run-off
        </Key>
        {scale.here ? (
          emptyG === undefined ? (
            <Key press={() => (scale.settledG === null ? say(STILL_MOVING) : setEmptyG(scale.settledG))}>
              <span>
                Jar is on<small>before the run-off</small>
              </span>
            </Key>
          ) : (
            <Key
              press={() => {
                if (scale.settledG === null) return say(STILL_MOVING)
                const ul = Math.round((1000 * (scale.settledG - emptyG)) / densityGPerMl)
                if (ul <= 0)
                  return say('The jar weighs no more than before. Scrape the run-off into it, then tap again.')
                if (keep(ul, true)) setEmptyG(undefined)
              }}
            >
              <span>
                Run-off is in<small>{scale.grams === null ? '…' : `${(scale.grams - emptyG).toFixed(1)} g`}</small>
              </span>
            </Key>
          )
        ) : null}
      </div>
      {state.runOffs.map((r) => (
        <p key={r.n} className="muted" data-testid="run-off">
          {formatMl(r.ul)} {r.weighed ? 'weighed' : 'by eye'} to{' '}
          {r.to === 'waste' ? 'waste' : (r.newJar ?? desk.jars.find((j) => j.id === r.jar)?.label ?? 'the jar')}
          {r.piece ? `, of ${plan.pieces.find((p) => p.id === r.piece)!.title}` : ''}.
        </p>
      ))}
      <p className="muted">What is in no jar is booked as waste. No paint solids down the drain.</p>
    </section>
  )
}

/** What is left of one bottle's paint goes back into it. */
function Back({ state, piece, desk, send, say, bottleOf }: RunStepProps) {
  const [bottle, setBottle] = useState<string>()
  const [typed, setTyped] = useState('')
  const given = netGiven(state, piece.id)
  const one = bottle === undefined ? undefined : bottleOf(bottle)
  const take = () =>
    attemptOr(say, () => {
      if (!one) return
      const ul = parsePouredUl(typed, one.densityGPerMl, desk.units)
      if (send({ kind: 'back', piece: piece.id, bottle: one.id, ul })) setTyped('')
    })
  if (given.length === 0) return null
  return (
    <section aria-label="Rests">
      <h3>A rest goes back into its bottle</h3>
      <div className={styles.keys}>
        {given.map((g) => (
          <Key
            key={g.bottle}
            on={bottle === g.bottle}
            press={() => setBottle(bottle === g.bottle ? undefined : g.bottle)}
          >
            <Chip hex={bottleOf(g.bottle)?.hex ?? null} size={30} />
            {bottleOf(g.bottle)?.label ?? 'a bottle'}
          </Key>
        ))}
      </div>
      {one ? (
        <div className={styles.typed}>
          <label>
            <span>How much of {one.label}</span>
            <HandInput
              value={typed}
              aria-label={`Back into ${one.label}`}
              placeholder="6 ml, 7 g"
              onChange={(e) => setTyped(e.target.value)}
              onEnter={take}
            />
          </label>
          <Key press={take} disabled={!typed.trim()}>
            Pour it back
          </Key>
        </div>
      ) : null}
      {state.backs.map((b) => (
        <p key={b.n} className="muted">
          {formatMl(b.ul)} back into {bottleOf(b.bottle)?.label ?? 'its bottle'}.
        </p>
      ))}
    </section>
  )
}
