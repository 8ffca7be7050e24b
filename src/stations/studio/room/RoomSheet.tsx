'use client'

import { Button, Checkbox, Input } from 'antd'
import { useState, type ReactNode } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { formatFlOz, formatMl } from '@/core/quantity/format'
import { numberIn } from '@/core/quantity/number'
import { parseVolumeUl, type UnitSystem } from '@/core/quantity/parse'
import { formatSize, parseSize } from '@/core/quantity/size'
import { readTyped } from '@/core/quantity/typed'
import type { CupSize, DryingPlace, Room } from '@/db/room/read'
import { Notice } from '@/ui/frame/Notice'
import { useSend } from '@/ui/hooks/useSend'
import { StudioNav } from '../StudioNav'
import { removeFromRoomAction, saveCupAction, savePlaceAction, saveRoomAction } from './actions'
import styles from './room.module.css'

const DAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday']

/** What the room has: its cups drawn to one scale, its level places, its days and its air. */
export function RoomSheet({
  cups,
  places,
  room,
  units,
  children,
}: {
  cups: readonly CupSize[]
  places: readonly DryingPlace[]
  room: Room
  units: UnitSystem
  /** Its droppers. */
  children: ReactNode
}) {
  return (
    <>
      <div className="head">
        <h1>
          Room <span className="sub">cups, level places, days and air: what plans are worked out with</span>
        </h1>
      </div>
      <StudioNav here="/studio/room" />
      <div className="two">
        <Cups cups={cups} units={units} />
        <Places places={places} units={units} />
      </div>
      <div className="two below">
        <Days room={room} />
        {children}
      </div>
    </>
  )
}

function Cups({ cups, units }: { cups: readonly CupSize[]; units: UnitSystem }) {
  const [name, setName] = useState('')
  const [holds, setHolds] = useState('')
  const { send, pending, refusal } = useSend<null>()
  const read = readTyped(() => parseVolumeUl(holds, units))
  const largest = Math.max(1, ...cups.map((c) => c.sizeUl))
  const add = () =>
    send(
      () => saveCupAction({ id: uuidv7(), name: name.trim() || `${holds.trim()} cup`, sizeUl: read.value }),
      () => {
        setName('')
        setHolds('')
      },
      'Cup kept',
    )
  return (
    <section className="panel" aria-label="Cups">
      <h2>Cups</h2>
      {cups.length === 0 ? (
        <p className="muted">No cups yet. Plans then say amounts, and not which cup holds them.</p>
      ) : null}
      <ul className={styles.cups}>
        {cups.map((c) => {
          const size = 90 * Math.cbrt(c.sizeUl / largest)
          return (
            <li key={c.id}>
              <svg width="90" height="96" viewBox="0 0 90 96" aria-hidden="true">
                <path
                  d={`M${45 - size * 0.42} ${94 - size}L${45 - size * 0.3} 94H${45 + size * 0.3}L${45 + size * 0.42} ${94 - size}Z`}
                  fill="none"
                  stroke="currentColor"
                  strokeWidth="2.5"
                  strokeLinejoin="round"
                />
              </svg>
              <Named what="cup" of={c} said={`${formatMl(c.sizeUl)} · ${formatFlOz(c.sizeUl)}`} />
            </li>
          )
        })}
      </ul>
      <div className="row">
        <Input
          aria-label="Name of the cup"
          placeholder="Name"
          value={name}
          maxLength={60}
          onChange={(e) => setName(e.target.value)}
        />
        <Input
          aria-label="Cup holds"
          placeholder={units === 'us' ? '7 fl oz' : '210 ml'}
          value={holds}
          onChange={(e) => setHolds(e.target.value)}
        />
        <Button type="primary" loading={pending} disabled={!holds.trim()} onClick={() => !read.sentence && add()}>
          Add cup
        </Button>
      </div>
      {holds.trim() && read.sentence ? <small className="muted">{read.sentence}</small> : null}
      {refusal ? <Notice kind="warning">{refusal.message}</Notice> : null}
    </section>
  )
}

