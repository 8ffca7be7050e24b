'use client'

import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { Notice } from '@/ui/frame/Notice'
import { useSend } from '@/ui/hooks/useSend'
import { beginRunAction } from './actions'

/** Begins the pour of a plan step by step, or goes on with the one that is open. */
export function BeginRun({ planId }: { planId: string }) {
  const [id] = useState(() => uuidv7())
  const { send, pending, refusal } = useSend<{ id: string }>({ quiet: true })
  const router = useRouter()
  return (
    <>
      <button
        type="button"
        className="go"
        style={{ minHeight: 64, width: '100%', fontSize: '1.25rem' }}
        disabled={pending}
        onClick={() =>
          send(
            () => beginRunAction({ id, planId, title: '', technique: '', surfaces: [] }),
            (run) => router.push(`/pour/run/${run.id}`),
          )
        }
      >
        {pending ? 'Beginning…' : 'Pour it step by step'}
      </button>
      {refusal ? <Notice kind="warning">{refusal.message}</Notice> : null}
    </>
  )
}
