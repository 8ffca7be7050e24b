'use client'

import { Link } from '@/ui/frame/Link'
import { useEffect, useMemo, useRef, useState } from 'react'
import { RUN_STEPS, type RunStep } from '@/core/run/events'
import { standing } from '@/core/run/runState'
import { Notice } from '@/ui/frame/Notice'
import { BenchProviders } from '@/ui/frame/Providers'
import { KeyPlace } from '@/ui/hand/StepKey'
import { useAwake } from '@/ui/hand/useAwake'
import { useHandKeys } from '@/ui/hooks/useHandKeys'
import { useScale } from '@/ui/hooks/useScale'
import { AnotherBottle } from './AnotherBottle'
import type { RunDesk } from './desk'
import { Key } from './Key'
import { NoteIt } from './NoteIt'
import { saidOf } from './saidOf'
import type { RunStepProps } from './stepProps'
import { BotherStep } from './steps/BotherStep'
import { BottlesStep } from './steps/BottlesStep'
import { EdgesStep } from './steps/EdgesStep'
import { Ended } from './steps/Ended'
import { LoadStep } from './steps/LoadStep'
import { LookStep } from './steps/LookStep'
import { PourStep } from './steps/PourStep'
import { ReadyStep } from './steps/ReadyStep'
import { StayedStep } from './steps/StayedStep'
import { StopStep } from './steps/StopStep'
import { SurfaceStep } from './steps/SurfaceStep'
import { TiltStep } from './steps/TiltStep'
import { Timers } from './Timers'
import { useRun } from './useRun'
import handStyles from '@/ui/hand/hand.module.css'
import styles from './run.module.css'

interface StepOf {
  readonly name: string
  readonly Step: (p: RunStepProps) => React.ReactNode
  /** Whether it is about one piece at a time. */
  readonly perPiece: boolean
}
const STEPS: Readonly<Record<RunStep, StepOf>> = {
  ready: { name: 'Ready?', Step: ReadyStep, perPiece: false },
  bottles: { name: 'Bottles', Step: BottlesStep, perPiece: false },
  surface: { name: 'Surface', Step: SurfaceStep, perPiece: true },
  load: { name: 'Load', Step: LoadStep, perPiece: false },
  pour: { name: 'Pour', Step: PourStep, perPiece: true },
  look: { name: 'Look', Step: LookStep, perPiece: true },
  tilt: { name: 'Tilt', Step: TiltStep, perPiece: true },
  bother: { name: 'What bothers you?', Step: BotherStep, perPiece: true },
  edges: { name: 'Edges', Step: EdgesStep, perPiece: true },
  stayed: { name: 'What stayed', Step: StayedStep, perPiece: true },
  stop: { name: 'Stop', Step: StopStep, perPiece: true },
}

/** A run left open for longer than this is asked about. */
const OVERNIGHT_MS = 12 * 3_600_000

