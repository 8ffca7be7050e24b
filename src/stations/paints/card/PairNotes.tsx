'use client'

import { Button, Input, Select } from 'antd'
import { useState } from 'react'
import { Chip } from '@/ui/pictures/Drawdown'
import { Notice } from '@/ui/frame/Notice'
import { useSend } from '@/ui/hooks/useSend'
import { notePairAction } from '../actions'
import { PAIR_VERDICTS, type PairVerdict } from '@/core/colour/pairVerdicts'
import { PAIR_WORDS } from '@/core/colour/pairVerdicts'

export interface PairShown {
  readonly otherId: string
  readonly other: string
  readonly hex: string
  readonly sheen: string
  readonly verdict: PairVerdict
  readonly note: string
}

/** The maker's own word on this paint beside others; it goes before anything computed. */
export function PairNotes({
  paintId,
  notes,
  paints,
}: {
  paintId: string
  notes: readonly PairShown[]
  paints: readonly { id: string; label: string }[]
}) {
  const [otherId, setOtherId] = useState<string>()
  const [verdict, setVerdict] = useState<PairVerdict>('together')
  const [note, setNote] = useState('')
  const { send, pending, refusal } = useSend<null>()
  const save = (input: { otherId: string | undefined; verdict: PairVerdict | null; note: string }) =>
    send(
      () => notePairAction({ paintId, ...input }),
      () => {
        setOtherId(undefined)
        setNote('')
      },
      input.verdict ? 'Noted' : 'Taken back',
    )
  return (
    <section className="panel below" aria-label="Pair notes">
      <h2>Beside others</h2>
      {notes.length === 0 ? <p className="muted">No word of yours on this paint beside another yet.</p> : null}
      {notes.map((n) => (
        <div className="row" key={n.otherId}>
          <Chip hex={n.hex} sheen={n.sheen} />
          <span className="grow">
            <b>{PAIR_WORDS[n.verdict]}</b> {n.other}
            {n.note ? `: ${n.note}` : ''}
          </span>
          <Button
            onClick={() => save({ otherId: n.otherId, verdict: null, note: '' })}
            aria-label={`Take back the note on ${n.other}`}
          >
            ×
          </Button>
        </div>
      ))}
      <div className="row wrap under">
        <Select<PairVerdict>
          aria-label="What you found"
          value={verdict}
          onChange={setVerdict}
          options={PAIR_VERDICTS.map((value) => ({ value, label: PAIR_WORDS[value] }))}
          className="w240"
        />
        <Select
          aria-label="Other paint"
          value={otherId}
          onChange={setOtherId}
          showSearch
          optionFilterProp="label"
          placeholder="Choose the other paint"
          options={paints.filter((p) => p.id !== paintId).map((p) => ({ value: p.id, label: p.label }))}
          className="w280"
        />
        <Input
          className="grow min200"
          aria-label="Note on the pair"
          placeholder="why, or on which piece"
          value={note}
          maxLength={400}
          onChange={(e) => setNote(e.target.value)}
        />
        <Button loading={pending} disabled={!otherId} onClick={() => save({ otherId, verdict, note })}>
          Note it
        </Button>
      </div>
      {refusal ? <Notice kind="warning">{refusal.message}</Notice> : null}
    </section>
  )
}
