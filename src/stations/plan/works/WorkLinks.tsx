'use client'

import { Button, Input, Select } from 'antd'
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import type { WorkLink } from '@/db/people/workLinks'
import { Notice } from '@/ui/frame/Notice'
import { LinkToGive } from '@/ui/frame/LinkToGive'
import { useSend } from '@/ui/hooks/useSend'
import { day } from '@/ui/tables/dates'
import { endWorkLinkAction, makeWorkLinkAction } from './actions'
import styles from './works.module.css'

const DAYS = [7, 14, 30, 90] as const

/** Links by which a client sees the sketches of a work, and nothing else, until a day. */
export function WorkLinks({
  workId,
  links,
  zone,
  suggested,
}: {
  workId: string
  links: readonly WorkLink[]
  zone: string
  /** For whom the work is, as it is written down. */
  suggested: string
}) {
  const [id, setId] = useState(() => uuidv7())
  const [forWhom, setForWhom] = useState(suggested)
  const [days, setDays] = useState<number>(14)
  const [made, setMade] = useState('')
  const { send, pending, refusal } = useSend<string>()
  const end = useSend<null>()
  return (
    <section className="panel noPrint" aria-label="Shown to a client">
      <h2>Show the sketches</h2>
      <p className="muted">A link that shows these sketches to whoever has it, and nothing else, until it ends.</p>
      <div className="two columns">
        <label className="field">
          <span>To whom</span>
          <Input
            value={forWhom}
            maxLength={120}
            placeholder="a label, no address"
            onChange={(e) => setForWhom(e.target.value)}
          />
        </label>
        <label className="field">
          <span>For</span>
          <Select
            aria-label="For how long"
            className="wide"
            value={days}
            onChange={setDays}
            options={DAYS.map((value) => ({ value, label: `${value} days` }))}
          />
        </label>
      </div>
      <Button
        size="large"
        loading={pending}
        onClick={() =>
          send(
            () => makeWorkLinkAction({ id, workId, forWhom, days }),
            (link) => {
              setMade(link)
              setId(uuidv7())
            },
          )
        }
      >
        Make a link
      </Button>
      {made ? <LinkToGive link={made} label="Link to the sketches" /> : null}
      {(refusal ?? end.refusal) ? <Notice kind="warning">{(refusal ?? end.refusal)!.message}</Notice> : null}
      <ul className={styles.links}>
        {links.map((l) => (
          <li key={l.id}>
            <span>
              <b>{l.forWhom || 'A link'}</b>
              <small>
                until {day(l.endsAt, zone)}
                {l.by ? `, made by ${l.by}` : ''}
              </small>
            </span>
            <Button
              size="large"
              disabled={end.pending}
              onClick={() => end.send(() => endWorkLinkAction({ id: l.id }), undefined, 'Ended')}
            >
              End it
            </Button>
          </li>
        ))}
      </ul>
    </section>
  )
}
