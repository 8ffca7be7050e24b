'use client'

import { Button, Input, Select } from 'antd'
import { Link } from '@/ui/frame/Link'
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { parseMassMg, type UnitSystem } from '@/core/quantity/parse'
import { Notice } from '@/ui/frame/Notice'
import { useScale } from '@/ui/hooks/useScale'
import { useAttempt } from '@/ui/hooks/useAttempt'
import { useSend } from '@/ui/hooks/useSend'
import { reclaimAction } from '../actions'

const NEW = 'new'

/** Run-off that was scraped together goes into a jar, by weight; it is of the pour's own mean composition. */
export function RunOff({
  pieceTitle,
  pourId,
  jars,
  units,
}: {
  pieceTitle: string
  pourId: string
  jars: readonly { id: string; label: string }[]
  units: UnitSystem
}) {
  const [jar, setJar] = useState(jars[0]?.id ?? NEW)
  const [label, setLabel] = useState(`Run-off, ${pieceTitle}`)
  const [before, setBefore] = useState('')
  const [after, setAfter] = useState('')
  const [newId, setNewId] = useState(() => uuidv7())
  const { unreadable, attempt } = useAttempt()
  const [weighing, setWeighing] = useState(false)
  const scale = useScale(weighing)
  const { send, pending, refusal } = useSend<null>()
  const keep = () => {
    attempt(() => {
      const [beforeMg, afterMg] = [parseMassMg(before, units), parseMassMg(after, units)]
      const isNew = jar === NEW
      send(
        (requestId) =>
          reclaimAction({
            requestId,
            pourId,
            jarId: isNew ? newId : jar,
            newJar: isNew ? { label, capacityUl: null, tareMg: beforeMg } : null,
            netMg: Math.max(0, afterMg - beforeMg),
          }),
        () => {
          setNewId(uuidv7())
          setBefore('')
          setAfter('')
        },
        'Run-off kept',
      )
    })
  }
  const weigh = (set: (text: string) => void) =>
    scale.here ? (
      <Button disabled={scale.settledG === null} onClick={() => set(`${scale.settledG!.toFixed(1)} g`)}>
        {scale.grams === null ? '…' : `${scale.grams.toFixed(1)} g`}
      </Button>
    ) : null
  return (
    <section className="panel" aria-label="Run-off" onFocus={() => setWeighing(true)}>
      <h2>Keep the run-off</h2>
      <label className="field">
        <span>Into</span>
        <Select
          aria-label="Jar"
          value={jar}
          onChange={setJar}
          className="wide"
          options={[...jars.map((j) => ({ value: j.id, label: j.label })), { value: NEW, label: 'A new jar' }]}
        />
      </label>
      {jar === NEW ? (
        <label className="field">
          <span>Name of the jar</span>
          <Input value={label} maxLength={120} onChange={(e) => setLabel(e.target.value)} />
        </label>
      ) : null}
      <div className="two columns">
        <label className="field">
          <span>Jar before</span>
          <span className="row flush">
            <Input
              value={before}
              aria-label="Jar before"
              placeholder="210 g"
              onChange={(e) => setBefore(e.target.value)}
            />
            {weigh(setBefore)}
          </span>
        </label>
        <label className="field">
          <span>Jar with the run-off</span>
          <span className="row flush">
            <Input
              value={after}
              aria-label="Jar with the run-off"
              placeholder="265 g"
              onChange={(e) => setAfter(e.target.value)}
            />
            {weigh(setAfter)}
          </span>
        </label>
      </div>
      <p className="muted">
        A tight jar; it turns grey and becomes a base coat. No paint solids down the drain.{' '}
        <Link href="/rack">It stands on the rack.</Link>
      </p>
      {unreadable || refusal ? <Notice kind="warning">{unreadable ?? refusal?.message}</Notice> : null}
      <Button size="large" loading={pending} onClick={keep}>
        Keep it
      </Button>
    </section>
  )
}
