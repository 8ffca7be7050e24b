'use client'

import { Button } from 'antd'
import type { Answer } from '@/core/answer'
import { formatMl } from '@/core/quantity/format'
import { MOVES } from '@/core/vessel/kinds'
import type { JournalEntry } from '@/db/ledger'
import { dayAndTime } from './dates'
import { Notice } from '@/ui/frame/Notice'
import { useSend } from '@/ui/hooks/useSend'

/** Movements as lines of a journal, each with its undo while it has one. */
export function JournalTable({
  entries,
  zone,
  undo,
  signed,
}: {
  entries: readonly JournalEntry[]
  zone: string
  undo: (input: unknown) => Promise<Answer<null>>
  signed: boolean
}) {
  const { send, pending, refusal } = useSend<null>()
  return (
    <>
      {refusal ? <Notice kind="warning">{refusal.message}</Notice> : null}
      <table className="sheet">
        <thead>
          <tr>
            <th>When</th>
            <th>What</th>
            <th className="num">Amount</th>
            <th>Where from or to</th>
            <th>
              <span className="visually-hidden">Undo</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {entries.map((e) => (
            <tr key={e.id} style={e.undone ? { textDecoration: 'line-through' } : undefined}>
              <td>{dayAndTime(e.at, zone)}</td>
              <td>
                {MOVES[e.kind].word}
                {e.note ? <small className="muted"> · {e.note}</small> : null}
                {e.by ? <small className="muted"> · {e.by}</small> : null}
              </td>
              <td className="num">
                {signed && e.ul > 0 ? '+' : ''}
                {formatMl(e.ul).replace('-', '−')}
              </td>
              <td>{e.places.join(', ') || (e.kind === 'purchase' ? '' : 'untracked supply')}</td>
              <td className="num">
                {e.undone || e.kind === 'undo' ? null : (
                  <Button
                    size="small"
                    disabled={pending}
                    aria-label={`Undo: ${MOVES[e.kind].word} ${formatMl(Math.abs(e.ul))}`}
                    onClick={() => send((requestId) => undo({ requestId, movementId: e.id }), undefined, 'Undone')}
                  >
                    Undo
                  </Button>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  )
}
