'use client'

import { Button } from 'antd'
import type { LookMoment } from '@/core/piece/fates'
import type { Piece } from '@/db/pieces/read'
import { Notice } from '@/ui/frame/Notice'
import { useSend } from '@/ui/hooks/useSend'
import { dayAndTime } from '@/ui/tables/dates'
import { lookedAction } from './actions'

const WORDS: Readonly<Record<LookMoment, string>> = {
  hour: 'after an hour',
  day: 'the next day',
  dry: 'once it is dry',
}

/** When a piece wants to be looked at again, each with its tap. */
export function LooksDue({ piece, zone }: { piece: Piece; zone: string }) {
  const { send, pending, refusal } = useSend<null>()
  const open = piece.looks.filter((l) => l.doneAt === null)
  if (open.length === 0) return null
  return (
    <section className="panel" aria-label="Looks">
      <h2>Look at it</h2>
      {open.map((l) => (
        <p key={l.moment} className="row spread close">
          <span>
            {WORDS[l.moment]} <span className="muted">{dayAndTime(l.dueAt, zone)}</span>
          </span>
          <Button
            loading={pending}
            onClick={() => send(() => lookedAction({ pieceId: piece.id, moment: l.moment }), undefined, 'Looked at')}
          >
            Looked at
          </Button>
        </p>
      ))}
      {refusal ? <Notice kind="warning">{refusal.message}</Notice> : null}
    </section>
  )
}
