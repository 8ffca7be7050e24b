'use client'

import { Button, Input, Select } from 'antd'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import type { FormulaPart } from '@/db/formulas/formulas'
import { Notice } from '@/ui/frame/Notice'
import { useSend } from '@/ui/hooks/useSend'
import { archiveFormulaAction, saveFormulaAction } from '../actions'

/** A formula as it is kept, with the version on the desk. */
export interface Kept {
  readonly id: string
  readonly version: number
  readonly name: string
  readonly notes: string
  readonly standsInFor: string | null
  readonly archived: boolean
  /** What this version looks like painted out; null while it was not. */
  readonly dryHex: string | null
}

/** Keeps what is on the desk under a name: a new colour, or the next version of this one. */
export function SaveFormula({
  kept,
  parts,
  targetHex,
  discontinued,
}: {
  kept: Kept | undefined
  parts: readonly FormulaPart[]
  targetHex: string | null
  discontinued: readonly { id: string; label: string }[]
}) {
  const router = useRouter()
  const [id] = useState(() => kept?.id ?? uuidv7())
  const [name, setName] = useState(kept?.name ?? '')
  const [notes, setNotes] = useState(kept?.notes ?? '')
  const [standsInFor, setStandsInFor] = useState(kept?.standsInFor ?? null)
  const { send, pending, refusal } = useSend<{ id: string; version: number }>()
  const away = useSend<null>()
  const save = () =>
    send(
      (requestId) => saveFormulaAction({ requestId, id, name, notes, standsInFor, note: '', targetHex, parts }),
      (f) => router.push(`/formulas/${f.id}?version=${f.version}`),
      'Kept',
    )
  return (
    <section className="panel" aria-label="Keep it">
      <h2>{kept ? 'Keep it' : 'Keep as a colour'}</h2>
      <label className="field">
        <span>Name</span>
        <Input
          value={name}
          maxLength={120}
          onChange={(e) => setName(e.target.value)}
          placeholder="Ferry dusk"
          status={refusal?.field === 'name' ? 'error' : ''}
        />
      </label>
      <label className="field">
        <span>Notes</span>
        <Input.TextArea value={notes} maxLength={4000} rows={2} onChange={(e) => setNotes(e.target.value)} />
      </label>
      {discontinued.length ? (
        <label className="field">
          <span>Can stand in for</span>
          <Select
            aria-label="Can stand in for"
            allowClear
            showSearch
            optionFilterProp="label"
            placeholder="no paint"
            value={standsInFor}
            onChange={(v: string | undefined) => setStandsInFor(v ?? null)}
            className="wide"
            options={discontinued.map((d) => ({ value: d.id, label: d.label }))}
          />
        </label>
      ) : null}
      {refusal ? <Notice kind="warning">{refusal.message}</Notice> : null}
      <div className="tools after">
        <Button type="primary" size="large" loading={pending} onClick={save}>
          {kept ? 'Save' : 'Keep the colour'}
        </Button>
        {kept ? (
          <Button
            size="large"
            loading={away.pending}
            onClick={() =>
              away.send(
                () => archiveFormulaAction({ id: kept.id, archived: !kept.archived }),
                () => void (kept.archived || router.push('/formulas')),
              )
            }
          >
            {kept.archived ? 'Take it back' : 'Put it away'}
          </Button>
        ) : null}
      </div>
      {away.refusal ? <Notice kind="warning">{away.refusal.message}</Notice> : null}
      {kept ? (
        <p className="muted after">
          Another ratio is kept as version {kept.version + 1} or later; versions are never overwritten.
        </p>
      ) : null}
    </section>
  )
}
