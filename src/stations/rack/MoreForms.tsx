'use client'

import { Button, Input, Select } from 'antd'
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { formatMl } from '@/core/quantity/format'
import { parseNumber } from '@/core/quantity/number'
import { parseVolumeUl, type UnitSystem } from '@/core/quantity/parse'
import type { BottleFull } from '@/db/bottles/read'
import { Notice } from '@/ui/frame/Notice'
import { useAttempt } from '@/ui/hooks/useAttempt'
import { useSend } from '@/ui/hooks/useSend'
import { extendAction, mergeAction, splitAction } from './actions'

/** More of a bottle: extend it in its own ratio, pour others into it, or share it out over several. */
export function MoreForms({
  bottle,
  others,
  units,
}: {
  bottle: BottleFull
  others: readonly { id: string; label: string }[]
  units: UnitSystem
}) {
  const [total, setTotal] = useState('')
  const [from, setFrom] = useState<string[]>([])
  const [count, setCount] = useState('2')
  const [each, setEach] = useState('')
  const { unreadable, attempt } = useAttempt()
  const { send, pending, refusal } = useSend<null>()
  const done = () => {
    setTotal('')
    setFrom([])
    setEach('')
  }
  const extend = () =>
    attempt(() => {
      const totalUl = parseVolumeUl(total, units)
      send((requestId) => extendAction({ requestId, vesselId: bottle.id, totalUl, restHours: 12 }), done, 'Extended')
    })
  const split = () =>
    attempt(() => {
      const n = parseNumber(count) ?? 0
      const ul = parseVolumeUl(each, units)
      const into = Array.from({ length: Math.max(0, Math.min(12, Math.trunc(n))) }, (_, i) => ({
        vesselId: uuidv7(),
        label: `${bottle.label} ${i + 2}`,
        ul,
        capacityUl: null,
        tareMg: null,
      }))
      send((requestId) => splitAction({ requestId, vesselId: bottle.id, into }), done, 'Shared out')
    })
  return (
    <>
      <h3>Extend it, keeping its ratio</h3>
      <div className="row">
        <span className="grow">
          <Input
            value={total}
            aria-label="Extend to"
            placeholder={`from ${formatMl(bottle.ul)} to 400 ml`}
            onChange={(e) => setTotal(e.target.value)}
          />
        </span>
        <Button onClick={extend} loading={pending}>
          Extend
        </Button>
      </div>
      <h3 className="below">Pour others into it</h3>
      <div className="row">
        <span className="grow">
          <Select
            mode="multiple"
            aria-label="Bottles to pour into it"
            placeholder="Choose bottles"
            value={from}
            onChange={setFrom}
            className="wide"
            optionFilterProp="label"
            options={others.map((o) => ({ value: o.id, label: o.label }))}
          />
        </span>
        <Button
          loading={pending}
          disabled={from.length === 0}
          onClick={() =>
            send((requestId) => mergeAction({ requestId, intoId: bottle.id, fromIds: from }), done, 'Poured together')
          }
        >
          Pour together
        </Button>
      </div>
      <p className="muted">It is then as old as the oldest, keeps as long as the weakest, and rests anew.</p>
      <h3 className="below">Share it out</h3>
      <div className="row">
        <Input
          value={count}
          aria-label="Into how many bottles"
          inputMode="numeric"
          className="w70"
          onChange={(e) => setCount(e.target.value)}
        />
        bottles of
        <span className="grow">
          <Input
            value={each}
            aria-label="Volume of each"
            placeholder="60 ml"
            onChange={(e) => setEach(e.target.value)}
          />
        </span>
        <Button onClick={split} loading={pending}>
          Share out
        </Button>
      </div>
      {unreadable || refusal ? <Notice kind="warning">{unreadable ?? refusal?.message}</Notice> : null}
    </>
  )
}
