'use client'

import { Button } from 'antd'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { Notice } from '@/ui/frame/Notice'
import { BenchProviders } from '@/ui/frame/Providers'
import { useSend } from '@/ui/hooks/useSend'
import { BenchNav } from '../BenchNav'
import { beginByEyeAction } from '../guide/actions'
import { OpenMixings, type OpenMixing } from '../OpenMixings'

/** The way into mixing by eye: what it does, and the mixes that are under way. */
export function BeginByEye({ open }: { open: readonly OpenMixing[] }) {
  const [id] = useState(() => uuidv7())
  const { send, pending, refusal } = useSend<{ id: string }>({ quiet: true })
  const router = useRouter()
  return (
    <BenchProviders>
      <div className="head">
        <h1>
          Bench <span className="sub">pour first, read after</span>
        </h1>
      </div>
      <BenchNav here="/bench/eye" />
      <OpenMixings open={open} />
      <section className="panel page760">
        <h2>Mix by eye</h2>
        <p>
          Say what goes in and pour as you are used to. Each addition is booked as the scale comes to rest; the recipe
          is then read back: ratio, shares, and how near the water limit it is. Keep it, scale it, mix it again. A mix
          left over from another day may go in too, and brings its own composition along.
        </p>
        {refusal ? <Notice kind="warning">{refusal.message}</Notice> : null}
        <Button
          type="primary"
          size="large"
          loading={pending}
          data-key="n"
          onClick={() =>
            send(
              () => beginByEyeAction({ id }),
              (made) => router.push(`/bench/eye/${made.id}`),
            )
          }
        >
          Begin
        </Button>
      </section>
    </BenchProviders>
  )
}
