'use client'

import { Button } from 'antd'
import { dayAndTime } from '@/ui/tables/dates'
import { Notice } from '@/ui/frame/Notice'
import { useSend } from '@/ui/hooks/useSend'
import { undoChangeAction } from '../actions'
import { differences, shownIn } from '@/exchange/table'
import type { Change } from '@/db/materials/read'

/** Who changed what of a material, and when; each change can be made undone. */
export function History({ materialId, changes, zone }: { materialId: string; changes: Change[]; zone: string }) {
  const { send, pending, refusal } = useSend<null>()
  return (
    <section className="panel" aria-label="History">
      {refusal ? <Notice kind="warning">{refusal.message}</Notice> : null}
      <table className="sheet">
        <thead>
          <tr>
            <th>When</th>
            <th>Who</th>
            <th>What</th>
            <th>Was</th>
            <th>Became</th>
            <th />
          </tr>
        </thead>
        <tbody>
          {changes.flatMap((c) => {
            const columns = c.before ? differences(c.before, c.after) : []
            const lines = c.before ? columns : [undefined]
            return lines.map((column, i) => (
              <tr key={`${c.id} ${column}`}>
                <td>{i === 0 ? dayAndTime(c.at, zone) : ''}</td>
                <td>{i === 0 ? (c.by ?? 'the studio') : ''}</td>
                <td>{column ? column.replaceAll('_', ' ') : 'came into the drawer'}</td>
                <td>{column ? <Cell column={column} text={c.before ? shownIn(c.before, column) : ''} /> : null}</td>
                <td>{column ? <Cell column={column} text={shownIn(c.after, column)} /> : null}</td>
                <td className="num">
                  {i === 0 && c.before ? (
                    <Button
                      loading={pending}
                      onClick={() =>
                        send(() => undoChangeAction({ materialId, changeId: c.id }), undefined, 'Put back as it was')
                      }
                    >
                      Undo
                    </Button>
                  ) : null}
                </td>
              </tr>
            ))
          })}
        </tbody>
      </table>
    </section>
  )
}

const COLOURS = new Set(['swatch', 'tint', 'wet'])

function Cell({ column, text }: { column: string; text: string | undefined }) {
  if (!text) return <i className="muted">empty</i>
  return COLOURS.has(column) ? (
    <span className="chipline">
      <span style={{ width: 28, height: 28, background: text, borderRadius: 4 }} />
      {text}
    </span>
  ) : (
    text
  )
}
