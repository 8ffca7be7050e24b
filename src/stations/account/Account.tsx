'use client'

import { Button, Form, Input } from 'antd'
import type { OwnSession } from '@/db/people/sessions'
import { Notice } from '@/ui/frame/Notice'
import { useSend } from '@/ui/hooks/useSend'
import type { Membership } from '@/db/people/members'
import { dayAndTime } from '@/ui/tables/dates'
import { changePasswordAction, endOthersAction, endSessionAction } from './actions'
import { Studios } from './Studios'
import styles from './account.module.css'

interface Fields {
  old: string
  chosen: string
}

/** One's own password, and where one is signed in. */
export function Account({
  name,
  here,
  zone,
  sessions,
  studios,
  studioId,
}: {
  name: string
  /** The session this page belongs to. */
  here: string
  zone: string
  sessions: readonly OwnSession[]
  studios: readonly Membership[]
  /** The one that is open. */
  studioId: string
}) {
  return (
    <>
      <div className="head">
        <h1>{name}</h1>
      </div>
      <div className={styles.account}>
        <Studios studios={studios} here={studioId} />
        <SignedIn here={here} zone={zone} sessions={sessions} />
        <Password />
      </div>
    </>
  )
}

function SignedIn({ here, zone, sessions }: { here: string; zone: string; sessions: readonly OwnSession[] }) {
  const { send, pending, refusal } = useSend<number | null>()
  return (
    <section className="panel" aria-label="Where you are signed in">
      <h2>Where you are signed in</h2>
      <ul className={styles.sessions}>
        {sessions.map((s) => (
          <li key={s.id} data-here={s.id === here || undefined}>
            <span>
              <b>
                {s.id === here
                  ? `This device, ${s.device || 'a computer or tablet'}`
                  : capital(s.device || 'a computer or tablet')}
              </b>
              <small>
                last used {dayAndTime(s.lastUsedAt, zone)} · since {dayAndTime(s.openedAt, zone)}
              </small>
            </span>
            {s.id === here ? null : (
              <Button
                size="large"
                disabled={pending}
                onClick={() => send(() => endSessionAction({ id: s.id }), undefined, 'Ended')}
              >
                End it
              </Button>
            )}
          </li>
        ))}
      </ul>
      {refusal ? <Notice kind="warning">{refusal.message}</Notice> : null}
      {sessions.length > 1 ? (
        <Button size="large" loading={pending} onClick={() => send(() => endOthersAction(), undefined, 'Ended')}>
          End all but this one
        </Button>
      ) : (
        <p className="muted">Nowhere else.</p>
      )}
    </section>
  )
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)

function Password() {
  const [form] = Form.useForm<Fields>()
  const { send, pending, refusal } = useSend<number>()
  return (
    <section className="panel" aria-label="Password">
      <h2>Password</h2>
      <Form<Fields>
        form={form}
        layout="vertical"
        requiredMark={false}
        onFinish={(fields) =>
          send(
            () => changePasswordAction(fields),
            () => form.resetFields(),
            'Password changed',
          )
        }
      >
        <Form.Item
          name="old"
          label="As it is now"
          rules={[{ required: true, message: 'Type your password as it is now.' }]}
        >
          <Input.Password size="large" autoComplete="current-password" maxLength={200} />
        </Form.Item>
        <Form.Item
          name="chosen"
          label="New"
          extra="At least 10 characters; a few words that do not belong together are good."
          rules={[{ required: true, message: 'Choose a password.' }]}
        >
          <Input.Password size="large" autoComplete="new-password" maxLength={200} />
        </Form.Item>
        {refusal ? <Notice kind="warning">{refusal.message}</Notice> : null}
        <Button size="large" htmlType="submit" loading={pending}>
          Change it
        </Button>
        <p className="muted">Every other device is signed out with it.</p>
      </Form>
    </section>
  )
}
