'use client'

import { Button, Checkbox, Input, Select } from 'antd'
import { Link } from '@/ui/frame/Link'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { METRICS, RATING, TRIAL_KINDS, type TrialKind } from '@/core/learning/trial'
import { Notice } from '@/ui/frame/Notice'
import { useSend } from '@/ui/hooks/useSend'
import { beginTrialAction } from '../actions'

interface Choice {
  readonly id: string
  readonly name: string
}

const MOST_ARMS = 8
const USUAL_CRITERIA = [RATING, 'craters', 'cells', 'gloss', 'cracks', 'mud', ...Object.keys(METRICS)]

/** One question, one thing changed: what is asked, the arms, what is kept the same, what is looked at. */
export function TrialForm({
  materials,
  material,
  fault,
}: {
  materials: readonly Choice[]
  material: Choice | null
  fault: string
}) {
  const [id] = useState(() => uuidv7())
  const [question, setQuestion] = useState(material && fault ? `Does ${material.name} make ${fault}?` : '')
  const [madeAs, setMadeAs] = useState<TrialKind>('cards')
  const [arms, setArms] = useState<readonly { what: string; materialId: string | null }[]>([
    { what: material ? `with ${material.name}` : '', materialId: material?.id ?? null },
    { what: material ? `without ${material.name}` : '', materialId: null },
  ])
  const [constants, setConstants] = useState('')
  const [criteria, setCriteria] = useState<string[]>(fault ? [fault] : [RATING])
  const [isBlind, setBlind] = useState(false)
  const { send, pending, refusal } = useSend<null>()
  const router = useRouter()
  const setArm = (at: number, part: Partial<(typeof arms)[number]>) =>
    setArms((list) => list.map((a, i) => (i === at ? { ...a, ...part } : a)))
  return (
    <>
      <div className="head">
        <h1>
          A trial <span className="sub">one question, one thing changed</span>
        </h1>
        <Link className="go second" href="/notebook/trials">
          All trials
        </Link>
      </div>
      <section className="panel" aria-label="The trial">
        <label className="field">
          <span>The question</span>
          <Input
            value={question}
            maxLength={200}
            placeholder="Does this black make craters?"
            onChange={(e) => setQuestion(e.target.value)}
          />
        </label>
        <div className="two columns">
          <label className="field">
            <span>Made on</span>
            <Select
              aria-label="Made on"
              className="wide"
              value={madeAs}
              onChange={setMadeAs}
              options={TRIAL_KINDS.map((value) => ({ value, label: value }))}
            />
          </label>
          <label className="field">
            <span>What is looked at</span>
            <Select
              aria-label="What is looked at"
              mode="tags"
              className="wide"
              value={criteria}
              onChange={setCriteria}
              options={USUAL_CRITERIA.map((value) => ({ value, label: value }))}
            />
          </label>
        </div>
        {arms.map((a, i) => (
          <div className="two columns" key={i}>
            <label className="field">
              <span>Arm {i + 1}: what is different</span>
              <Input value={a.what} maxLength={120} onChange={(e) => setArm(i, { what: e.target.value })} />
            </label>
            <label className="field">
              <span>The material that is different, if it is one</span>
              <Select
                aria-label={`Material of arm ${i + 1}`}
                className="wide"
                showSearch={{ optionFilterProp: 'label' }}
                allowClear
                value={a.materialId}
                onChange={(materialId) => setArm(i, { materialId: materialId ?? null })}
                options={materials.map((m) => ({ value: m.id, label: m.name }))}
              />
            </label>
          </div>
        ))}
        <p>
          <Button
            disabled={arms.length >= MOST_ARMS}
            onClick={() => setArms((list) => [...list, { what: '', materialId: null }])}
          >
            One arm more
          </Button>{' '}
          {arms.length > 2 ? <Button onClick={() => setArms((list) => list.slice(0, -1))}>One arm less</Button> : null}
        </p>
        <label className="field">
          <span>What stays the same</span>
          <Input.TextArea
            autoSize
            value={constants}
            maxLength={1000}
            placeholder="size, amount, consistency, cup, hand; separate tools; marked on the back"
            onChange={(e) => setConstants(e.target.value)}
          />
        </label>
        <p>
          <Checkbox className="big-check" checked={isBlind} onChange={(e) => setBlind(e.target.checked)}>
            Looked at blind: nobody sees which arm it is while giving a word
          </Checkbox>
        </p>
        {refusal ? <Notice kind="warning">{refusal.message}</Notice> : null}
        <Button
          type="primary"
          size="large"
          loading={pending}
          onClick={() =>
            send(
              () => beginTrialAction({ id, question, madeAs, constants, criteria, isBlind, arms }),
              () => router.push(`/notebook/trials/${id}`),
              'Trial begun',
            )
          }
        >
          Begin the trial
        </Button>
        <p className="muted fine after">
          From four pairs on Fika says something; differences of one rating step want about eight. What is settled may
          be written back to a paint, a medium, a pair or the house’s rules.
        </p>
      </section>
    </>
  )
}
