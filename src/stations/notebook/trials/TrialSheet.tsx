'use client'

import { Button, Input, Segmented, Select } from 'antd'
import { Link } from '@/ui/frame/Link'
import { useState } from 'react'
import { isMetric, mostOf, type ArmsCompared, type Differs, type TrialArm } from '@/core/learning/trial'
import type { Trial } from '@/db/trials/read'
import { Notice } from '@/ui/frame/Notice'
import { useSend } from '@/ui/hooks/useSend'
import { RangeBars } from '../charts/RangeBars'
import { endTrialAction, placeTrialPieceAction, sayOfTrialAction } from '../actions'
import { WriteBack, type LearnedOf } from '../WriteBack'
import { shuffled } from './shuffled'
import { verdictWords } from './verdictWords'
import styles from '../notebook.module.css'

interface Choice {
  readonly id: string
  readonly title: string
}

/** One trial: what it says so far, whether anything else differs, and the words of everybody who looked. */
export function TrialSheet({
  trial,
  compared,
  differs,
  pieces,
  person,
  material,
  paints,
}: {
  trial: Trial
  compared: readonly ArmsCompared[]
  differs: readonly Differs[]
  pieces: readonly Choice[]
  person: string
  material: LearnedOf | null
  paints: readonly { readonly id: string; readonly name: string }[]
}) {
  const told = compared.filter((c) => c.told.pairs > 0)
  const reach = Math.max(1, ...told.flatMap((c) => [Math.abs(c.told.low), Math.abs(c.told.high)]))
  const settled = compared.filter((c) => c.told.verdict !== 'open')
  return (
    <>
      <div className="head">
        <h1>{trial.question}</h1>
        <Link className="go second" href="/notebook/trials">
          All trials
        </Link>
      </div>
      <div className="wide-left">
        <div className="grid">
          <section className="panel" aria-label="What it says">
            {compared.map((c) => (
              <p className={styles.said} key={`${c.criterion} ${c.first.arm} ${c.second.arm}`} data-testid="verdict">
                <b>{verdictWords(c)}</b>
              </p>
            ))}
            {told.length ? (
              <>
                <RangeBars
                  label="Gap between arms by each criterion"
                  unit="gap: right of 0 the first has more"
                  from={-Math.ceil(reach)}
                  to={Math.ceil(reach)}
                  against={0}
                  ranges={told.map((c) => ({
                    name: trial.arms.length > 2 ? `${c.criterion}: ${c.first.what} − ${c.second.what}` : c.criterion,
                    low: c.told.low,
                    value: c.told.gap,
                    high: c.told.high,
                  }))}
                />
                <p className="muted">
                  Between these ends the gap lies nine times in ten. Said is only what is nine in ten sure and past a
                  quarter of a step; never before four pairs.
                </p>
              </>
            ) : null}
          </section>
          {trial.endedAt ? null : <WordsPanel trial={trial} person={person} pieces={pieces} />}
        </div>
        <div className="grid">
          <section className="panel" aria-label="Does anything else differ">
            <h2>Does anything else differ?</h2>
            {trial.pieces.length < 2 ? (
              <p className="muted">
                {trial.madeAs === 'pieces'
                  ? 'Put pieces of the wall into the repeats, and Fika checks it from the books.'
                  : 'Cards that are not in the books cannot be checked. Keep all else the same.'}
              </p>
            ) : differs.length === 0 ? (
              <p>Nothing that is in the books.</p>
            ) : (
              differs.map((d) => (
                <Notice kind="warning" key={`${d.repeat} ${d.what}`}>
                  Repeat {d.repeat}: {d.what} differs too. What is seen may come from that.
                </Notice>
              ))
            )}
            {trial.constants ? <p className="muted">Kept the same: {trial.constants}</p> : null}
          </section>
          <EndPanel trial={trial} />
          {settled.length || trial.endedAt ? (
            <WriteBack
              fault={trial.criteria[0]!}
              material={material}
              others={paints}
              trialId={trial.id}
              words={settled[0] ? verdictWords(settled[0]) : trial.said}
            />
          ) : null}
        </div>
      </div>
    </>
  )
}