function Places({ places, units }: { places: readonly DryingPlace[]; units: UnitSystem }) {
  const [name, setName] = useState('')
  const [size, setSize] = useState('')
  const [spots, setSpots] = useState('1')
  const { send, pending, refusal } = useSend<null>()
  const read = readTyped(() => ({
    ...parseSize(size, units),
    spots: numberIn(spots, `“${spots}” is not a number of pieces.`),
  }))
  const largest = Math.max(1, ...places.map((p) => Math.max(p.lengthMm, p.widthMm)))
  return (
    <section className="panel" aria-label="Level places">
      <h2>Level places to dry on</h2>
      {places.length === 0 ? <p className="muted">None yet. Dates then take it that there is always room.</p> : null}
      <ul className={styles.cups}>
        {places.map((p) => {
          const scale = 84 / largest
          return (
            <li key={p.id}>
              <svg width="90" height="96" viewBox="0 0 90 96" aria-hidden="true">
                <rect
                  x="2"
                  y={94 - p.widthMm * scale}
                  width={p.lengthMm * scale}
                  height={p.widthMm * scale}
                  fill="none"
                  stroke="currentColor"
                  strokeWidth="2.5"
                />
              </svg>
              <Named
                what="place"
                of={p}
                said={`${p.spots} ${p.spots === 1 ? 'piece' : 'pieces'} of up to ${formatSize(p, units)}`}
              />
            </li>
          )
        })}
      </ul>
      <div className="row">
        <Input
          aria-label="Name of the place"
          placeholder="Name"
          value={name}
          maxLength={60}
          onChange={(e) => setName(e.target.value)}
        />
        <Input
          aria-label="Size of the place"
          placeholder={units === 'us' ? '24 x 36 in' : '60 x 90 cm'}
          value={size}
          onChange={(e) => setSize(e.target.value)}
        />
        <Input aria-label="Pieces on it" className="w70" value={spots} onChange={(e) => setSpots(e.target.value)} />
        <Button
          type="primary"
          loading={pending}
          disabled={!size.trim()}
          onClick={() =>
            !read.sentence &&
            send(
              () => savePlaceAction({ id: uuidv7(), name: name.trim() || 'Level place', ...read.value }),
              () => {
                setName('')
                setSize('')
              },
              'Place kept',
            )
          }
        >
          Add place
        </Button>
      </div>
      {size.trim() && read.sentence ? <small className="muted">{read.sentence}</small> : null}
      {refusal ? <Notice kind="warning">{refusal.message}</Notice> : null}
    </section>
  )
}

/** Name and size of something in the room, and the way to take it off the list. */
function Named({ what, of, said }: { what: 'cup' | 'place'; of: { id: string; name: string }; said: string }) {
  const { send, refusal } = useSend<null>()
  return (
    <>
      <b>{of.name}</b>
      <small className="muted">{said}</small>
      <Button
        aria-label={`Take ${of.name} off the list`}
        onClick={() => send(() => removeFromRoomAction({ what, id: of.id }))}
      >
        ×
      </Button>
      {refusal ? <small>{refusal.message}</small> : null}
    </>
  )
}

function Days({ room }: { room: Room }) {
  const [closed, setClosed] = useState<readonly number[]>(room.closedWeekdays)
  const [celsius, setCelsius] = useState(String(room.celsius))
  const [humidity, setHumidity] = useState(String(Math.round(room.humidity * 100)))
  const { send, pending, refusal } = useSend<null>()
  const read = readTyped(() => ({
    celsius: numberIn(celsius, `“${celsius}” is not a number of degrees.`),
    humidity: numberIn(humidity, `“${humidity}” is not a number of percent.`) / 100,
  }))
  return (
    <section className="panel under" aria-label="Days and air">
      <h2>Days and air</h2>
      <div className="row wrap">
        <span>Closed on</span>
        {DAYS.map((name, i) => (
          <Checkbox
            key={name}
            className="big-check"
            checked={closed.includes(i + 1)}
            onChange={(e) => setClosed(e.target.checked ? [...closed, i + 1] : closed.filter((d) => d !== i + 1))}
          >
            {name}
          </Checkbox>
        ))}
      </div>
      <div className="row">
        <Input
          aria-label="Warmth of the room"
          className="w90"
          suffix="°C"
          value={celsius}
          onChange={(e) => setCelsius(e.target.value)}
        />
        <Input
          aria-label="Humidity of the room"
          className="w90"
          suffix="%"
          value={humidity}
          onChange={(e) => setHumidity(e.target.value)}
        />
        <Button
          type="primary"
          loading={pending}
          onClick={() =>
            !read.sentence &&
            send(() => saveRoomAction({ closedWeekdays: closed, ...read.value }), undefined, 'Room kept')
          }
        >
          Keep
        </Button>
        <span className="muted">Warm, dry air dries sooner; nobody pours on a closed day, and paint dries on.</span>
      </div>
      {read.sentence || refusal ? <Notice kind="warning">{read.sentence ?? refusal?.message}</Notice> : null}
    </section>
  )
}
