'use client'

import { Button, Form, Input, Segmented } from 'antd'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import type { Answer } from '@/core/answer'
import { AddressAndPassword } from './AddressAndPassword'
import { Notice } from './Notice'
import { PouredPicture } from '@/ui/pictures/PouredPicture'
import { useSend } from '@/ui/hooks/useSend'
import styles from './frame.module.css'

type Send = (input: unknown) => Promise<Answer<null>>
interface Fields {
  email: string
  password: string
  name?: string
  studioName?: string
}

/** The way in: sign in, or make a studio. The demo button is there only where Fika was started as a demo. */
export function Door({
  demo,
  signIn,
  signUp,
}: {
  demo?: (() => Promise<Answer<null>>) | undefined
  signIn: Send
  signUp: Send
}) {
  const [mode, setMode] = useState<'in' | 'up'>('in')
  const { send, pending, refusal, clear } = useSend<null>()
  const router = useRouter()
  const enter = () => router.replace('/rack')
  const submit = (fields: Fields) =>
    send(
      async () => {
        const us = navigator.language === 'en-US'
        const zone = Intl.DateTimeFormat().resolvedOptions().timeZone
        if (mode === 'in') return signIn(fields)
        const made = await signUp({ ...fields, timeZone: zone, units: us ? 'us' : 'metric' })
        return made.ok ? signIn(fields) : made
      },
      mode === 'in' ? enter : () => router.replace('/paints'),
    )
  return (
    <div className={styles.door}>
      <main className={styles.doorForm}>
        <h1 className="louder">Fika</h1>
        <p className="muted" style={{ margin: '8px 0 28px', fontSize: '1.1rem' }}>
          Paints, bottles and pours of your studio, measured and remembered.
        </p>
        {demo ? (
          <p>
            <Button size="large" type="primary" loading={pending} onClick={() => send(() => demo(), enter)}>
              Open the demo studio
            </Button>
          </p>
        ) : null}
        <Segmented
          size="large"
          value={mode}
          onChange={(m: string | number) => {
            clear()
            setMode(m === 'up' ? 'up' : 'in')
          }}
          options={[
            { value: 'in', label: 'Sign in' },
            { value: 'up', label: 'Start a studio' },
          ]}
          className="between"
        />
        <Form<Fields> layout="vertical" onFinish={submit} requiredMark={false} className="page420">
          {mode === 'up' ? (
            <>
              <Form.Item
                name="studioName"
                label="Name of the studio"
                rules={[{ required: true, message: 'Give the studio a name.' }]}
              >
                <Input size="large" maxLength={120} />
              </Form.Item>
              <Form.Item name="name" label="Your name" rules={[{ required: true, message: 'Type your name.' }]}>
                <Input size="large" autoComplete="name" maxLength={120} />
              </Form.Item>
            </>
          ) : null}
          <AddressAndPassword known={mode === 'in'} />
          {refusal ? <Notice kind="warning">{refusal.message}</Notice> : null}
          <Button
            size="large"
            htmlType="submit"
            loading={pending}
            className="under"
            type={demo ? 'default' : 'primary'}
          >
            {mode === 'in' ? 'Sign in' : 'Start the studio'}
          </Button>
        </Form>
      </main>
      <aside className={styles.doorPicture} aria-hidden="true">
        <div style={{ width: '78%', padding: 18, background: '#fff', boxShadow: '0 18px 44px rgb(0 0 0 / 22%)' }}>
          <PouredPicture
            seed="night ferry"
            ratio={1.25}
            label=""
            colours={[
              { hex: '#16324f', amount: 3 },
              { hex: '#f4f1e8', amount: 1.2 },
              { hex: '#1f7a8c', amount: 2.4 },
              { hex: '#c98a2b', amount: 0.7 },
              { hex: '#0e1c26', amount: 1.4 },
            ]}
          />
        </div>
      </aside>
    </div>
  )
}
