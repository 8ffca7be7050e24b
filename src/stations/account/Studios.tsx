'use client'

import { Button, Input, Popconfirm } from 'antd'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { ROLE_WORDS } from '@/core/people/roles'
import type { Membership } from '@/db/people/members'
import { Notice } from '@/ui/frame/Notice'
import { useSend } from '@/ui/hooks/useSend'
import { foundStudioAction, leaveStudioAction, openStudioAction } from './actions'
import styles from './account.module.css'

/** The studios one is in: which is open, how to open another, to start one, and to leave. */
export function Studios({ studios, here }: { studios: readonly Membership[]; here: string }) {
  const [id, setId] = useState(() => uuidv7())
  const [name, setName] = useState('')
  const { send, pending, refusal } = useSend<null>()
  const router = useRouter()
  const open = studios.find((s) => s.studioId === here)
  return (
    <section className="panel" aria-label="Your studios">
      <h2>Your studios</h2>
      <ul className={styles.sessions}>
        {studios.map((s) => (
          <li key={s.studioId} data-here={s.studioId === here || undefined}>
            <span>
              <b>{s.name}</b>
              <small>
                {ROLE_WORDS[s.role].name}
                {s.studioId === here ? ', open now' : ''}
              </small>
            </span>
            {s.studioId === here ? null : (
              <Button
                size="large"
                disabled={pending}
                onClick={() =>
                  send(
                    () => openStudioAction({ studioId: s.studioId }),
                    () => router.push('/rack'),
                  )
                }
              >
                Open it
              </Button>
            )}
          </li>
        ))}
      </ul>
      {refusal ? <Notice kind="warning">{refusal.message}</Notice> : null}
      {open ? (
        <Popconfirm
          title={`Leave ${open.name}?`}
          description="What you did stays in its journal. An owner hands over first."
          okText="Leave"
          cancelText="Stay"
          onConfirm={() =>
            send(
              () => leaveStudioAction({ sure: true }),
              () => router.replace('/sign-in'),
            )
          }
        >
          <Button size="large" disabled={pending}>
            Leave this studio
          </Button>
        </Popconfirm>
      ) : null}
      <h3 className="below">One more studio</h3>
      <div className="row">
        <Input
          size="large"
          className="grow"
          aria-label="Name of the new studio"
          placeholder="its name"
          value={name}
          maxLength={120}
          onChange={(e) => setName(e.target.value)}
        />
        <Button
          size="large"
          loading={pending}
          onClick={() =>
            send(
              () => foundStudioAction({ id, name }),
              () => {
                setId(uuidv7())
                router.push('/paints')
              },
            )
          }
        >
          Start it
        </Button>
      </div>
    </section>
  )
}
