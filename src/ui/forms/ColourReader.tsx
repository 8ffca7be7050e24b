'use client'

import { Button, Select } from 'antd'
import { useEffect, useRef, useState } from 'react'
import type { Answer } from '@/core/answer'
import { hexOfReflectance } from '@/core/colour/paintedOut'
import { labToHex } from '@/core/colour/lab'
import { reflectanceFromHex } from '@/core/colour/reflectance'
import type { Triple } from '@/core/colour/srgb'
import type { Averaged } from '@/core/device/readings'
import { Chip } from '@/ui/pictures/Drawdown'
import { Notice } from '@/ui/frame/Notice'

/** A swatch that was read. */
export interface ReadColour {
  readonly hex: string
  readonly lab: Triple
  readonly reflectance: readonly number[] | null
}
/** What may lie under the stand-in reader. */
export interface Under {
  readonly label: string
  readonly reflectance?: readonly number[]
  readonly hex?: string
}

interface Status {
  name: string
  standIn: boolean
  calibratedAt: string | null
  calibrate: boolean
}
const OUT = 'Fika did not answer. Try again in a moment, or pick the colour by hand.'

async function ask<T>(body: object, signal: AbortSignal): Promise<Answer<T>> {
  const response = await fetch('/reader', {
    method: 'POST',
    body: JSON.stringify(body),
    signal,
    headers: { 'content-type': 'application/json' },
  })
  return (await response.json()) as Answer<T>
}

/** Reads a swatch with the colour reader: several readings, averaged, slips left out. */
export function ColourReader({
  onRead,
  under = [],
  label = 'Read with the colour reader',
}: {
  onRead: (read: ReadColour) => void
  under?: readonly Under[]
  label?: string
}) {
  const [status, setStatus] = useState<Status>()
  const [trouble, setTrouble] = useState<string>()
  const [busy, setBusy] = useState(false)
  const [last, setLast] = useState<Averaged & { hex: string }>()
  const [placed, setPlaced] = useState(0)
  const leaving = useRef<AbortController>(undefined)
  useEffect(() => () => leaving.current?.abort(), [])
  const talk = async <T,>(body: object, done: (value: T) => void) => {
    leaving.current?.abort()
    const here = (leaving.current = new AbortController())
    setBusy(true)
    setTrouble(undefined)
    try {
      const said = await ask<T>(body, here.signal)
      if (said.ok) done(said.value)
      else setTrouble(said.message)
    } catch {
      if (!here.signal.aborted) setTrouble(OUT)
    } finally {
      if (leaving.current === here) setBusy(false)
    }
  }
  const chosen = under[Math.min(placed, under.length - 1)]
  const read = () => {
    const place = chosen && (chosen.reflectance ?? (chosen.hex ? [...reflectanceFromHex(chosen.hex)] : undefined))
    void talk<Averaged & Status>({ do: 'read', times: 5, ...(place ? { place } : {}) }, (value) => {
      setStatus(value)
      const hex = value.reflectance ? hexOfReflectance(value.reflectance) : labToHex(value.lab)
      setLast({ ...value, hex })
      onRead({ hex, lab: value.lab, reflectance: value.reflectance })
    })
  }
  return (
    <div>
      <div className="row wrap">
        <Button onClick={read} loading={busy}>
          {label}
        </Button>
        {last ? (
          <span className="chipline">
            <Chip hex={last.hex} sheen="matte" />
            <span>
              {last.hex}{' '}
              <small className="muted">
                {last.used} readings agree within {last.spread.toFixed(1)}
                {last.rejected ? `, ${last.rejected} left out` : ''}
              </small>
            </span>
          </span>
        ) : null}
      </div>
      {status?.standIn && under.length > 1 ? (
        <div className="row">
          <span className="muted">Under the stand-in reader</span>
          <Select
            aria-label="Under the stand-in reader"
            className="min200"
            value={placed}
            onChange={setPlaced}
            options={under.map((u, i) => ({ value: i, label: u.label }))}
          />
        </div>
      ) : null}
      {status?.calibrate ? (
        <Notice kind="warning">
          {status.calibratedAt
            ? 'The reader has not seen its white tile for more than eight hours.'
            : 'The reader has never seen its white tile.'}{' '}
          <button type="button" className="plain" onClick={() => void talk<Status>({ do: 'calibrate' }, setStatus)}>
            Set it on the tile and calibrate
          </button>
        </Notice>
      ) : null}
      {trouble ? <Notice kind="warning">{trouble}</Notice> : null}
    </div>
  )
}
