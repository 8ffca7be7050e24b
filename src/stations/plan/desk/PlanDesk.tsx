'use client'

import { edgesOf } from '@/core/learning/amountsOfPieces'
import { Button, Input, Select, still, TextArea } from '@/ui/forms/still'
import { Link } from '@/ui/frame/Link'
import { useRouter } from 'next/navigation'
import { useMemo, useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { offsText } from '@/core/colour/sureWords'
import { PLAN_KINDS } from '@/core/plan/design'
import { wordsOnPlan } from '@/core/plan/makersWord'
import { readTyped } from '@/core/quantity/typed'
import type { Point } from '@/core/surface/polygon'
import { footprint, type Surface } from '@/core/surface/shapes'
import type { Technique } from '@/core/technique/technique'
import type { PlanWithParts } from '@/db/plans/read'
import { Notice } from '@/ui/frame/Notice'
import { shortDay } from '@/ui/tables/dates'
import { useKept } from '@/ui/hooks/useKept'
import { useSend } from '@/ui/hooks/useSend'
import { useTechniques } from '@/ui/hooks/useTechniques'
import { dropPlanAction, savePlanAction } from '../actions'
import type { DeskFacts } from '../deskFacts'
import { planJob } from '../planJob'
import { AmountFields as DrawnAmountFields } from './AmountFields'
import { CoatsPanel as DrawnCoatsPanel } from './CoatsPanel'
import { CupPanel as DrawnCupPanel } from './CupPanel'
import { DatesPanel as DrawnDatesPanel } from './DatesPanel'
import { atMm, draftOf, newCup, newDraft, newLayer, newSurface, profileText, type Draft, type Opened } from './draft'
import { MoneyPanel as DrawnMoneyPanel } from './MoneyPanel'
import { NextPanel as DrawnNextPanel } from './NextPanel'
import { planInput, readDraft } from './readDraft'
import { RimLine } from './RimLine'
import { SurfaceFields as DrawnSurfaceFields } from './SurfaceFields'
import { SurfaceStage as DrawnSurfaceStage, type Drawing } from './SurfaceStage'
import { useDates } from './useDates'
import { deskColours, workOut, type Worked } from './workOut'
import styles from './desk.module.css'

/** Panels stay as they are while nothing they show has changed: a key changes one of some hundred controls. */
const AmountFields = still(DrawnAmountFields, 'by object')
const CoatsPanel = still(DrawnCoatsPanel, 'by object')
const CupPanel = still(DrawnCupPanel, 'by object')
const DatesPanel = still(DrawnDatesPanel, 'by object')
const MoneyPanel = still(DrawnMoneyPanel, 'by object')
const NextPanel = still(DrawnNextPanel, 'by object')
const SurfaceFields = still(DrawnSurfaceFields)
const SurfaceStage = still(DrawnSurfaceStage, 'by object')

/**
 * The plan desk: surfaces to scale with their cups on them, the selected cup in cross-section beside them, what is next
 * on the right, coats, dates and money below. Everything is worked out while typing; nothing has to be filled.
 */
export function PlanDesk({
  plan,
  opened,
  chosen,
  workId = null,
  facts,
}: {
  plan?: PlanWithParts
  /** What is opened where there is no saved plan yet: scaled up, poured again, an idea. */
  opened?: Opened
  chosen: readonly string[]
  /** The work a new plan is for. */
  workId?: string | null
  facts: DeskFacts
}) {
  const us = facts.studio.units === 'us'
  const techniques = useTechniques()
  const [id] = useState(() => plan?.id ?? uuidv7())
  const [revision, setRevision] = useState(plan?.revision ?? null)
  const [draft, setDraft] = useState<Draft>(() => {
    const from = plan ?? opened
    return from ? draftOf(from, us) : { ...newDraft(uuidv7, us, chosen), workId }
  })
  const change = (part: Partial<Draft>) => setDraft((before) => ({ ...before, ...part }))
  const [surfaceId, setSurfaceId] = useState(draft.surfaces[0]!.id)
  const [cupId, setCupId] = useState<string | null>(draft.cups[0]?.id ?? null)
  const [drawing, setDrawing] = useState<Drawing>(null)
  const colours = useMemo(() => deskColours(facts), [facts])
  const technique = techniques.find(draft.technique)
  const lesson = facts.lessons.find((l) => l.technique === draft.technique)
  const { design, worked, problem, dates } = useWorked(draft, technique, facts, colours, id)
  const { send, pending, refusal } = useSend<{ id: string; revision: number }>()
  const [tried, setTried] = useState(false)
  const router = useRouter()

  const poured = Boolean(plan?.pouredAt)
  // A plan is made in three taps: what nobody named is called by its day.
  const untitled = `Plan of ${shortDay(facts.now, facts.studio.zone)}`
  const shown = draft.surfaces.find((s) => s.id === surfaceId) ?? draft.surfaces[0]!
  const planned = design?.surfaces.find((s) => s.id === shown.id)
  const cup = draft.cups.find((c) => c.id === cupId) ?? draft.cups[0]
  const setSurface = (part: Partial<Draft['surfaces'][number]>) =>
    change({ surfaces: draft.surfaces.map((s) => (s.id === shown.id ? { ...s, ...part } : s)) })
  const setCup = (cupId: string, part: Partial<Draft['cups'][number]>) =>
    setDraft((d) => ({ ...d, cups: d.cups.map((c) => (c.id === cupId ? { ...c, ...part } : c)) }))
  const save = (then: (id: string) => void) => {
    setTried(true)
    if (!design) return
    send(
      () => savePlanAction(planInput(id, revision, { ...draft, title: draft.title.trim() || untitled }, design)),
      (saved) => {
        setRevision(saved.revision)
        then(saved.id)
      },
      'Plan saved',
    )
  }
  const swap = (from: { kind: string; id: string }, to: string) => {
    const other = (of: Draft['coats'][number]['of']) =>
      of && of.kind === from.kind && of.id === from.id ? { kind: 'bottle' as const, id: to } : of
    change({
      cups: draft.cups.map((c) => ({ ...c, layers: c.layers.map((l) => ({ ...l, of: other(l.of) })) })),
      coats: draft.coats.map((c) => ({ ...c, of: other(c.of) })),
    })
  }
  const addCup = () => {
    const made = newCup(uuidv7(), technique?.cups[0] ?? 'poured out', draft.surfaces.length > 1 ? shown.id : null, [
      newLayer(uuidv7(), null),
    ])
    change({ cups: [...draft.cups, made] })
    setCupId(made.id)
  }
  const addSurface = () => {
    const made = newSurface(uuidv7(), us)
    change({ surfaces: [...draft.surfaces, made] })
    setSurfaceId(made.id)
  }
  const removeSurface = () => {
    const left = draft.surfaces
      .filter((s) => s.id !== shown.id)
      .map((s) => (s.feeds === shown.id ? { ...s, feeds: null } : s))
    const off = <T extends { on: string | null }>(x: T): T => (x.on === shown.id ? { ...x, on: null } : x)
    change({ surfaces: left, cups: draft.cups.map(off), coats: draft.coats.map(off) })
    setSurfaceId(left[0]!.id)
  }
  return (
    <>
      <div className="head">
        <h1 className="visually-hidden">{plan ? plan.title : 'New plan'}</h1>
        <Input
          aria-label="Title"
          className={styles.title}
          size="large"
          placeholder={untitled}
          value={draft.title}
          maxLength={120}
          onChange={(e) => change({ title: e.target.value })}
        />
        {plan && !poured ? (
          <Button
            onClick={() =>
              send(
                () => dropPlanAction({ id }) as never,
                () => router.push('/plan'),
                'Put away',
              )
            }
          >
            Put away
          </Button>
        ) : null}
        {plan ? (
          <>
            <Link className="go second" href={`/plan/${plan.id}/rehearse`}>
              Rehearse
            </Link>
            <Link className="go second" href={`/plan/${plan.id}/put-out`}>
              Put out
            </Link>
            <Link className="go second" href={`/plan/${plan.id}/scale`}>
              Scale up
            </Link>
          </>
        ) : null}
        {poured ? <b>Poured already</b> : null}
        <Button
          size="large"
          disabled={poured}
          loading={pending}
          onClick={() => save((saved) => void (plan || router.push(`/plan/${saved}`)))}
        >
          Save
        </Button>
        <Button
          type="primary"
          size="large"
          disabled={poured}
          loading={pending}
          onClick={() => save((saved) => router.push(`/pour/${saved}`))}
        >
          Save, then pour
        </Button>
      </div>
      <div className={styles.top}>
        <label className="field">
          <span>Technique</span>
          <Select
            aria-label="Technique"
            value={draft.technique}
            className="wide"
            popupMatchSelectWidth={false}
            onChange={(key) => change({ technique: key })}
            options={techniques.all.map((t) => ({ value: t.key, label: t.name }))}
          />
        </label>
        <label className="field">
          <span>Part of</span>
          <Select
            aria-label="Part of"
            value={draft.workId ?? ''}
            className="wide"
            popupMatchSelectWidth={false}
            onChange={(work) => change({ workId: work || null })}
            options={[
              { value: '', label: 'no work, on its own' },
              ...(draft.workId && !facts.works.some((w) => w.id === draft.workId)
                ? [{ value: draft.workId, label: 'a work put away since' }]
                : []),
              ...facts.works.map((w) => ({ value: w.id, label: w.title })),
            ]}
          />
        </label>
        <label className="field">
          <span>This is a</span>
          <Select
            aria-label="Kind of plan"
            value={draft.kind}
            className="wide"
            onChange={(kind) => change({ kind })}
            options={PLAN_KINDS.map((value) => ({ value, label: value }))}
          />
        </label>
        <label className="field">
          <span>Poured on</span>
          <Input
            type="date"
            aria-label="Poured on"
            value={draft.pourOn}
            onChange={(e) => change({ pourOn: e.target.value })}
          />
        </label>
        <p className={styles.gives}>
          {technique ? (
            <>
              Tends to give {technique.gives}. Level again in {technique.levelTimeS[0]} – {technique.levelTimeS[1]} s.
            </>
          ) : (
            'This technique has been taken off the list. Choose another.'
          )}
        </p>
      </div>
      {draft.carriedNote ? (
        <Notice>
          Next time, you wrote: <b>{draft.carriedNote}</b>
        </Notice>
      ) : lesson ? (
        <Notice>
          After {lesson.title} you wrote: <b>{lesson.nextTime}</b>
        </Notice>
      ) : null}
      {facts.houseWords
        .filter((w) => w.technique === draft.technique)
        .slice(0, 2)
        .map((w) => (
          <Notice key={w.id}>
            House rule: <b>{w.words}</b>
          </Notice>
        ))}
      {problem ? <Notice kind="warning">{problem}</Notice> : null}
      {tried && refusal ? <Notice kind="warning">{refusal.message}</Notice> : null}
      <div className={styles.desk}>
        <section className="panel" aria-label="Surface">
          <div className={styles.tabs}>
            {draft.surfaces.map((s, i) => (
              <Button
                key={s.id}
                type={s.id === shown.id ? 'primary' : 'default'}
                aria-pressed={s.id === shown.id}
                onClick={() => setSurfaceId(s.id)}
              >
                {s.name || `Surface ${i + 1}`}
                {s.count > 1 ? ` × ${s.count}` : ''}
              </Button>
            ))}
            <Button onClick={addSurface}>One more surface</Button>
          </div>
          {planned && design && worked ? (
            <>
              <SurfaceStage
                planned={planned}
                design={design}
                worked={worked}
                on={worked.onSurfaces.find((s) => s.surface === planned.id)!}
                selected={cup?.id ?? null}
                drawing={drawing}
                onSelect={setCupId}
                onMove={(c, at) => setCup(c, { at: atMm(at) })}
                onTurn={(c, by) => setCup(c, { turnDeg: (draft.cups.find((x) => x.id === c)!.turnDeg + by) % 360 })}
                onProfile={(points) => setSurface({ profile: profileText(points, us) })}
                onDrawn={(points) => {
                  if (drawing === 'free' && points.length > 2) setSurface({ free: points })
                  if (drawing === 'path' && cup && points.length > 1) setCup(cup.id, { path: points })
                  setDrawing(null)
                }}
              />
              <RimLine worked={worked} surface={planned.id} vessel={planned.surface.shape === 'profile'} />
            </>
          ) : (
            <p className="muted">The picture comes back when everything can be read.</p>
          )}
          <SurfaceFields
            s={shown}
            others={draft.surfaces.filter((s) => s.id !== shown.id)}
            surfaces={facts.surfaces}
            units={facts.studio.units}
            drawing={drawing}
            quarter={planned ? quarterOf(planned.surface) : []}
            onDraw={setDrawing}
            change={setSurface}
            onRemove={draft.surfaces.length > 1 ? removeSurface : null}
          />
          <AmountFields
            draft={draft}
            worked={worked}
            learned={facts.learned}
            edges={planned ? edgesOf(planned.surface) : 0}
            change={change}
          />
        </section>
        <div className={styles.cupColumn}>
          <div className={styles.tabs}>
            {draft.cups.map((c, i) => (
              <Button
                key={c.id}
                type={c.id === cup?.id ? 'primary' : 'default'}
                aria-pressed={c.id === cup?.id}
                onClick={() => setCupId(c.id)}
              >
                Cup {i + 1}
                {c.copies !== '1' ? ` × ${c.copies}` : ''}
              </Button>
            ))}
            <Button onClick={addCup}>One more cup</Button>
          </div>
          {cup && technique ? (
            <CupPanel
              cup={cup}
              number={draft.cups.indexOf(cup) + 1}
              surfaces={draft.surfaces}
              filled={worked?.amounts.cups.find((c) => c.id === cup.id)}
              worked={worked}
              colours={colours}
              technique={technique}
              facts={facts}
              drawing={drawing}
              newId={uuidv7}
              change={(part) => setCup(cup.id, part)}
              onDraw={setDrawing}
              onRemove={() => {
                change({ cups: draft.cups.filter((c) => c.id !== cup.id) })
                setCupId(null)
              }}
            />
          ) : null}
          {facts.bottles.length === 0 ? (
            <p className="muted">
              The rack is empty. Plan with formulas or recipes, leave it open, or mix a bottle first.
            </p>
          ) : null}
        </div>
        <div className={styles.side}>
          {worked && design && technique ? (
            <NextPanel design={design} worked={worked} technique={technique} facts={facts} onSwap={swap} />
          ) : null}
          <WordsSaid worked={worked} facts={facts} />
        </div>
      </div>
      <div className={styles.below}>
        {technique ? (
          <CoatsPanel
            coats={draft.coats}
            surfaces={draft.surfaces}
            technique={technique}
            worked={worked}
            colours={colours}
            units={facts.studio.units}
            newId={uuidv7}
            change={(coats) => change({ coats })}
          />
        ) : null}
        <div className="two">
          <DatesPanel draft={draft} dates={dates} zone={facts.studio.zone} places={facts.places} change={change} />
          <div className="grid">
            {technique ? (
              <MoneyPanel
                draft={draft}
                worked={worked}
                technique={technique}
                currency={facts.studio.currency}
                change={change}
              />
            ) : null}
            <section className="panel" aria-label="Notes">
              <label className="field">
                <span>Notes</span>
                <TextArea
                  rows={3}
                  value={draft.notes}
                  maxLength={4000}
                  onChange={(e) => change({ notes: e.target.value })}
                />
              </label>
            </section>
          </div>
        </div>
      </div>
    </>
  )
}

/** The right quarter of a face, the usual negative space. */
function quarterOf(surface: Surface): Point[] {
  const { lengthMm: l, widthMm: w } = footprint(surface)
  return [
    [l / 4, -w / 2],
    [l / 2, -w / 2],
    [l / 2, w / 2],
    [l / 4, w / 2],
  ]
}

/** The plan read, dated among all others, and worked out for the day it is poured. */
function useWorked(
  draft: Draft,
  technique: Technique | undefined,
  facts: DeskFacts,
  colours: ReturnType<typeof deskColours>,
  id: string,
) {
  const { workId, kind } = draft
  const read = useMemo(() => readDraft(draft, facts.studio.units), [draft, facts])
  // A title or a note changes nothing of what is worked out.
  const design = useKept(read.design)
  const dated = useMemo(() => {
    if (!design || !technique) return undefined
    return readTyped(() =>
      planJob({ ...draft, id, design, pourOn: draft.pourOn || null }, technique, {
        works: facts.works,
        room: facts.room,
        bottles: new Map(facts.bottles.map((b) => [b.id, b])),
        zone: facts.studio.zone,
        sizes: facts.cups.map((c) => c.sizeUl),
      }),
    )
  }, [draft, design, technique, facts, id])
  const dates = useDates(dated?.value, facts.jobs, facts.places, facts.room, facts.studio.zone, facts.now)
  const pourAt = dates?.steps.find((s) => s.key === 'pour')?.start ?? facts.now
  const possible = design && technique && dated?.value ? design : undefined
  const worked = useMemo(
    () => possible && technique && workOut(possible, { workId, kind }, technique, facts, colours, pourAt),
    [possible, workId, kind, technique, facts, colours, pourAt],
  )
  return { design: possible, worked, problem: read.problem ?? dated?.sentence, dates }
}

/** What the maker said of the paints that meet here, and how sure the colours are. */
function WordsSaid({ worked, facts }: { worked: Worked | undefined; facts: DeskFacts }) {
  if (!worked) return null
  const used = worked.amounts.parts.flatMap((p) => {
    const b = p.of.kind === 'bottle' ? facts.bottles.find((x) => x.id === p.of.id) : undefined
    return b ? [{ use: p.use, label: b.label, role: b.role, paints: b.paints }] : []
  })
  const offs = offsText(worked.colours.flatMap((c) => c.bottle ?? []))
  return (
    <>
      {wordsOnPlan(used, facts.word).map((w) => (
        <Notice key={w.text} kind={w.against ? 'warning' : 'note'}>
          {w.text}
        </Notice>
      ))}
      {offs ? <p className="muted fine">{offs}</p> : null}
    </>
  )
}
