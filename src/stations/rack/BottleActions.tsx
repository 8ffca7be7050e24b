'use client'

import type { Water } from '@/db/materials/mixable'
import { Button, Input, Popconfirm, Segmented, Select } from 'antd'
import { useState } from 'react'
import { useTechniques } from '@/ui/hooks/useTechniques'
import type { WaterVerdict } from '@/core/mix/waterLimit'
import { ROLES } from '@/core/paint/properties'
import { parseMassMg, parseVolumeUl, type UnitSystem } from '@/core/quantity/parse'
import type { Loss } from '@/core/vessel/weighIn'
import type { BottleFull } from '@/db/bottles/read'
import type { MayGoBack } from '@/db/mixes'
import { Notice } from '@/ui/frame/Notice'
import { QuantityInput } from '@/ui/forms/QuantityInput'
import { useAttempt } from '@/ui/hooks/useAttempt'
import { useSend } from '@/ui/hooks/useSend'
import { useScale } from '@/ui/hooks/useScale'
import { addWaterAction, discardAction, editBottleAction, takeOutAction, weighInAction } from './actions'
import { MoreForms } from './MoreForms'
import { PourBackForm } from './PourBackForm'
import { WaterForm } from './WaterForm'
import styles from './rack.module.css'

type Task = 'take' | 'weigh' | 'water' | 'more' | 'edit' | 'discard'

