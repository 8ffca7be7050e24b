'use client'

import { Button, Checkbox } from 'antd'
import { Link } from '@/ui/frame/Link'
import { useRef, useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import type { PhotoMeasures } from '@/core/photo/measurePhoto'
import { MOMENT_WORDS, type Moment } from '@/core/piece/looks'
import type { Quad } from '@/core/surface/homography'
import type { Piece } from '@/db/pieces/read'
import { Notice } from '@/ui/frame/Notice'
import { useSend } from '@/ui/hooks/useSend'
import { dayAndTime } from '@/ui/tables/dates'
import { addPhotoAction, keepMeasuresAction, removePhotoAction } from '../actions'
import { MeasureDesk } from '../measure/MeasureDesk'
import { pouredShares } from '../measure/pouredShares'
import styles from './look.module.css'

/** Photos of one look: chosen from file or camera, laid flat and measured at once, or kept as they are. */
export function PhotosOfLook({ piece, moment, zone }: { piece: Piece; moment: Moment; zone: string }) {
  const { send, pending, refusal } = useSend<null>()
  const input = useRef<HTMLInputElement>(null)
  const camera = useRef<HTMLInputElement>(null)
  const [chosen, setChosen] = useState<{ id: string; file: File }>()
  const [isRaked, setRaked] = useState(false)
  const photos = piece.photos.filter((f) => f.moment === moment)
  const done = () => {
    setChosen(undefined)
    setRaked(false)
    for (const at of [input, camera]) if (at.current) at.current.value = ''
  }
  const keep = (corners?: Quad, measures?: PhotoMeasures) => {
    if (!chosen) return
    const form = new FormData()
    form.set('id', chosen.id)
    form.set('pieceId', piece.id)
    form.set('moment', moment)
    form.set('isRaked', String(isRaked))
    form.set('photo', chosen.file)
    send(
      async () => {
        const kept = await addPhotoAction(form)
        return kept.ok && measures ? keepMeasuresAction({ photoId: chosen.id, corners, measures }) : kept
      },
      done,
      'Photo kept',
    )
  }
  return (
    <>
      <h2>Photos, {MOMENT_WORDS[moment]}</h2>
      {photos.length ? (
        <div className={styles.photos}>
          {photos.map((f) => (
            <figure key={f.id}>
              {/* eslint-disable-next-line @next/next/no-img-element */}
              <img
                src={f.flat ? `/wall/photo/${f.id}/flat` : `/wall/photo/${f.id}`}
                alt={`${piece.title}, ${MOMENT_WORDS[moment]}${f.isRaked ? ', raked light' : ''}`}
                loading="lazy"
              />
              <figcaption>
                <small className="muted">
                  {dayAndTime(f.takenAt, zone)}
                  {f.isRaked ? ', raked light' : ''}
                </small>
                <span className="row spread close">
                  <Link href={`/wall/${piece.id}/photo/${f.id}`}>{f.flat ? 'Measured' : 'Measure it'}</Link>
                  <button
                    type="button"
                    className="plain"
                    onClick={() => send(() => removePhotoAction({ id: f.id }), undefined, 'Photo removed')}
                  >
                    Remove
                  </button>
                </span>
              </figcaption>
            </figure>
          ))}
        </div>
      ) : null}
      <div className="row wrap">
        <input
          ref={input}
          type="file"
          accept="image/jpeg,image/png,image/webp"
          aria-label="Choose a photo"
          disabled={pending}
          onChange={(e) => e.target.files?.[0] && setChosen({ id: uuidv7(), file: e.target.files[0] })}
        />
        <input
          ref={camera}
          type="file"
          accept="image/*"
          capture="environment"
          hidden
          aria-label="Photo from the camera"
          onChange={(e) => e.target.files?.[0] && setChosen({ id: uuidv7(), file: e.target.files[0] })}
        />
        {chosen ? null : (
          <Button size="large" disabled={pending} onClick={() => camera.current?.click()}>
            Take a photo
          </Button>
        )}
        {chosen ? (
          <>
            <Checkbox checked={isRaked} onChange={(e) => setRaked(e.target.checked)}>
              In raked light
            </Checkbox>
            <Button onClick={done}>Another photo</Button>
          </>
        ) : null}
      </div>
      {refusal ? <Notice kind="warning">{refusal.message}</Notice> : null}
      {chosen ? (
        <MeasureDesk
          key={chosen.id}
          source={chosen.file}
          shape={piece.surface}
          poured={pouredShares(piece.colours)}
          keeping={pending}
          onKeep={keep}
        >
          <Button size="large" loading={pending} onClick={() => keep()}>
            Keep it as it is
          </Button>
        </MeasureDesk>
      ) : null}
    </>
  )
}
