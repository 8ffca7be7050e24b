'use client'

import { TOUR_SPOTS } from '@/core/run/events'
import { formatMl } from '@/core/quantity/format'
import { whatStayed } from '@/core/run/stayed'
import { Notice } from '@/ui/frame/Notice'
import { StepKey } from '@/ui/hand/StepKey'
import { useSend } from '@/ui/hooks/useSend'
import { bookRunAction, putRunAsideAction } from '../../actions'
import { Aside } from '../Aside'
import { Key, Tick } from '../Key'
import { RunBoard } from '../RunBoard'
import { TakePhoto } from '../TakePhoto'
import type { RunStepProps } from '../stepProps'
import styles from '../run.module.css'

const LAST = [
  'Torch off and cold',
  'Lids on',
  'Strainer rinsed at once, tools in water',
  'Piece level and free of dust',
]

/** The end of the day: a photo, nine spots, where it dries; then all of it is booked at once. */
export function StopStep(props: RunStepProps) {
  const { desk, plan, state, piece, send } = props
  const { send: sendBook, pending, refusal } = useSend<{ pieces: { id: string; title: string }[] }>()
  const { send: sendAside, pending: putting, refusal: kept } = useSend<null>()
  const stayed = whatStayed(plan, state)
  const sum = (of: 'pouredUl' | 'leftUl' | 'jarUl' | 'wasteUl') => stayed.reduce((ul, s) => ul + s[of], 0)
  const tour = state.tours.get(piece.id) ?? { weak: [], best: null }
  const book = (findRest: boolean) =>
    sendBook(() => bookRunAction({ id: desk.run.id, findRest }), undefined, 'Booked as it happened')
  const tell = (more: Partial<typeof tour>) => void send({ kind: 'tour', piece: piece.id, ...tour, ...more })
  return (
    <>
      <StepKey label={pending ? 'Booking…' : `Book it: ${formatMl(sum('pouredUl'))}`} next={() => book(false)} />
      <h2 className={styles.title}>Stop in time</h2>
      {refusal ? (
        <Notice kind="warning">
          {refusal.message}{' '}
          {refusal.code === 'NotEnough' ? <Key press={() => book(true)}>Book the rest as found</Key> : null}
        </Notice>
      ) : null}
      {kept ? <Notice kind="warning">{kept.message}</Notice> : null}
      <p className={styles.say} data-testid="sums">
        Poured {formatMl(sum('pouredUl'))}: {formatMl(sum('leftUl'))} left on, {formatMl(sum('jarUl'))} in jars,{' '}
        {formatMl(sum('wasteUl'))} waste. {formatMl(state.backs.reduce((ul, b) => ul + b.ul, 0))} went back.
      </p>
      <h3>Nine spots of {piece.title}: tap what is weak</h3>
      <div className={styles.tour}>
        {TOUR_SPOTS.map((spot) => (
          <Key
            key={spot}
            on={tour.weak.includes(spot)}
            press={() =>
              tell({ weak: tour.weak.includes(spot) ? tour.weak.filter((s) => s !== spot) : [...tour.weak, spot] })
            }
          >
            {tour.best === spot ? '● ' : ''}
            {spot}
          </Key>
        ))}
      </div>
      <div className={styles.keys} role="group" aria-label="Best spot">
        <span className={styles.say}>Best spot:</span>
        {TOUR_SPOTS.map((spot) => (
          <Key key={spot} on={tour.best === spot} press={() => tell({ best: spot })}>
            {spot}
          </Key>
        ))}
      </div>
      <div className={styles.keys}>
        <TakePhoto {...props} />
      </div>
      {desk.places.length ? (
        <div className={styles.keys} role="group" aria-label="Where it dries">
          <span className={styles.say}>It dries on:</span>
          {desk.places.map((place) => (
            <Key
              key={place}
              on={state.dries.get(piece.id) === place}
              press={() => void send({ kind: 'dries', piece: piece.id, place })}
            >
              {place}
            </Key>
          ))}
        </div>
      ) : null}
      <ul className={styles.ticks}>
        {LAST.map((what) => (
          <li key={what}>
            <Tick
              on={state.ticks.has(what)}
              press={() => void send({ kind: 'tick', what, on: !state.ticks.has(what) })}
            >
              {what}
            </Tick>
          </li>
        ))}
      </ul>
      <p className="muted">Fika says when it wants to be looked at: after an hour, the next day, and once it is dry.</p>
      <div className={styles.keys}>
        <Key
          disabled={putting}
          press={() => sendAside(() => putRunAsideAction({ id: desk.run.id }), undefined, 'Put aside')}
        >
          It was not poured: put it aside
        </Key>
      </div>
      <Aside>
        <RunBoard piece={piece} state={state} />
      </Aside>
    </>
  )
}
