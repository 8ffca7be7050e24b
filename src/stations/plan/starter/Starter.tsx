'use client'

import { Button, Checkbox } from 'antd'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import type { UnitSystem } from '@/core/quantity/parse'
import { Notice } from '@/ui/frame/Notice'
import { useSend } from '@/ui/hooks/useSend'
import { bringInAction } from './actions'
import { starterList } from './starterList'

const GROUPS = ['Mediums', 'Cups', 'Surfaces', 'Level places'] as const

/** What every room has, of no maker, to tick and bring in; all of it can be changed and taken away. */
export function Starter({ units }: { units: UnitSystem }) {
  const items = starterList(units)
  const [ticked, setTicked] = useState(() => new Set(items.filter((i) => i.usual).map((i) => i.key)))
  const { send, pending, refusal } = useSend<null>()
  const router = useRouter()
  const toggle = (key: string) =>
    setTicked((before) => new Set(before.has(key) ? [...before].filter((k) => k !== key) : [...before, key]))
  return (
    <>
      <div className="head">
        <h1>
          What every room has <span className="sub">of no maker; tick, bring in, change later</span>
        </h1>
        <Button
          type="primary"
          size="large"
          loading={pending}
          onClick={() =>
            send(
              () => bringInAction({ keys: [...ticked] }),
              () => router.push('/plan'),
              'Brought in',
            )
          }
        >
          Bring in {ticked.size}
        </Button>
      </div>
      {refusal ? <Notice kind="warning">{refusal.message}</Notice> : null}
      <div className="two">
        {GROUPS.map((group) => (
          <section key={group} className="panel" aria-label={group}>
            <h2>{group}</h2>
            {items
              .filter((i) => i.group === group)
              .map((i) => (
                <p key={i.key} className="close">
                  <Checkbox className="big-check" checked={ticked.has(i.key)} onChange={() => toggle(i.key)}>
                    {i.name}
                  </Checkbox>
                </p>
              ))}
          </section>
        ))}
      </div>
      <p className="muted under">
        Water of every kind is here already. Solids and densities are start values from memory; put in those of your
        own.
      </p>
    </>
  )
}
