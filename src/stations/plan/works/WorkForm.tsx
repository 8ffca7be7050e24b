'use client'

import { Button, Input, Select } from 'antd'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { WORK_KINDS, type WorkKind } from '@/core/plan/design'
import { parseMoneyMinor } from '@/core/quantity/money'
import { readTyped } from '@/core/quantity/typed'
import type { Work } from '@/db/works/read'
import { Notice } from '@/ui/frame/Notice'
import { useSend } from '@/ui/hooks/useSend'
import { dropWorkAction, saveWorkAction } from './actions'

/** What a work is, by when, for whom, at what price, and what was agreed on. */
export function WorkForm({ work, today }: { work?: Work; today: string }) {
  const [id] = useState(() => work?.id ?? uuidv7())
  const [f, setF] = useState(() => ({
    kind: work?.kind ?? ('series' as WorkKind),
    title: work?.title ?? '',
    dueOn: work?.dueOn ?? '',
    forWhom: work?.forWhom ?? '',
    agreedOn: work?.agreedOn ?? '',
    agreedText: work?.agreedText ?? '',
    price: work?.priceMinor == null ? '' : (work.priceMinor / 100).toFixed(2),
    notes: work?.notes ?? '',
  }))
  const change = (part: Partial<typeof f>) => setF((before) => ({ ...before, ...part }))
  const { send, pending, refusal } = useSend<{ revision: number } | null>()
  const router = useRouter()
  const price = readTyped(() => (f.price.trim() ? parseMoneyMinor(f.price) : null))
  const past = f.dueOn !== '' && f.dueOn < today
  const save = () => {
    if (price.sentence) return
    send(
      () =>
        saveWorkAction({
          id,
          revision: work?.revision ?? null,
          ...f,
          price: undefined,
          priceMinor: price.value,
          dueOn: f.dueOn || null,
          agreedOn: f.agreedOn || null,
        }),
      () => void (work || router.push(`/plan/work/${id}`)),
      'Work saved',
    )
  }
  return (
    <section className="panel noPrint" aria-label="The work">
      <div className="two columns">
        <label className="field">
          <span>Title</span>
          <Input value={f.title} maxLength={120} onChange={(e) => change({ title: e.target.value })} />
        </label>
        <label className="field">
          <span>Kind</span>
          <Select
            aria-label="Kind of work"
            className="wide"
            value={f.kind}
            onChange={(kind) => change({ kind })}
            options={WORK_KINDS.map((value) => ({ value, label: value }))}
          />
        </label>
        <label className="field">
          <span>Due</span>
          <Input type="date" aria-label="Due" value={f.dueOn} onChange={(e) => change({ dueOn: e.target.value })} />
        </label>
        <label className="field">
          <span>For whom</span>
          <Input
            value={f.forWhom}
            maxLength={120}
            placeholder="a label, no address"
            onChange={(e) => change({ forWhom: e.target.value })}
          />
        </label>
        <label className="field">
          <span>Price</span>
          <Input value={f.price} placeholder="480.00" onChange={(e) => change({ price: e.target.value })} />
        </label>
        <label className="field">
          <span>Agreed on</span>
          <Input
            type="date"
            aria-label="Agreed on"
            value={f.agreedOn}
            onChange={(e) => change({ agreedOn: e.target.value })}
          />
        </label>
      </div>
      {past ? (
        <Notice kind="warning">
          That day has passed. It can be kept so; dates then begin now, and say how late they are.
        </Notice>
      ) : null}
      <label className="field">
        <span>What was agreed</span>
        <Input.TextArea
          rows={2}
          value={f.agreedText}
          maxLength={2000}
          onChange={(e) => change({ agreedText: e.target.value })}
        />
      </label>
      <label className="field">
        <span>Notes</span>
        <Input.TextArea rows={2} value={f.notes} maxLength={4000} onChange={(e) => change({ notes: e.target.value })} />
      </label>
      {price.sentence || refusal ? <Notice kind="warning">{price.sentence ?? refusal?.message}</Notice> : null}
      <div className="row">
        <Button type="primary" size="large" loading={pending} onClick={save}>
          Save the work
        </Button>
        {work ? (
          <Button
            size="large"
            onClick={() =>
              send(
                () => dropWorkAction({ id }),
                () => router.push('/plan'),
                'Put away',
              )
            }
          >
            Put away
          </Button>
        ) : null}
      </div>
    </section>
  )
}
