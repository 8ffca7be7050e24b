'use client'

import { Button, Input, InputNumber, Select } from 'antd'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { parseSize } from '@/core/quantity/size'
import type { UnitSystem } from '@/core/quantity/parse'
import type { Surface } from '@/core/surface/shapes'
import { USUAL_TECHNIQUE } from '@/core/technique/techniques'
import type { StockedSurface } from '@/db/surfaces/read'
import { Notice } from '@/ui/frame/Notice'
import { useAttempt } from '@/ui/hooks/useAttempt'
import { useSend } from '@/ui/hooks/useSend'
import { useTechniques } from '@/ui/hooks/useTechniques'
import { beginRunAction } from './actions'

const TYPED = 'typed'

/** A pour nobody planned: a size or a surface from the shelf and a technique; every bottle is reached for as it comes. */
export function WithoutPlan({ stock, units }: { stock: readonly StockedSurface[]; units: UnitSystem }) {
  const [id] = useState(() => uuidv7())
  const techniques = useTechniques()
  const [title, setTitle] = useState('')
  const [technique, setTechnique] = useState(USUAL_TECHNIQUE)
  const [from, setFrom] = useState(TYPED)
  const [size, setSize] = useState('')
  const [count, setCount] = useState(1)
  const { unreadable, attempt } = useAttempt()
  const { send, pending, refusal } = useSend<{ id: string }>({ quiet: true })
  const router = useRouter()
  const begin = () =>
    attempt(() => {
      const kind = stock.find((s) => s.id === from)
      const surface: Surface = kind
        ? onShelf(kind, count)
        : { shape: 'rectangle', ...parseSize(size, units), edgeMm: 0, count }
      send(
        () =>
          beginRunAction({ id, planId: null, title, technique, surfaces: [{ surface, stockId: kind?.id ?? null }] }),
        (run) => router.push(`/pour/run/${run.id}`),
      )
    })
  return (
    <section className="panel below" aria-label="Without a plan">
      <h2>Without a plan</h2>
      <div className="two columns">
        <label className="field">
          <span>Title</span>
          <Input
            size="large"
            value={title}
            maxLength={112}
            placeholder="A pour"
            onChange={(e) => setTitle(e.target.value)}
          />
        </label>
        <label className="field">
          <span>Technique</span>
          <Select
            size="large"
            aria-label="Technique"
            className="wide"
            value={technique}
            onChange={setTechnique}
            options={techniques.all.map((t) => ({ value: t.key, label: t.name }))}
          />
        </label>
        <label className="field">
          <span>Surface</span>
          <Select
            size="large"
            aria-label="Surface"
            className="wide"
            value={from}
            onChange={setFrom}
            options={[
              { value: TYPED, label: 'a size' },
              ...stock.map((s) => ({ value: s.id, label: `${s.name}, ${s.onHand} on the shelf` })),
            ]}
          />
        </label>
        <div className="two columns">
          {from === TYPED ? (
            <label className="field">
              <span>Size</span>
              <Input size="large" value={size} placeholder="40 x 50 cm" onChange={(e) => setSize(e.target.value)} />
            </label>
          ) : null}
          <label className="field">
            <span>How many</span>
            <InputNumber size="large" min={1} max={20} value={count} onChange={(n) => setCount(n ?? 1)} />
          </label>
        </div>
      </div>
      {unreadable || refusal ? <Notice kind="warning">{unreadable ?? refusal?.message}</Notice> : null}
      <Button type="primary" size="large" loading={pending} onClick={begin}>
        Begin
      </Button>
    </section>
  )
}

const onShelf = (s: StockedSurface, count: number): Surface =>
  s.shape === 'round'
    ? { shape: 'round', diameterMm: s.diameterMm, edgeMm: s.edgeMm, count }
    : { shape: 'rectangle', lengthMm: s.lengthMm, widthMm: s.widthMm, edgeMm: s.edgeMm, count }
