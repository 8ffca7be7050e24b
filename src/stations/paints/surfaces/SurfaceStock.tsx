'use client'

import { Button, Input, Select } from 'antd'
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { Invalid } from '@/core/errors'
import { formatMoney, parseMoneyMinor } from '@/core/quantity/money'
import { parseNumber } from '@/core/quantity/number'
import { parseAmount, type UnitSystem } from '@/core/quantity/parse'
import { formatSize, parseSize } from '@/core/quantity/size'
import type { StockedSurface } from '@/db/surfaces/read'
import { EmptyState, Notice } from '@/ui/frame/Notice'
import { useAttempt } from '@/ui/hooks/useAttempt'
import { useSend } from '@/ui/hooks/useSend'
import { moveSurfacesAction, putSurfaceAwayAction, saveSurfaceAction } from './actions'
import { GRADES, SURFACE_KINDS } from '@/db/surfaces/schema'
import styles from './surfaces.module.css'

/** Drawn to one scale, so that sizes are seen beside each other. */
function SurfaceGlyph({ s, perMm }: { s: StockedSurface; perMm: number }) {
  const edge = Math.min(10, Math.max(1.5, s.edgeMm * perMm))
  if (s.shape === 'round') {
    const r = Math.max(3, (s.diameterMm * perMm) / 2)
    return (
      <svg width={2 * r + edge + 2} height={2 * r + edge + 2} role="img" aria-label={s.kind}>
        <circle cx={r + 1 + edge / 2} cy={r + 1 + edge} r={r} fill="#cfcfcf" stroke="#3a3a3a" />
        <circle cx={r + 1} cy={r + 1} r={r} fill="#fff" stroke="#3a3a3a" />
      </svg>
    )
  }
  const [w, h] = [Math.max(6, s.lengthMm * perMm), Math.max(6, s.widthMm * perMm)]
  if (s.kind === 'vase')
    return (
      <svg width={w + 2} height={h + 2} viewBox="0 0 60 100" preserveAspectRatio="none" role="img" aria-label="vase">
        <path
          d="M22 2h16v18q18 12 18 42 0 28-14 36H18Q4 90 4 62q0-30 18-42z"
          fill="#fff"
          stroke="#3a3a3a"
          strokeWidth="2"
        />
      </svg>
    )
  return (
    <svg width={w + edge + 2} height={h + edge + 2} role="img" aria-label={s.kind}>
      <path d={`M${w + 1} 1l${edge} ${edge}v${h}h-${w}l-${edge} -${edge}z`} fill="#cfcfcf" stroke="#3a3a3a" />
      <rect x="1" y="1" width={w} height={h} fill={s.grade === 'sale' ? '#fff' : '#ececec'} stroke="#3a3a3a" />
    </svg>
  )
}

/** Surfaces on the shelf, with how many there are; a pack in, one out, a new kind. */
export function SurfaceStock({
  surfaces,
  currency,
  units,
}: {
  surfaces: readonly StockedSurface[]
  currency: string
  units: UnitSystem
}) {
  const largest = Math.max(1, ...surfaces.map((s) => Math.max(s.lengthMm, s.widthMm, s.diameterMm)))
  return (
    <>
      {surfaces.length === 0 ? (
        <EmptyState title="No surfaces yet">
          Add the canvases and panels you buy by the pack, and plans can be made on them.
        </EmptyState>
      ) : (
        <ul className={styles.surfaces}>
          {surfaces.map((s) => (
            <SurfaceCard key={s.id} s={s} perMm={120 / largest} currency={currency} units={units} />
          ))}
        </ul>
      )}
      <NewSurface units={units} />
    </>
  )
}