/** The day, step by step, for one wet hand: one card a step, one big key, everything else optional. */
export function RunScreen({ desk }: { desk: RunDesk }) {
  const { run, state, events, send, waiting, trouble, say } = useRun(desk.run)
  const scale = useScale()
  const [place, setPlace] = useState<HTMLElement | null>(null)
  const [pieceId, setPieceId] = useState<string>()
  const [open, setOpen] = useState<'steps' | 'bottle' | 'note'>()
  const body = useRef<HTMLDivElement>(null)
  // A step begins at its top.
  useEffect(() => {
    body.current?.scrollTo(0, 0)
  }, [state.step])
  useAwake()
  const { plan } = run
  const byId = useMemo(() => new Map(desk.bottles.map((b) => [b.id, b])), [desk.bottles])
  const piece = plan.pieces.find((p) => p.id === pieceId) ?? plan.pieces[0]!
  const last = standing(events).at(-1)
  const undo = last && !run.bookedAt ? () => void send({ kind: 'undo', of: last.n }) : undefined
  const go = (to: RunStep) => {
    setOpen(undefined)
    send({ kind: 'go', to })
  }
  const toLook = run.bookedAt ? undefined : () => go('look')
  useHandKeys({ undo, letters: { k: toLook, p: toLook, b: run.bookedAt ? undefined : () => go('bother') } })
  if (run.bookedAt || run.isAside) return <Ended run={run} />
  const { Step } = STEPS[state.step]
  const at = RUN_STEPS.indexOf(state.step)
  const step: RunStepProps = {
    desk,
    plan,
    state,
    scale,
    send,
    say,
    next: () => void send({ kind: 'next', from: state.step }),
    piece,
    setPiece: setPieceId,
    bottleOf: (id) => byId.get(id),
  }
  return (
    <BenchProviders>
      <KeyPlace value={{ place, busy: false }}>
        <div
          className={`${handStyles.screen} ${styles.run} frame-dark`}
          data-step={state.step}
          data-waiting={waiting}
          data-revision={run.revision}
          data-testid="run"
        >
          <header className={styles.head}>
            <h1>{plan.title}</h1>
            <Key press={() => setOpen(open === 'steps' ? undefined : 'steps')} on={open === 'steps'}>
              <span>
                {at + 1} of {RUN_STEPS.length} · {STEPS[state.step].name}
              </span>
            </Key>
            <Link className={styles.key} href="/pour">
              Leave
            </Link>
          </header>
          {open === 'steps' ? (
            <nav className={styles.steps} aria-label="Steps">
              {RUN_STEPS.map((s) => (
                <button
                  key={s}
                  type="button"
                  className={styles.key}
                  aria-current={s === state.step ? 'step' : undefined}
                  onClick={() => go(s)}
                >
                  {STEPS[s].name}
                </button>
              ))}
            </nav>
          ) : null}
          <div ref={body} className={styles.body} aria-live="polite">
            <section>
              {trouble ? <Notice kind="warning">{trouble}</Notice> : null}
              {desk.now - Date.parse(run.begunAt) > OVERNIGHT_MS ? <Overnight /> : null}
              <Timers state={state} />
              {open === 'bottle' ? (
                <AnotherBottle {...step} close={() => setOpen(undefined)} />
              ) : open === 'note' ? (
                <NoteIt {...step} close={() => setOpen(undefined)} />
              ) : (
                <>
                  {plan.pieces.length > 1 && STEPS[state.step].perPiece ? <Pieces {...step} /> : null}
                  <Step {...step} />
                </>
              )}
            </section>
            <aside id="run-aside" />
          </div>
          <footer>
            <div className={styles.quick}>
              <Key on={open === 'bottle'} press={() => setOpen(open === 'bottle' ? undefined : 'bottle')}>
                <span>
                  <span className={styles.wide}>Another </span>bottle
                </span>
              </Key>
              <Key press={() => go('look')}>
                <span>
                  Keep<span className={styles.wide}>, photo</span>
                </span>
              </Key>
              <Key press={() => go('bother')}>
                <span>
                  <span className={styles.wide}>It </span>bothers<span className={styles.wide}> me</span>
                </span>
              </Key>
              <Key on={open === 'note'} press={() => setOpen(open === 'note' ? undefined : 'note')}>
                <span>
                  Note<span className={styles.wide}>, timer</span>
                </span>
              </Key>
            </div>
            <div className={styles.foot}>
              <button type="button" className="guide-key" onClick={undo} disabled={!undo}>
                Undo <kbd>Z</kbd>
                <small>{last ? saidOf(last.event, plan, byId) : ''}</small>
              </button>
              <span ref={setPlace} className={styles.keyPlace} />
            </div>
          </footer>
        </div>
      </KeyPlace>
    </BenchProviders>
  )
}

function Pieces({ plan, piece, setPiece }: RunStepProps) {
  return (
    <div className={styles.pieces} role="group" aria-label="Piece">
      {plan.pieces.map((p) => (
        <Key key={p.id} on={p.id === piece.id} press={() => setPiece(p.id)}>
          {p.title}
        </Key>
      ))}
    </div>
  )
}

const Overnight = () => (
  <Notice kind="warning">
    This pour was begun before today and is still open. If it was poured, go to “Stop” and book it as it stands; what is
    not noted is estimated and says so. If it was not, put it aside there. Nothing is booked by itself.
  </Notice>
)
