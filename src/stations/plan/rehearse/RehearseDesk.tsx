'use client'

import { Button } from 'antd'
import { proxy } from 'comlink'
import { Link } from '@/ui/frame/Link'
import { useMemo, useRef, useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { planAmounts } from '@/core/plan/amounts'
import { readTyped } from '@/core/quantity/typed'
import { areas } from '@/core/surface/area'
import { footprint } from '@/core/surface/shapes'
import { toldOf } from '@/core/tilt/kept'
import type { Corrected } from '@/core/tilt/corrected'
import { AS_READ } from '@/core/tilt/start'
import { WANTED_FILM_MM, type Suggestion } from '@/core/tilt/suggest'
import type { Enough } from '@/core/tilt/enough'
import type { PlanWithParts } from '@/db/plans/read'
import type { KeptRehearsal } from '@/db/rehearsals/read'
import { Notice } from '@/ui/frame/Notice'
import { useSend } from '@/ui/hooks/useSend'
import { useTechniques } from '@/ui/hooks/useTechniques'
import type { DeskFacts } from '../deskFacts'
import { newDraft } from '../desk/draft'
import { readDraft } from '../desk/readDraft'
import { deskColours } from '../desk/workOut'
import { Board } from './Board'
import { dropCorrectionAction, keepCorrectionAction, keepRehearsalAction, removeRehearsalAction } from './actions'
import { KeptList } from './KeptList'
import { withinReach } from './reach'
import { Readout } from './Readout'
import type { Answered } from '@/workers/rehearsal'
import { rehearsed } from './rehearsed'
import { Suggestions } from './Suggestions'
import { useDeviceTilt } from './useDeviceTilt'
import { useRehearsal } from './useRehearsal'
import type { Weighing } from './queries'
import { Weighed } from './Weighed'
import styles from './rehearse.module.css'

/** Width of the live picture and of the one that is kept, pixels; radius of a keeper as a share of the longer side. */
const LIVE_PX = 640
const KEPT_PX = 1000
const KEEPER = 0.06

/** A plan tilted before it is poured; nothing of the plan is changed by it. */
export function RehearseDesk({
  plan,
  chosen = [],
  facts: given,
  kept,
  secondsPerNu,
  weighing = { correction: null, weighed: [] },
}: {
  plan?: PlanWithParts
  /** Bottles from the tray, where there is no plan. */
  chosen?: readonly string[]
  facts: DeskFacts
  kept: readonly KeptRehearsal[]
  secondsPerNu: number
  /** What weighed pieces of the plan's technique say. */
  weighing?: Weighing
}) {
  // What is on the board stays as it was opened, whatever is booked meanwhile.
  const [facts] = useState(given)
  const techniques = useTechniques()
  const technique = techniques.find(plan?.technique ?? 'straight')
  const colours = useMemo(() => deskColours(facts), [facts])
  const [own] = useState(() => {
    const draft = newDraft(uuidv7, facts.studio.units === 'us', chosen)
    return readDraft(draft, facts.studio.units).design
  })
  const [design] = useState(() => plan?.design ?? own!)
  const [surfaceId, setSurfaceId] = useState(
    () => (design.surfaces.find((s) => s.surface.shape !== 'profile') ?? design.surfaces[0]!).id,
  )
  const { correction } = weighing
  const { nuFactor, lipMm } = correction ?? AS_READ
  const start = useMemo(
    () =>
      readTyped(() =>
        rehearsed(design, planAmounts(design, []), surfaceId, technique, colours, secondsPerNu, facts.now, {
          nuFactor,
          lipMm,
        }),
      ),
    [design, surfaceId, technique, colours, secondsPerNu, facts, nuFactor, lipMm],
  )
  const canvas = useRef<HTMLCanvasElement>(null)
  const { ask, shown, sentence, died, again } = useRehearsal(start.value?.task, () => canvas.current, LIVE_PX)
  const [marking, setMarking] = useState(false)
  const [busy, setBusy] = useState<string>()
  const [found, setFound] = useState<readonly Suggestion[]>()
  const [sure, setSure] = useState<Enough>()
  const [corrected, setCorrected] = useState<Corrected>()
  const [trouble, setTrouble] = useState<string>()
  const { send, pending, refusal } = useSend<null>()
  // Keys come faster than what is shown.
  const leaned = useRef({ x: 0, y: 0 })
  const lean = (x: number, y: number) => {
    leaned.current = { x, y }
    void ask((w) => w.lean(x, y))
    if (!shown?.running) void ask((w) => w.run(true))
  }
  const device = useDeviceTilt(lean)

  const surface = design.surfaces.find((s) => s.id === surfaceId)!
  const size = footprint(surface.surface)
  const longer = Math.max(size.lengthMm, size.widthMm)
  const seconds = shown?.readings.seconds ?? 0
  const counted = (what: string) => proxy((done: number, all: number) => setBusy(`${what}: ${done} of ${all} tried`))
  const begin = (other: boolean) => {
    setFound(undefined)
    setSure(undefined)
    setBusy(undefined)
    leaned.current = { x: 0, y: 0 }
    again(other)
  }
  /** What takes long: it says how far it is, can be called off, and a worker that dies changes nothing. */
  const long = async <T,>(
    what: string,
    work: () => Promise<Answered<T> | undefined>,
    done: (value: NonNullable<T>) => void,
  ) => {
    setTrouble(undefined)
    setBusy(what)
    const answer = await work()
    setBusy(undefined)
    if (answer?.value) done(answer.value)
    else setTrouble(answer?.message)
  }
  const keep = () =>
    long(
      'Drawing it finely',
      () =>
        ask((w) =>
          w.finely(
            KEPT_PX,
            proxy((share: number) => setBusy(`Drawing it finely: ${Math.round(100 * share)} %`)),
          ),
        ),
      async ({ picture, readings }) => {
        const path = (await ask((w) => w.recorded()))!
        const form = new FormData()
        form.set('id', uuidv7())
        form.set('planId', plan!.id)
        form.set('surfaceId', surfaceId)
        form.set(
          'body',
          JSON.stringify({
            path,
            told: toldOf(
              readings,
              start.value!.sources.map(({ of, hex, label, nu }) => ({ of, hex, label, nu })),
            ),
          }),
        )
        form.set('picture', new File([picture], 'rehearsal.png', { type: 'image/png' }))
        send(() => keepRehearsalAction(form), undefined, 'Kept with the plan')
      },
    )
  return (
    <>
      <div className="head">
        <h1>
          Rehearse <span className="sub">{plan?.title ?? 'on its own'}</span>
        </h1>
        {plan ? (
          <>
            <Link className="go second" href={`/plan/${plan.id}`}>
              Back to the plan
            </Link>
            <Link className="go second" href={`/pour/${plan.id}`}>
              To the pour
            </Link>
          </>
        ) : (
          <Link className="go second" href={`/plan/new?bottles=${chosen.join(',')}`}>
            Make a plan of it
          </Link>
        )}
      </div>
      {design.surfaces.length > 1 ? (
        <div className={styles.buttons}>
          {design.surfaces.map((s, i) => (
            <Button
              key={s.id}
              type={s.id === surfaceId ? 'primary' : 'default'}
              aria-pressed={s.id === surfaceId}
              onClick={() => {
                setSurfaceId(s.id)
                setFound(undefined)
                setSure(undefined)
              }}
            >
              {s.name || `Surface ${i + 1}`}
            </Button>
          ))}
        </div>
      ) : null}
      {[start.sentence, sentence, trouble, refusal?.message].map((text) =>
        text ? (
          <Notice key={text} kind="warning">
            {text}{' '}
            {text === sentence && died ? (
              <button type="button" className="plain" onClick={() => begin(false)}>
                Begin again
              </button>
            ) : null}
          </Notice>
        ) : null,
      )}
      <div className={styles.desk}>
        <section className="panel" aria-label="Board">
          <Board
            canvas={canvas}
            {...size}
            lean={shown?.lean ?? { x: 0, y: 0 }}
            keepers={shown?.readings.keepers ?? []}
            marking={marking}
            onLean={lean}
            onNudge={(x, y) => lean(withinReach(leaned.current.x + x), withinReach(leaned.current.y + y))}
            onRun={() => void ask((w) => w.run(!shown?.running))}
            onMark={(at) => {
              const radiusMm = KEEPER * longer
              setMarking(false)
              void ask((w) => w.keep(at[0], at[1], radiusMm))
            }}
          />
          <p className="muted fine">
            Drag on the board and it leans there; let go and it lies level. A rehearsal, not a promise: cells, lacing
            and fine lines are not predicted. {correction ? 'Edge' : 'Lip, edge'} and {secondsPerNu.toFixed(4)} s per
            mm²/s are start values of Fika until your own readings say better.
          </p>
        </section>
        <div className={styles.side}>
          <section className="panel" aria-label="Now">
            <div className={styles.buttons}>
              <Button
                type="primary"
                size="large"
                disabled={!shown}
                onClick={() => void ask((w) => w.run(!shown?.running))}
              >
                {shown?.running ? 'Pause' : 'Run'}
              </Button>
              <Button size="large" disabled={!shown} onClick={() => lean(0, 0)}>
                Level
              </Button>
              <Button size="large" disabled={seconds < 0.5} onClick={() => void ask((w) => w.back(2))}>
                2 s back
              </Button>
              <Button size="large" disabled={!start.value} onClick={() => begin(false)}>
                Again
              </Button>
            </div>
            {shown && start.value ? (
              <Readout
                shown={shown}
                colours={start.value.sources}
                faceMm2={areas({ ...surface.surface, count: 1 }).faceMm2}
                weighed={facts.keeps.find((k) => k.key === technique?.key)}
              />
            ) : null}
          </section>
          <section className="panel" aria-label="Try">
            <div className={styles.buttons}>
              <Button disabled={!shown} aria-pressed={marking} onClick={() => setMarking(!marking)}>
                {marking ? 'Touch what is worth keeping…' : 'Mark a keeper'}
              </Button>
              <Button
                disabled={!shown || busy !== undefined}
                onClick={() =>
                  void long('Suggesting', () => ask((w) => w.suggest(WANTED_FILM_MM, counted('Suggesting'))), setFound)
                }
              >
                Suggest corners
              </Button>
              <Button
                disabled={seconds < 0.5 || busy !== undefined}
                onClick={() => void long('Is it enough', () => ask((w) => w.enough(counted('Is it enough'))), setSure)}
              >
                Enough?
              </Button>
              <Button disabled={!start.value} onClick={() => begin(true)}>
                Another hand
              </Button>
              {device.can ? (
                <Button aria-pressed={device.on} onClick={device.toggle}>
                  {device.on ? 'Leave the tablet level' : 'Tilt the tablet'}
                </Button>
              ) : null}
            </div>
            {busy ? (
              <p role="status">
                {busy}…{' '}
                <button type="button" className="plain" onClick={() => void ask((w) => w.stop())}>
                  Call it off
                </button>
              </p>
            ) : null}
            {sure ? (
              <p data-testid="enough">
                <b>
                  Covers in {sure.covers} of {sure.of}
                </b>{' '}
                with paints a little thinner or thicker and a little more or less of them: {sure.filmMm[0].toFixed(2)} –{' '}
                {sure.filmMm[1].toFixed(2)} mm left.
              </p>
            ) : null}
            {found ? <Suggestions found={found} onLook={(s) => void ask((w) => w.replay([...s.path]))} /> : null}
          </section>
          {plan ? (
            <Button
              size="large"
              type="primary"
              loading={pending}
              disabled={seconds < 0.5 || busy !== undefined}
              onClick={() => void keep()}
            >
              Keep with the plan
            </Button>
          ) : null}
        </div>
      </div>
      {start.value?.later.length ? (
        <p className="muted">By hand, after the tilt, and not rehearsed: {start.value.later.join(', ')}.</p>
      ) : null}
      {start.value?.sources.some((s) => !s.isRead) ? (
        <p className="muted">
          Never read, so taken as {technique?.name ?? 'this technique'} wants it:{' '}
          {start.value.sources.flatMap((s) => (s.isRead ? [] : s.label)).join(', ')}.
        </p>
      ) : null}
      {technique ? (
        <Weighed
          technique={technique.name}
          pieces={weighing.weighed.length}
          correction={correction}
          found={corrected}
          zone={facts.studio.zone}
          busy={busy !== undefined || pending}
          onHold={() =>
            void long(
              'Holding against what was weighed',
              () => ask((w) => w.corrected(weighing.weighed, counted('Holding against what was weighed'))),
              setCorrected,
            )
          }
          onKeep={() =>
            send(
              () =>
                keepCorrectionAction({
                  technique: technique.key,
                  nuFactor: corrected!.nuFactor,
                  lipMm: corrected!.lipMm,
                  pieces: corrected!.pieces.length,
                }),
              () => setCorrected(undefined),
              'Rehearsed so from now on',
            )
          }
          onDrop={() => send(() => dropCorrectionAction({ technique: technique.key }), undefined, 'As read again')}
        />
      ) : null}
      {plan ? (
        <KeptList
          kept={kept}
          surfaces={design.surfaces}
          here={surfaceId}
          zone={facts.studio.zone}
          onReplay={(r) => void ask((w) => w.replay([...r.path]))}
          onRemove={(id) => send(() => removeRehearsalAction({ id }), undefined, 'Taken away')}
        />
      ) : null}
    </>
  )
}
