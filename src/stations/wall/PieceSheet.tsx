'use client'

import { type PhotoState, CHOSEN_FATES } from '@/core/piece/fates'
import { Button, Checkbox, Form, Input, Rate, Select } from 'antd'
import Link from 'next/link'
import { useRef, useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { useTechniques } from '@/ui/hooks/useTechniques'
import { costOf } from '@/core/purchase/cost'
import { formatVolume } from '@/core/quantity/format'
import { CLEAN_FIRST } from '@/core/vessel/additives'
import { formatMoney } from '@/core/quantity/money'
import { surfaceWords } from '@/core/surface/words'
import { FAULTS } from '@/core/piece/faults'
import { STAYED_WORDS } from '@/core/run/stayed'
import type { LotPortion } from '@/db/bottles/read'
import type { StudioFacts } from '@/db/people/studio'
import { day } from '@/ui/tables/dates'
import { Chip } from '@/ui/pictures/Drawdown'
import { Notice } from '@/ui/frame/Notice'
import { TraceTable } from '@/ui/tables/TraceTable'
import { useSend } from '@/ui/hooks/useSend'
import { addPhotoAction, notePieceAction, removePhotoAction } from './actions'
import { PiecePicture } from './PiecePicture'
import type { Piece } from '@/db/pieces/read'
import type { KeptRehearsal } from '@/db/rehearsals/read'
import { ToldLine } from '@/ui/tables/ToldLine'
import { LooksDue } from './LooksDue'
import { RunOff } from './RunOff'
import styles from './wall.module.css'

interface Fields {
  title: string
  dryingNotes: string
  nextTime: string
  rating: number
  faults: string[]
  fate: string
}

/** One piece: how it looks, wet beside dry, how it dried, and what went into it down to each bought container. */
export function PieceSheet({
  piece,
  portions,
  studio,
  jars,
  rehearsed,
  set,
  wasted,
}: {
  piece: Piece
  portions: LotPortion[]
  studio: StudioFacts
  jars: readonly { id: string; label: string }[]
  /** The pieces of its set, itself among them; none where it is one alone. */
  set: readonly { id: string; title: string }[]
  /** What ran off it and was thrown away. */
  wasted: LotPortion[]
  /** What was rehearsed of its plan last. */
  rehearsed: KeptRehearsal | undefined
}) {
  const techniques = useTechniques()
  const { send, pending, refusal } = useSend<null>()
  const paint = costOf(portions).minor
  const waste = costOf(wasted).minor
  const size = surfaceWords(piece.surface)
  const sum = (list: readonly { ul: number }[]) => list.reduce((ul, p) => ul + p.ul, 0)
  // What bottles gave and the piece no longer holds went into jars.
  const intoJars = Math.max(0, sum(piece.colours) - sum(portions) - sum(wasted))
  const save = (f: Fields) =>
    send(
      () => notePieceAction({ ...f, rating: f.rating || null, id: piece.id, revision: piece.revision }),
      undefined,
      'Noted',
    )
  return (
    <>
      <div className="head">
        <h1>
          {piece.title} <span className="sub">{day(piece.pouredAt, studio.zone)}</span>
        </h1>
        {piece.fate === 'undone' ? <b>This pour was undone</b> : null}
        {piece.planId && piece.fate !== 'undone' ? (
          <Link className="go second" href={`/plan/again/${piece.id}`}>
            Pour again, changed
          </Link>
        ) : null}
        {piece.planId ? (
          <Link className="go second" href={`/plan/${piece.planId}`}>
            Its plan
          </Link>
        ) : null}
      </div>
      <div className="two">
        <div className="grid">
          <LooksDue piece={piece} zone={studio.zone} />
          <div className={`${styles.frameBox} panel`}>
            <PiecePicture piece={piece} />
          </div>
          <Photos piece={piece} zone={studio.zone} />
          {piece.fate === 'undone' ? null : (
            <RunOff pieceTitle={piece.title} pourId={piece.vesselId} jars={jars} units={studio.units} />
          )}
        </div>
        <section className="panel" aria-label="Result">
          <dl className="facts apart">
            <dt>Technique</dt>
            <dd>{techniques.name(piece.technique)}</dd>
            <dt>Surface</dt>
            <dd>
              {size}
              {piece.surface.count > 1 ? `, ${piece.surface.count} pieces` : ''}
            </dd>
            {set.length > 1 ? (
              <>
                <dt>Set</dt>
                <dd>
                  One of a set of {set.length}:{' '}
                  {set
                    .filter((p) => p.id !== piece.id)
                    .map((p, i) => (
                      <span key={p.id}>
                        {i ? ', ' : ''}
                        <Link href={`/wall/${p.id}`}>{p.title}</Link>
                      </span>
                    ))}
                </dd>
              </>
            ) : null}
            <dt>{piece.stayedHow ? 'Left on it' : 'Poured'}</dt>
            <dd data-testid="poured">
              {formatVolume(sum(portions))}
              {piece.stayedHow
                ? ` of ${formatVolume(sum(piece.colours))}, ${STAYED_WORDS[piece.stayedHow]}; ${formatVolume(sum(wasted))} went to waste`
                : ''}
            </dd>
            {piece.driesAt ? (
              <>
                <dt>Dries on</dt>
                <dd>{piece.driesAt}</dd>
              </>
            ) : null}
            {rehearsed ? (
              <>
                <dt>Rehearsed</dt>
                <dd data-testid="rehearsed">
                  <ToldLine told={rehearsed.told} />{' '}
                  {intoJars > 0
                    ? `Into jars went ${formatVolume(intoJars)}${piece.surface.count > 1 ? ` of ${piece.surface.count} pieces` : ''}.`
                    : 'Nothing was weighed into a jar yet.'}
                </dd>
              </>
            ) : null}
            <dt>Cost</dt>
            <dd data-testid="piece-cost">
              <b>{formatMoney(paint + waste + piece.surfaceCostMinor, studio.currency)}</b> (
              {formatMoney(paint, studio.currency)} paint, {formatMoney(piece.surfaceCostMinor, studio.currency)}{' '}
              surface{waste > 0 ? `, ${formatMoney(waste, studio.currency)} run off to waste` : ''})
            </dd>
            <dt>Bottles</dt>
            <dd>
              {piece.colours.map((c) => (
                <span key={c.label} className="chipline tight">
                  <Chip hex={c.hex} size={22} />
                  {c.label} · {formatVolume(c.ul)}
                </span>
              ))}
            </dd>
          </dl>
          <Form<Fields>
            key={piece.revision}
            layout="vertical"
            onFinish={save}
            requiredMark={false}
            initialValues={{
              title: piece.title,
              dryingNotes: piece.dryingNotes,
              nextTime: piece.nextTime,
              rating: piece.rating ?? 0,
              faults: [...piece.faults],
              fate: piece.fate,
            }}
          >
            <Form.Item name="title" label="Title" rules={[{ required: true, message: 'Give the piece a title.' }]}>
              <Input maxLength={120} />
            </Form.Item>
            <Form.Item name="dryingNotes" label="How it dried">
              <Input.TextArea
                rows={4}
                maxLength={8000}
                placeholder="after an hour, next day, dry: corners, edges, middle, the best spot"
              />
            </Form.Item>
            <Form.Item name="nextTime" label="Next time">
              <Input maxLength={400} placeholder="one sentence; the next plan after this piece shows it" />
            </Form.Item>
            <div className="two columns">
              <Form.Item name="rating" label="Rating">
                <Rate character="●" style={{ color: 'var(--ink)', fontSize: 28 }} />
              </Form.Item>
              <Form.Item name="fate" label="What becomes of it">
                <Select
                  options={CHOSEN_FATES.map((f) => ({ value: f, label: f }))}
                  disabled={piece.fate === 'undone'}
                />
              </Form.Item>
            </div>
            <Form.Item name="faults" label="Faults">
              <Checkbox.Group style={{ display: 'grid', gap: 6 }}>
                {FAULTS.map((f) => (
                  <Checkbox key={f.key} value={f.key}>
                    {f.name} <small className="muted">often: {f.causes}</small>
                  </Checkbox>
                ))}
              </Checkbox.Group>
            </Form.Item>
            {refusal ? <Notice kind="warning">{refusal.message}</Notice> : null}
            <Button type="primary" size="large" htmlType="submit" loading={pending}>
              Note it
            </Button>
          </Form>
          {portions.some((p) => p.kind === 'additive') ? <Notice kind="warning">{CLEAN_FIRST}</Notice> : null}
          <p className="muted after fine">
            Sanding: never a pigmented film without proper respiratory protection. Varnish or resin only once dry and
            free of silicone; varnish sprayed outside or with extraction; resin by its data sheet, with gloves, fresh
            air and no skin contact. A painted vessel: nothing where food or lips touch. Follow labels, local codes and
            licensed practice.
          </p>
        </section>
      </div>
      <section className="panel below">
        <h2>What went into it</h2>
        <TraceTable portions={portions} currency={studio.currency} zone={studio.zone} />
      </section>
    </>
  )
}

function Photos({ piece, zone }: { piece: Piece; zone: string }) {
  const { send, pending, refusal } = useSend<null>()
  const [state, setState] = useState<PhotoState>(piece.photos.length ? 'dry' : 'wet')
  const input = useRef<HTMLInputElement>(null)
  const upload = (file: File) => {
    const form = new FormData()
    form.set('id', uuidv7())
    form.set('pieceId', piece.id)
    form.set('state', state)
    form.set('photo', file)
    send(
      () => addPhotoAction(form),
      () => {
        if (input.current) input.current.value = ''
      },
      'Photo added',
    )
  }
  return (
    <section className="panel" aria-label="Photos">
      <h2>Photos, wet beside dry</h2>
      <div className="two gap">
        {(['wet', 'dry'] as const).map((s) => (
          <div key={s}>
            <h3>{s === 'wet' ? 'Wet' : 'Dry'}</h3>
            {piece.photos.filter((f) => f.state === s).length === 0 ? <p className="muted">none yet</p> : null}
            {piece.photos
              .filter((f) => f.state === s)
              .map((f) => (
                <figure key={f.id} className="close flush-top">
                  {/* eslint-disable-next-line @next/next/no-img-element */}
                  <img src={`/wall/photo/${f.id}`} alt={`${piece.title}, ${s}`} className="wide block" loading="lazy" />
                  <figcaption className="muted row spread">
                    {day(f.takenAt, zone)}
                    <button
                      type="button"
                      className="plain"
                      onClick={() => send(() => removePhotoAction({ id: f.id }), undefined, 'Photo removed')}
                    >
                      Remove
                    </button>
                  </figcaption>
                </figure>
              ))}
          </div>
        ))}
      </div>
      <div className="row under">
        <Select
          aria-label="Wet or dry"
          value={state}
          onChange={(v: PhotoState) => setState(v)}
          className="w120"
          options={[
            { value: 'wet', label: 'wet' },
            { value: 'dry', label: 'dry' },
          ]}
        />
        <input
          ref={input}
          type="file"
          accept="image/jpeg,image/png,image/webp"
          aria-label="Choose a photo"
          disabled={pending}
          onChange={(e) => e.target.files?.[0] && upload(e.target.files[0])}
        />
      </div>
      {refusal ? <Notice kind="warning">{refusal.message}</Notice> : null}
    </section>
  )
}
