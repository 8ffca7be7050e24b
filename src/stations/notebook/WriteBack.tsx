'use client'

import { Button, Input, Select } from 'antd'
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { PAIR_VERDICTS, PAIR_WORDS, type PairVerdict } from '@/core/colour/pairVerdicts'
import { POURING_WORDS, POURINGS } from '@/core/paint/pouring'
import { EFFECTS } from '@/core/mix/mediumEffects'
import { Notice } from '@/ui/frame/Notice'
import { useSend } from '@/ui/hooks/useSend'
import { flagLotAction } from '@/server/flagLotAction'
import { noteEffectAction, notePairBackAction, notePouringAction, sayHouseWordAction } from './actions'
import styles from './notebook.module.css'

/** What was learned of: a paint, a medium, and the counted container where it was that. */
export interface LearnedOf {
  readonly id: string
  readonly name: string
  readonly lotId: string | null
  readonly kind: string
}

/** Writes back by a tap what was learned: onto the paint's card, the medium's profile, the container, or as a house rule. */
export function WriteBack({
  fault,
  material,
  others,
  trialId = null,
  words = '',
}: {
  fault: string
  material: LearnedOf | null
  /** Paints a pair may be noted with. */
  others: readonly { readonly id: string; readonly name: string }[]
  trialId?: string | null
  words?: string
}) {
  return (
    <section className="panel" aria-label="Write it back">
      <h2>Write it back</h2>
      <div className={styles.tell}>
        {material?.kind === 'paint' ? <OnCard paint={material} /> : null}
        {material?.kind === 'paint' && others.length > 1 ? <OnPair paint={material} others={others} /> : null}
        {material?.kind === 'medium' ? <InProfile medium={material} /> : null}
        {material?.lotId ? <OnContainer lotId={material.lotId} name={material.name} fault={fault} /> : null}
        <AsRule
          trialId={trialId}
          start={words || (material ? `${material.name}: makes ${fault}. Try it on card first.` : '')}
        />
      </div>
    </section>
  )
}

function OnCard({ paint }: { paint: LearnedOf }) {
  const { send, pending, refusal } = useSend<null>()
  const [picked, setPicked] = useState('cells none')
  const options = POURINGS.flatMap((what) =>
    Object.entries(POURING_WORDS[what].of).map(([value, label]) => ({ value: `${what} ${value}`, label, what })),
  )
  const keep = () => {
    const at = picked.indexOf(' ')
    send(
      () => notePouringAction({ paintId: paint.id, what: picked.slice(0, at), value: picked.slice(at + 1) }),
      undefined,
      `Noted on the card of ${paint.name}`,
    )
  }
  return (
    <div className="field">
      <span>On the card of {paint.name}</span>
      <div className={styles.taps}>
        <Select aria-label="How it pours" className="grow" value={picked} onChange={setPicked} options={options} />
        <Button onClick={keep} loading={pending}>
          Note
        </Button>
      </div>
      {refusal ? <Notice kind="warning">{refusal.message}</Notice> : null}
    </div>
  )
}

function OnPair({
  paint,
  others,
}: {
  paint: LearnedOf
  others: readonly { readonly id: string; readonly name: string }[]
}) {
  const { send, pending, refusal } = useSend<null>()
  const [otherId, setOtherId] = useState<string>()
  const [verdict, setVerdict] = useState<PairVerdict>('never')
  return (
    <div className="field">
      <span>On {paint.name} beside another</span>
      <div className={styles.taps}>
        <Select
          aria-label="The other paint"
          className="grow"
          showSearch={{ optionFilterProp: 'label' }}
          placeholder="the other paint"
          value={otherId}
          onChange={setOtherId}
          options={others.flatMap((o) => (o.id === paint.id ? [] : [{ value: o.id, label: o.name }]))}
        />
        <Select
          aria-label="What the pair does"
          value={verdict}
          onChange={setVerdict}
          options={PAIR_VERDICTS.map((value) => ({ value, label: PAIR_WORDS[value] }))}
        />
        <Button
          loading={pending}
          disabled={!otherId}
          onClick={() =>
            send(() => notePairBackAction({ paintId: paint.id, otherId, verdict, note: '' }), undefined, 'Pair noted')
          }
        >
          Note
        </Button>
      </div>
      {refusal ? <Notice kind="warning">{refusal.message}</Notice> : null}
    </div>
  )
}

function InProfile({ medium }: { medium: LearnedOf }) {
  const { send, pending, refusal } = useSend<null>()
  const [effect, setEffect] = useState<string>(EFFECTS[0])
  const [value, setValue] = useState(2)
  return (
    <div className="field">
      <span>In the profile of {medium.name}</span>
      <div className={styles.taps}>
        <Select
          aria-label="Effect"
          className="grow"
          value={effect}
          onChange={setEffect}
          options={EFFECTS.map((e) => ({ value: e, label: e }))}
        />
        <Select
          aria-label="How much of it"
          value={value}
          onChange={setValue}
          options={['none', 'a little', 'some', 'strong'].map((label, i) => ({ value: i, label }))}
        />
        <Button
          loading={pending}
          onClick={() =>
            send(
              () => noteEffectAction({ mediumId: medium.id, effect, value }),
              undefined,
              `Noted in the profile of ${medium.name}`,
            )
          }
        >
          Note
        </Button>
      </div>
      {refusal ? <Notice kind="warning">{refusal.message}</Notice> : null}
    </div>
  )
}

function OnContainer({ lotId, name, fault }: { lotId: string; name: string; fault: string }) {
  const { send, pending, refusal } = useSend<null>()
  return (
    <div>
      <Button
        loading={pending}
        onClick={() => send(() => flagLotAction({ lotId, flag: `made ${fault} here` }), undefined, 'Flagged')}
      >
        Flag this container of {name} as bad
      </Button>
      <p className="muted fine">It is then said at the bench, on the rack and in every plan that would use it.</p>
      {refusal ? <Notice kind="warning">{refusal.message}</Notice> : null}
    </div>
  )
}

function AsRule({ start, trialId }: { start: string; trialId: string | null }) {
  const { send, pending, refusal } = useSend<null>()
  const [id, setId] = useState(() => uuidv7())
  const [words, setWords] = useState(start)
  return (
    <div className="field">
      <span>As a rule of the house</span>
      <Input.TextArea
        aria-label="A rule of the house"
        autoSize
        maxLength={400}
        value={words}
        placeholder="One sentence"
        onChange={(e) => setWords(e.target.value)}
      />
      <div className={styles.taps}>
        <Button
          loading={pending}
          onClick={() =>
            send(
              () => sayHouseWordAction({ id, words, technique: null, trialId }),
              () => setId(uuidv7()),
              'Kept as a rule of the house',
            )
          }
        >
          Keep the rule
        </Button>
      </div>
      {refusal ? <Notice kind="warning">{refusal.message}</Notice> : null}
    </div>
  )
}
