'use client'

import { Button, Select } from 'antd'
import { Link } from '@/ui/frame/Link'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import type { MovementKind } from '@/core/vessel/kinds'
import type { JournalEntry } from '@/db/ledger'
import { undoAction } from '@/server/undoAction'
import { EmptyState, Notice } from '@/ui/frame/Notice'
import { OLDER } from './pages'
import { MOVES } from '@/core/vessel/kinds'
import { JournalTable } from '@/ui/tables/JournalTable'

/** Everything that moved, newest first; narrowed by kind, older ones page by page, each with its undo. */
export function Journal({
  entries,
  kind,
  zone,
  page,
}: {
  entries: readonly JournalEntry[]
  kind: MovementKind | undefined
  zone: string
  page: number
}) {
  const router = useRouter()
  const [older, setOlder] = useState<readonly JournalEntry[]>([])
  const [isAll, setAll] = useState(entries.length < page)
  const [trouble, setTrouble] = useState('')
  const [asking, setAsking] = useState(false)
  const all = [...entries, ...older]
  const more = async () => {
    setAsking(true)
    setTrouble('')
    try {
      const answer = await fetch(`/notebook/journal/rows?before=${all.at(-1)!.id}${kind ? `&kind=${kind}` : ''}`)
      if (!answer.ok) throw new Error()
      const found = (await answer.json()) as JournalEntry[]
      setOlder((o) => [...o, ...found])
      setAll(found.length < OLDER)
    } catch {
      setTrouble('Fika did not answer. Nothing is lost: try again in a moment.')
    }
    setAsking(false)
  }
  return (
    <>
      <div className="head">
        <h1>What moved?</h1>
        <Select
          aria-label="Kind of movement"
          className="w240"
          value={kind ?? ''}
          onChange={(k) => router.push(k ? `/notebook/journal?kind=${k}` : '/notebook/journal')}
          options={[
            { value: '', label: 'everything' },
            ...Object.entries(MOVES).map(([value, { word }]) => ({ value, label: word.toLowerCase() })),
          ]}
        />
        <Link className="go second" href="/notebook">
          All questions
        </Link>
      </div>
      <section className="panel" aria-label="Journal">
        {all.length ? (
          <JournalTable entries={all} zone={zone} undo={undoAction} signed={false} />
        ) : (
          <EmptyState title="Nothing has moved yet">Book a container or a mix, and it is written here.</EmptyState>
        )}
        {trouble ? <Notice kind="warning">{trouble}</Notice> : null}
        {isAll ? null : (
          <Button size="large" loading={asking} onClick={() => void more()}>
            Show older
          </Button>
        )}
      </section>
    </>
  )
}
