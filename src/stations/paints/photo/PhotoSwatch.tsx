'use client'

import { Button, Segmented } from 'antd'
import { wrap, type Remote } from 'comlink'
import { useEffect, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react'
import type { Card, PhotoSwatch as Measured } from '@/core/colour/photoSwatch'
import { Chip } from '@/ui/pictures/Drawdown'
import { Notice } from '@/ui/frame/Notice'
import type { Patch, SwatchPhotoWorker } from '@/workers/swatchPhoto'
import { arrowMove } from '@/ui/forms/arrows'
import styles from './photo.module.css'

export type SwatchUse = 'swatchHex' | 'wetHex' | 'tintHex'
const USES: readonly (readonly [SwatchUse, string])[] = [
  ['swatchHex', 'Use as masstone, dry'],
  ['wetHex', 'Use as wet colour'],
  ['tintHex', 'Use as tint'],
]
/** A tap without a drag marks a square of this share of the photo's width. */
const TAP = 0.06
const STEP = 0.01

type Mark = 'card' | 'paint'

/** A colour from a photo of a drawdown with a white or grey card in it: mark both, and take the balanced colour. */
export function PhotoSwatch({ onUse }: { onUse: (use: SwatchUse, hex: string) => void }) {
  const remote = useRef<{ worker: Worker; api: Remote<SwatchPhotoWorker> }>(undefined)
  const [photo, setPhoto] = useState<{ url: string; width: number; height: number }>()
  const [marks, setMarks] = useState<Partial<Record<Mark, Patch>>>({})
  const [active, setActive] = useState<Mark>('card')
  const [kind, setKind] = useState<Card>('white')
  const [measured, setMeasured] = useState<Measured>()
  const [problem, setProblem] = useState<string>()
  const [busy, setBusy] = useState(false)
  useEffect(() => () => remote.current?.worker.terminate(), [])
  useEffect(() => () => void (photo && URL.revokeObjectURL(photo.url)), [photo])

  const api = () => {
    if (!remote.current) {
      const worker = new Worker(new URL('../../../workers/swatchPhoto.ts', import.meta.url), { type: 'module' })
      remote.current = { worker, api: wrap<SwatchPhotoWorker>(worker) }
    }
    return remote.current.api
  }
  const choose = async (file: File) => {
    setBusy(true)
    setMeasured(undefined)
    setMarks({})
    setPhoto(undefined)
    setActive('card')
    const opened = await api().open(file)
    setBusy(false)
    setProblem(opened.ok ? undefined : opened.message)
    setPhoto(
      opened.ok
        ? { url: URL.createObjectURL(opened.value.preview), width: opened.value.width, height: opened.value.height }
        : undefined,
    )
  }
  const mark = async (which: Mark, patch: Patch, kindNow = kind) => {
    const next = { ...marks, [which]: patch }
    setMarks(next)
    if (which === 'card' && !next.paint) setActive('paint')
    if (!next.card || !next.paint) return
    const answer = await api().measure(next.card, next.paint, kindNow)
    setProblem(answer.ok ? undefined : answer.message)
    setMeasured(answer.ok ? answer.value : undefined)
  }

  return (
    <section aria-label="Swatch from a photo">
      <h3>From a photo</h3>
      <p className="muted">Photograph the dry drawdown with a white or grey card beside it, in even light, no flash.</p>
      <div className="row">
        <input
          type="file"
          accept="image/*"
          aria-label="Photo of the drawdown"
          onChange={(e) => e.target.files?.[0] && void choose(e.target.files[0])}
        />
      </div>
      {busy ? <p role="status">Opening the photo …</p> : null}
      {problem ? <Notice kind="warning">{problem}</Notice> : null}
      {photo ? (
        <>
          <div className="row wrap">
            <Segmented<Mark>
              value={active}
              onChange={setActive}
              options={[
                { value: 'card', label: 'Mark the card' },
                { value: 'paint', label: 'Mark the paint' },
              ]}
            />
            <Segmented<Card>
              value={kind}
              onChange={(k) => {
                setKind(k)
                if (marks.card) void mark('card', marks.card, k)
              }}
              options={[
                { value: 'white', label: 'white card' },
                { value: 'grey', label: 'grey card' },
              ]}
            />
          </div>
          <Picture photo={photo} marks={marks} active={active} onMark={(patch) => void mark(active, patch)} />
        </>
      ) : null}
      {measured ? (
        <div className={styles.photoResult} data-testid="photo-swatch">
          <Chip hex={measured.hex} size={72} />
          <div>
            <b>{measured.hex}</b>
            <br />
            <span className="muted">
              spread ΔE00 {measured.spread.toFixed(1)}
              {measured.spread > 4 ? ': uneven, mark a calmer place' : ''}
            </span>
          </div>
          {USES.map(([use, words]) => (
            <Button key={use} onClick={() => onUse(use, measured.hex)}>
              {words}
            </Button>
          ))}
        </div>
      ) : null}
    </section>
  )
}

const within = (v: number, most: number) => Math.min(most, Math.max(0, v))

/** The photo with its two marks: drag to mark, or tap; arrow keys move the mark that is being set. */
function Picture({
  photo,
  marks,
  active,
  onMark,
}: {
  photo: { url: string; width: number; height: number }
  marks: Partial<Record<Mark, Patch>>
  active: Mark
  onMark: (patch: Patch) => void
}) {
  const [from, setFrom] = useState<{ x: number; y: number }>()
  const at = (e: PointerEvent<HTMLDivElement>) => {
    const box = e.currentTarget.getBoundingClientRect()
    return { x: within((e.clientX - box.left) / box.width, 1), y: within((e.clientY - box.top) / box.height, 1) }
  }
  const tap = TAP * (photo.width / photo.height)
  const release = (e: PointerEvent<HTMLDivElement>) => {
    if (!from) return
    const to = at(e)
    setFrom(undefined)
    const [width, height] = [Math.abs(to.x - from.x), Math.abs(to.y - from.y)]
    if (width < 0.01 || height < 0.01)
      onMark({ x: within(to.x - TAP / 2, 1 - TAP), y: within(to.y - tap / 2, 1 - tap), width: TAP, height: tap })
    else onMark({ x: Math.min(from.x, to.x), y: Math.min(from.y, to.y), width, height })
  }
  const move = (e: KeyboardEvent) => {
    const step = arrowMove(e.key, STEP)
    if (!step) return
    const [dx, dy] = step
    e.preventDefault()
    const old = marks[active] ?? { x: 0.5 - TAP / 2, y: 0.5 - tap / 2, width: TAP, height: tap }
    onMark({ ...old, x: within(old.x + dx, 1 - old.width), y: within(old.y + dy, 1 - old.height) })
  }
  return (
    <div
      className="photo"
      role="application"
      aria-label={`Photo; arrow keys move the mark of the ${active}`}
      tabIndex={0}
      onKeyDown={move}
      onPointerDown={(e) => (e.currentTarget.setPointerCapture(e.pointerId), setFrom(at(e)))}
      onPointerUp={release}
    >
      {/* eslint-disable-next-line @next/next/no-img-element */}
      <img src={photo.url} alt="" draggable={false} />
      {(['card', 'paint'] as const).map((which) => {
        const m = marks[which]
        return m ? (
          <span
            key={which}
            className={styles.photoMark}
            style={{
              left: `${m.x * 100}%`,
              top: `${m.y * 100}%`,
              width: `${m.width * 100}%`,
              height: `${m.height * 100}%`,
            }}
          >
            <i>{which}</i>
          </span>
        ) : null
      })}
    </div>
  )
}
