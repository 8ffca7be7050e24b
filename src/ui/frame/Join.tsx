'use client'

import { Button, Form, Input, Segmented } from 'antd'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import type { Answer } from '@/core/answer'
import { ROLE_WORDS } from '@/core/people/roles'
import type { Invited } from '@/db/people/invitations'
import { useSend } from '@/ui/hooks/useSend'
import { AddressAndPassword } from './AddressAndPassword'
import { Notice } from './Notice'
import styles from './frame.module.css'

type Send = (input: unknown) => Promise<Answer<null>>
interface Fields {
  email: string
  password: string
  name?: string
}

/** The way into a studio by an invitation: as who is signed in, with an account one has, or with a new one. */
export function Join({
  token,
  invited,
  signedInAs,
  join,
  signIn,
  signUp,
}: {
  token: string
  invited: Invited
  signedInAs: string | undefined
  join: Send
  signIn: Send
  signUp: Send
}) {
  const [mode, setMode] = useState<'new' | 'known'>('new')
  const { send, pending, refusal, clear } = useSend<null>()
  const router = useRouter()
  const enter = () => router.replace('/rack')
  const submit = (fields: Fields) =>
    send(async () => {
      const sent = { ...fields, token }
      if (mode === 'known') return signIn(sent)
      const made = await signUp(sent)
      return made.ok ? signIn(sent) : made
    }, enter)
  return (
    <main className={styles.alone}>
      <section className="panel" aria-label="Invitation">
        <h1>{invited.studioName}</h1>
        <p className="said">
          {invited.by || 'The studio'} invites you as <b>{ROLE_WORDS[invited.role].name}</b>:{' '}
          {ROLE_WORDS[invited.role].may}.
        </p>
        {signedInAs ? (
          <>
            {refusal ? <Notice kind="warning">{refusal.message}</Notice> : null}
            <Button type="primary" size="large" loading={pending} onClick={() => send(() => join({ token }), enter)}>
              Come in as {signedInAs}
            </Button>
            <p className="muted below">Not you? Sign out first, then open the link again.</p>
          </>
        ) : (
          <>
            <Segmented
              size="large"
              value={mode}
              onChange={(m: string | number) => {
                clear()
                setMode(m === 'known' ? 'known' : 'new')
              }}
              options={[
                { value: 'new', label: 'I am new here' },
                { value: 'known', label: 'I have an account' },
              ]}
              className="between"
            />
            <Form<Fields> layout="vertical" onFinish={submit} requiredMark={false} className="page420">
              {mode === 'new' ? (
                <Form.Item name="name" label="Your name" rules={[{ required: true, message: 'Type your name.' }]}>
                  <Input size="large" autoComplete="name" maxLength={120} />
                </Form.Item>
              ) : null}
              <AddressAndPassword known={mode === 'known'} />
              {refusal ? <Notice kind="warning">{refusal.message}</Notice> : null}
              <Button type="primary" size="large" htmlType="submit" loading={pending} className="under">
                Come in
              </Button>
            </Form>
          </>
        )}
      </section>
    </main>
  )
}