function SurfaceCard({
  s,
  perMm,
  currency,
  units,
}: {
  s: StockedSurface
  perMm: number
  currency: string
  units: UnitSystem
}) {
  const [count, setCount] = useState('')
  const [price, setPrice] = useState('')
  const { unreadable, attempt } = useAttempt()
  const { send, pending, refusal } = useSend<null>()
  const move = (n: number, priceMinor: number | null, note: string) =>
    send(
      (requestId) => moveSurfacesAction({ requestId, surfaceId: s.id, count: n, priceMinor, note }),
      () => (setCount(''), setPrice('')),
      'Booked',
    )
  const buy = () => {
    attempt(() => {
      const n = parseNumber(count)
      if (!n || n < 1) throw new Invalid('Type how many the pack holds, like 5.')
      move(n, price.trim() ? parseMoneyMinor(price) : null, 'pack')
    })
  }
  const size = s.shape === 'round' ? `${s.diameterMm / 10} cm across` : formatSize(s, units)
  return (
    <li className="panel">
      <div className={styles.surfacePicture}>
        <SurfaceGlyph s={s} perMm={perMm} />
      </div>
      <div>
        <b>{s.name}</b>
        <div className="big loud" data-testid="surface-count">
          {s.onHand}
        </div>
        <p className="muted flush">
          {s.kind}, for {s.grade} · {size}
          {s.edgeMm ? ` · edge ${s.edgeMm / 10} cm` : ''}
          {s.eachMinor === null ? '' : ` · ${formatMoney(s.eachMinor, currency)} each`}
        </p>
      </div>
      <div className="row wrap flush">
        <Input
          aria-label={`Count of the pack of ${s.name}`}
          placeholder="pack of"
          value={count}
          className="w90"
          onChange={(e) => setCount(e.target.value)}
        />
        <Input
          aria-label={`Price of the pack of ${s.name}`}
          placeholder="price"
          value={price}
          className="w90"
          onChange={(e) => setPrice(e.target.value)}
        />
        <Button loading={pending} onClick={buy}>
          Bought
        </Button>
        <Button disabled={s.onHand === 0} onClick={() => move(-1, null, 'used')}>
          One used
        </Button>
        <Button
          onClick={() => send(() => putSurfaceAwayAction({ id: s.id }), undefined, 'Put away')}
          aria-label={`Put ${s.name} away`}
        >
          ×
        </Button>
      </div>
      {unreadable || refusal ? <Notice kind="warning">{unreadable ?? refusal?.message}</Notice> : null}
    </li>
  )
}

function NewSurface({ units }: { units: UnitSystem }) {
  const [kind, setKind] = useState<(typeof SURFACE_KINDS)[number]>('stretched canvas')
  const [grade, setGrade] = useState<(typeof GRADES)[number]>('sale')
  const [name, setName] = useState('')
  const [size, setSize] = useState('')
  const [edge, setEdge] = useState('')
  const [id, setId] = useState(() => uuidv7())
  const { unreadable, attempt } = useAttempt()
  const { send, pending, refusal } = useSend<null>()
  const add = () => {
    attempt(() => {
      const round = kind === 'round'
      const face = round ? { diameterMm: parseAmount(size, 'length', units) } : parseSize(size, units)
      const surface = {
        id,
        kind,
        grade,
        name: name || `${kind} ${size}`,
        shape: round ? 'round' : 'rectangle',
        ...face,
        edgeMm: edge.trim() ? parseAmount(edge, 'length', units) : 0,
      }
      send(
        () => saveSurfaceAction(surface),
        () => (setId(uuidv7()), setName(''), setSize('')),
        'On the shelf',
      )
    })
  }
  return (
    <section className="panel below" aria-label="New surface">
      <h2>Add a kind of surface</h2>
      <div className="row wrap">
        <Select
          aria-label="Kind of surface"
          value={kind}
          onChange={setKind}
          options={SURFACE_KINDS.map((value) => ({ value, label: value }))}
          className="w190"
        />
        <Input
          aria-label="Size of the surface"
          placeholder={kind === 'round' ? '30 cm' : '40 x 50 cm'}
          value={size}
          className="w150"
          onChange={(e) => setSize(e.target.value)}
        />
        <Input
          aria-label="Edge depth of the surface"
          placeholder="edge 2 cm"
          value={edge}
          className="w120"
          onChange={(e) => setEdge(e.target.value)}
        />
        <Select
          aria-label="Grade"
          value={grade}
          onChange={setGrade}
          options={GRADES.map((value) => ({ value, label: `for ${value}` }))}
          className="w150"
        />
        <Input
          aria-label="Name of the surface"
          placeholder="name"
          className="grow min200"
          value={name}

          onChange={(e) => setName(e.target.value)}
        />
        <Button type="primary" loading={pending} onClick={add}>
          Add it
        </Button>
      </div>
      {unreadable || refusal ? <Notice kind="warning">{unreadable ?? refusal?.message}</Notice> : null}
    </section>
  )
}