/** What can be done to a bottle: take out, weigh, water, extend, split, merge, rename, throw away. Undo stands below. */
export function BottleActions({
  bottle,
  units,
  limit,
  waters,
  others,
  zone,
  goBack,
}: {
  bottle: BottleFull
  units: UnitSystem
  limit: WaterVerdict | undefined
  waters: readonly Water[]
  others: readonly { id: string; label: string }[]
  zone: string
  goBack: readonly MayGoBack[]
}) {
  const [task, setTask] = useState<Task>('take')
  const [amount, setAmount] = useState('')
  const [note, setNote] = useState('')
  const [gross, setGross] = useState('')
  const [tare, setTare] = useState(bottle.tareMg === null ? '' : `${bottle.tareMg / 1000} g`)
  const [named, setNamed] = useState<Loss>()
  const [label, setLabel] = useState(bottle.label)
  const [role, setRole] = useState(bottle.role)
  const [notes, setNotes] = useState(bottle.notes)
  const [palette, setPalette] = useState(bottle.palette)
  const techniques = useTechniques()
  const [technique, setTechnique] = useState(bottle.technique ?? '')
  const scale = useScale(task === 'weigh')
  const { unreadable, attempt, clear: clearUnreadable } = useAttempt()
  const { send, pending, refusal, clear } = useSend<null>()
  const vesselId = bottle.id

  const done = () => {
    setAmount('')
    setNote('')
    setGross('')
    setNamed(undefined)
  }
  const take = () =>
    attempt(() => {
      const ul = parseVolumeUl(amount, units)
      send((requestId) => takeOutAction({ requestId, vesselId, ul, note }), done, 'Taken out')
    })
  const weigh = () =>
    attempt(() => {
      const input = { grossMg: parseMassMg(gross, units), tareMg: parseMassMg(tare, units) }
      send((requestId) => weighInAction({ requestId, vesselId, ...input, named }), done, 'Weighed in')
    })
  const explain = refusal?.field === 'named'
  return (
    <section className="panel" aria-label="Do">
      <Segmented
        block
        className={`${styles.segmentedTight} apart`}
        value={task}
        onChange={(v: Task) => {
          clear()
          clearUnreadable()
          setTask(v)
        }}
        options={[
          { value: 'take', label: 'Take' },
          { value: 'weigh', label: 'Weigh' },
          { value: 'water', label: 'Water' },
          { value: 'more', label: 'More' },
          { value: 'edit', label: 'Name' },
          { value: 'discard', label: 'Discard' },
        ]}
      />
      {task === 'take' ? (
        <>
          <label className="field">
            <span>How much</span>
            <QuantityInput
              label="How much to take out"
              value={amount}
              onChange={setAmount}
              system={units}
              size="large"
            />
          </label>
          <label className="field">
            <span>What for</span>
            <Input
              value={note}
              maxLength={1000}
              onChange={(e) => setNote(e.target.value)}
              placeholder="test card, gift, …"
            />
          </label>
          <Button type="primary" size="large" onClick={take} loading={pending}>
            Take out
          </Button>
          {goBack.length ? <PourBackForm vesselId={vesselId} goBack={goBack} units={units} zone={zone} /> : null}
        </>
      ) : null}
      {task === 'weigh' ? (
        <>
          <div className="two columns">
            <label className="field">
              <span>Scale shows</span>
              <Input size="large" value={gross} placeholder="164 g" onChange={(e) => setGross(e.target.value)} />
            </label>
            <label className="field">
              <span>Empty bottle weighs</span>
              <Input size="large" value={tare} placeholder="28 g" onChange={(e) => setTare(e.target.value)} />
            </label>
          </div>
          <p className="muted">
            Weigh in grams. A loss is taken for evaporated water first, as far as water was added.
          </p>
          {scale.here ? (
            <p>
              <Button disabled={scale.settledG === null} onClick={() => setGross(`${scale.settledG!.toFixed(1)} g`)}>
                Take {scale.grams === null ? 'the weight' : `${scale.grams.toFixed(1)} g`} from the scale
              </Button>
            </p>
          ) : null}
          {explain || named ? (
            <label className="field">
              <span>What is missing was</span>
              <Select
                aria-label="What is missing was"
                value={named}
                placeholder="choose"
                className="wide"
                onChange={(v: Loss) => setNamed(v)}
                options={[
                  { value: 'dried', label: 'dried: water out of paint and medium' },
                  { value: 'spilled', label: 'spilled' },
                  { value: 'residue', label: 'stuck to the walls' },
                ]}
              />
            </label>
          ) : null}
          <Button type="primary" size="large" onClick={weigh} loading={pending}>
            Weigh in
          </Button>
        </>
      ) : null}
      {task === 'water' ? (
        <WaterForm
          key={bottle.id}
          waters={waters}
          evaporatedUl={bottle.evaporatedUl}
          limit={limit}
          units={units}
          attempt={attempt}
          pending={pending}
          onAdd={(waterId, ul) =>
            send((requestId) => addWaterAction({ requestId, vesselId, waterId, ul }), done, 'Watered')
          }
        />
      ) : null}
      {task === 'more' ? <MoreForms bottle={bottle} others={others} units={units} /> : null}
      {task === 'edit' ? (
        <>
          <label className="field">
            <span>Name</span>
            <Input value={label} maxLength={120} onChange={(e) => setLabel(e.target.value)} />
          </label>
          <label className="field">
            <span>Role</span>
            <Select
              aria-label="Role of the bottle"
              value={role}
              className="wide"
              onChange={setRole}
              options={ROLES.map((r) => ({ value: r, label: r }))}
            />
          </label>
          <div className="two columns">
            <label className="field">
              <span>Palette</span>
              <Input value={palette} maxLength={80} placeholder="none" onChange={(e) => setPalette(e.target.value)} />
            </label>
            <label className="field">
              <span>Thinned for</span>
              <Select
                aria-label="Thinned for"
                value={technique}
                onChange={setTechnique}
                className="wide"
                options={[
                  { value: '', label: 'anything' },
                  ...techniques.all.map((t) => ({ value: t.key, label: t.name })),
                ]}
              />
            </label>
          </div>
          <label className="field">
            <span>Notes</span>
            <Input.TextArea rows={3} value={notes} maxLength={4000} onChange={(e) => setNotes(e.target.value)} />
          </label>
          <Button
            type="primary"
            size="large"
            loading={pending}
            onClick={() =>
              send(
                () => editBottleAction({ vesselId, label, role, palette, technique: technique || null, notes }),
                done,
                'Saved',
              )
            }
          >
            Save
          </Button>
        </>
      ) : null}
      {task === 'discard' ? (
        <>
          <p>All of it is booked as waste. No paint solids down the drain: let it dry, then bin it by local rules.</p>
          <label className="field">
            <span>Why</span>
            <Input
              value={note}
              maxLength={1000}
              onChange={(e) => setNote(e.target.value)}
              placeholder="lumps, smell, …"
            />
          </label>
          <Popconfirm
            title="Throw all of it away?"
            okText="Throw away"
            cancelText="Keep it"
            onConfirm={() => send((requestId) => discardAction({ requestId, vesselId, note }), done, 'Thrown away')}
          >
            <Button size="large" loading={pending}>
              Throw away
            </Button>
          </Popconfirm>
        </>
      ) : null}
      {unreadable || refusal ? (
        <div className="under">
          <Notice kind="warning">{unreadable ?? refusal?.message}</Notice>
        </div>
      ) : null}
    </section>
  )
}
