'use client'

import { Button, Form, Input, Rate, Segmented } from 'antd'
import { Link } from '@/ui/frame/Link'
import { useState } from 'react'
import { FAULTS } from '@/core/piece/faults'
import { MOMENT_WORDS, MUCH_WORDS, type Look, type Moment, type SeenFault } from '@/core/piece/looks'
import type { TourSpot } from '@/core/run/events'
import { footprint } from '@/core/surface/shapes'
import type { Piece } from '@/db/pieces/read'
import { Notice } from '@/ui/frame/Notice'
import { useSend } from '@/ui/hooks/useSend'
import { dayAndTime } from '@/ui/tables/dates'
import { noteLookAction } from '../actions'
import { PhotosOfLook } from './PhotosOfLook'
import { TourBoard } from './TourBoard'
import styles from './look.module.css'

/** What a tap on the board sets. */
type Setting = 'weak' | 'best' | string

const toggled = (list: readonly TourSpot[], spot: TourSpot) =>
  list.includes(spot) ? list.filter((s) => s !== spot) : [...list, spot]

const nameOf = (fault: string) => FAULTS.find((f) => f.key === fault)?.name ?? fault

/** One look at a piece: photo, the tour of nine spots, faults with place and how much, words and rating. */
export function LookSheet({
  piece,
  moment,
  look,
  zone,
}: {
  piece: Piece
  moment: Moment
  look: Look | undefined
  zone: string
}) {
  const [weak, setWeak] = useState<readonly TourSpot[]>(look?.weak ?? [])
  const [best, setBest] = useState<TourSpot | null>(look?.best ?? null)
  const [faults, setFaults] = useState<readonly SeenFault[]>(look?.faults ?? [])
  const [setting, setSetting] = useState<Setting>('weak')
  const { send, pending, refusal } = useSend<null>()
  const flat = piece.photos.findLast((f) => f.moment === moment && f.flat) ?? piece.photos.findLast((f) => f.flat)
  const { lengthMm, widthMm } = footprint(piece.surface)
  const tap = (spot: TourSpot) => {
    if (setting === 'weak') setWeak(toggled(weak, spot))
    else if (setting === 'best') setBest(best === spot ? null : spot)
    else setFaults(faults.map((f) => (f.fault === setting ? { ...f, spots: toggled(f.spots, spot) } : f)))
  }
  const chooseFault = (key: string) => {
    if (!faults.some((f) => f.fault === key)) setFaults([...faults, { fault: key, spots: [], much: 2 }])
    setSetting(key)
  }
  const drop = (key: string) => {
    setFaults(faults.filter((f) => f.fault !== key))
    setSetting('weak')
  }
  const marks: Partial<Record<TourSpot, string[]>> = {}
  const mark = (spot: TourSpot, sign: string) => (marks[spot] = [...(marks[spot] ?? []), sign])
  weak.forEach((s) => mark(s, 'weak'))
  if (best) mark(best, 'best')
  faults.forEach((f) => f.spots.forEach((s) => mark(s, nameOf(f.fault).toLowerCase())))
  const what = setting === 'weak' ? 'a weak spot' : setting === 'best' ? 'the best spot' : `where ${nameOf(setting)} is`
  return (
    <>
      <div className="head">
        <h1>
          {piece.title} <span className="sub">{MOMENT_WORDS[moment]}</span>
        </h1>
        <Link className="go second" href={`/wall/${piece.id}`}>
          To the piece
        </Link>
      </div>
      <section className="panel apart" aria-label="Photos">
        <PhotosOfLook piece={piece} moment={moment} zone={zone} />
      </section>
      <div className="two">
        <section className="panel" aria-label="Tour">
          <h2>Round the face: {what}</h2>
          <TourBoard
            url={flat ? `/wall/photo/${flat.id}/flat` : undefined}
            ratio={lengthMm / widthMm}
            round={piece.surface.shape === 'round'}
            marks={marks}
            what={what}
            onTap={tap}
          />
          <p className="muted under">
            Four corners, four sides, the middle. Light raked across shows shine and skin. Choose on the right what a
            tap sets.
          </p>
        </section>
        <section className="panel" aria-label="What was seen">
          <div className={styles.tapped}>
            <div className={styles.line}>
              <button
                type="button"
                className={styles.tap}
                aria-pressed={setting === 'weak'}
                onClick={() => setSetting('weak')}
              >
                <span>
                  Weak spots <small>{weak.length ? weak.join(', ') : 'none'}</small>
                </span>
              </button>
              <button
                type="button"
                className={styles.tap}
                aria-pressed={setting === 'best'}
                onClick={() => setSetting('best')}
              >
                <span>
                  The best spot <small>{best ?? 'not said'}</small>
                </span>
              </button>
            </div>
            {FAULTS.map((f) => {
              const seen = faults.find((s) => s.fault === f.key)
              return (
                <div key={f.key} className={styles.line}>
                  <button
                    type="button"
                    className={styles.tap}
                    aria-pressed={setting === f.key}
                    onClick={() => chooseFault(f.key)}
                  >
                    <span>
                      {seen ? <b>{f.name}</b> : f.name}
                      <small>
                        {seen ? (seen.spots.length ? seen.spots.join(', ') : 'all over') : `often: ${f.causes}`}
                      </small>
                    </span>
                  </button>
                  {seen ? (
                    <>
                      <Segmented<number>
                        aria-label={`How much ${f.name}`}
                        value={seen.much}
                        onChange={(much) => setFaults(faults.map((s) => (s.fault === f.key ? { ...s, much } : s)))}
                        options={[1, 2, 3].map((v) => ({ value: v, label: MUCH_WORDS[v]! }))}
                      />
                      <Button onClick={() => drop(f.key)}>Not there</Button>
                    </>
                  ) : null}
                </div>
              )
            })}
          </div>
          <Form<{ words: string; rating: number }>
            key={look?.revision ?? 0}
            layout="vertical"
            className="under"
            initialValues={{ words: look?.words ?? '', rating: look?.rating ?? 0 }}
            onFinish={({ words, rating }) =>
              send(
                () =>
                  noteLookAction({
                    pieceId: piece.id,
                    moment,
                    revision: look?.revision ?? 0,
                    words,
                    rating: rating || null,
                    weak,
                    best,
                    faults,
                  }),
                undefined,
                'Noted',
              )
            }
          >
            <Form.Item name="words" label="In words">
              <Input.TextArea
                rows={4}
                maxLength={8000}
                placeholder="corners, edges, middle, the best spot; what moved"
              />
            </Form.Item>
            <Form.Item name="rating" label="Rating">
              <Rate character="●" style={{ color: 'var(--ink)', fontSize: 28 }} />
            </Form.Item>
            {refusal ? <Notice kind="warning">{refusal.message}</Notice> : null}
            <div className="row spread">
              <Button type="primary" size="large" htmlType="submit" loading={pending}>
                Note the look
              </Button>
              {look ? <span className="muted">noted {dayAndTime(look.at, zone)}</span> : null}
            </div>
          </Form>
        </section>
      </div>
    </>
  )
}