function EndPanel({ trial }: { trial: Trial }) {
  const { send, pending, refusal } = useSend<{ revision: number }>()
  const [said, setSaid] = useState(trial.said)
  const end = (isEnded: boolean) =>
    send(
      () => endTrialAction({ id: trial.id, revision: trial.revision, said, isEnded }),
      undefined,
      isEnded ? 'Ended' : 'Open again',
    )
  return (
    <section className="panel" aria-label="End it">
      <h2>{trial.endedAt ? 'It said' : 'When it has said enough'}</h2>
      <Input.TextArea
        aria-label="What it said"
        autoSize
        value={said}
        maxLength={1000}
        placeholder="In your own words"
        onChange={(e) => setSaid(e.target.value)}
      />
      <p className="after">
        <Button loading={pending} onClick={() => end(!trial.endedAt)}>
          {trial.endedAt ? 'Open it again' : 'End the trial'}
        </Button>
      </p>
      {refusal ? <Notice kind="warning">{refusal.message}</Notice> : null}
    </section>
  )
}

const repeatsOf = (trial: Trial) => Math.max(0, ...[...trial.words, ...trial.pieces].map((x) => x.repeat))

/** Repeats with a word for each arm and criterion; several people give theirs one after another. */
function WordsPanel({ trial, person, pieces }: { trial: Trial; person: string; pieces: readonly Choice[] }) {
  const [who, setWho] = useState(person)
  const [extra, setExtra] = useState(1)
  const repeats = Array.from({ length: repeatsOf(trial) + extra }, (_, i) => i + 1)
  const others = [...new Set(trial.words.map((w) => w.who))].filter((w) => w !== who)
  return (
    <section className="panel" aria-label="Words">
      <h2>What do you see?</h2>
      <label className="field">
        <span>Who looks</span>
        <Input value={who} maxLength={60} onChange={(e) => setWho(e.target.value)} />
      </label>
      {others.length ? <p className="muted">Words of {others.join(', ')} are kept beside yours.</p> : null}
      {repeats.map((repeat) => (
        <div key={repeat} className={styles.repeat}>
          <h3>Repeat {repeat}</h3>
          <div className={styles.pair}>
            {(trial.isBlind ? shuffled(trial.arms, trial.id, repeat) : trial.arms).map((a, i) => (
              <ArmCell
                key={a.arm}
                trial={trial}
                arm={a}
                repeat={repeat}
                who={who}
                name={trial.isBlind ? `${trial.madeAs.slice(0, -1)} ${i + 1}` : a.what}
                pieces={pieces}
              />
            ))}
          </div>
        </div>
      ))}
      <Button onClick={() => setExtra((n) => n + 1)}>One repeat more</Button>
    </section>
  )
}

const GIVEN = ['none', 'a little', 'some', 'much'] as const

function ArmCell({
  trial,
  arm,
  repeat,
  who,
  name,
  pieces,
}: {
  trial: Trial
  arm: TrialArm
  repeat: number
  who: string
  name: string
  pieces: readonly Choice[]
}) {
  const { send, refusal } = useSend<null>()
  const own = (criterion: string) =>
    trial.words.find((w) => w.arm === arm.arm && w.repeat === repeat && w.criterion === criterion && w.who === who)
  const placed = trial.pieces.find((p) => p.arm === arm.arm && p.repeat === repeat)
  return (
    <div className={styles.tell} data-testid={`repeat ${repeat} arm ${arm.arm}`}>
      <b>{name}</b>
      {trial.madeAs === 'cards' ? null : (
        <Select
          aria-label={`Piece of ${name}, repeat ${repeat}`}
          allowClear
          showSearch={{ optionFilterProp: 'label' }}
          placeholder="the piece on the wall"
          value={placed?.pieceId}
          onChange={(pieceId) =>
            send(() => placeTrialPieceAction({ trialId: trial.id, arm: arm.arm, repeat, pieceId: pieceId ?? null }))
          }
          options={pieces.map((p) => ({ value: p.id, label: p.title }))}
        />
      )}
      {trial.criteria.map((criterion) =>
        isMetric(criterion) ? (
          <small className="muted" key={criterion}>
            {criterion}: measured from its photo
          </small>
        ) : (
          <div key={criterion}>
            <small>{criterion}</small>
            <Segmented
              block
              size="large"
              aria-label={`${criterion} of ${name}, repeat ${repeat}`}
              value={own(criterion)?.value ?? ''}
              onChange={(value) =>
                send(() =>
                  sayOfTrialAction({
                    trialId: trial.id,
                    who,
                    words: [{ arm: arm.arm, repeat, criterion, value: Number(value) }],
                  }),
                )
              }
              options={
                mostOf(criterion) === 5
                  ? [1, 2, 3, 4, 5].map((v) => ({ value: v, label: String(v) }))
                  : GIVEN.map((label, value) => ({ value, label }))
              }
            />
          </div>
        ),
      )}
      {refusal ? <Notice kind="warning">{refusal.message}</Notice> : null}
    </div>
  )
}
