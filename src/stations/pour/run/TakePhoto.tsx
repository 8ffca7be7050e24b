'use client'

import { useRef, useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import type { Point } from '@/core/surface/polygon'
import { Notice } from '@/ui/frame/Notice'
import { useSend } from '@/ui/hooks/useSend'
import { runPhotoAction } from '../actions'
import { Key } from './Key'
import type { RunStepProps } from './stepProps'
import styles from './run.module.css'

const CORNERS = ['top left', 'top right', 'bottom right', 'bottom left']

/** A photo from above, and four taps on the corners of the face that lay it flat; without them it is kept as it is. */
export function TakePhoto({ desk, piece, send }: RunStepProps) {
  const input = useRef<HTMLInputElement>(null)
  const [taken, setTaken] = useState<string>()
  const [corners, setCorners] = useState<readonly Point[]>([])
  const { send: upload, pending, refusal } = useSend<{ width: number; height: number }>({ quiet: true })
  const keep = (photo: string, at: readonly Point[]) => {
    if (send({ kind: 'photo', piece: piece.id, photo, corners: at })) {
      setTaken(undefined)
      setCorners([])
    }
  }
  const take = (file: File) => {
    const id = uuidv7()
    const form = new FormData()
    form.set('id', id)
    form.set('runId', desk.run.id)
    form.set('photo', file)
    upload(
      () => runPhotoAction(form),
      () => setTaken(id),
    )
    if (input.current) input.current.value = ''
  }
  return (
    <>
      <input
        ref={input}
        type="file"
        accept="image/*"
        capture="environment"
        hidden
        aria-label="Photo"
        data-testid="photo"
        onChange={(e) => e.target.files?.[0] && take(e.target.files[0])}
      />
      <Key press={() => input.current?.click()} disabled={pending}>
        {pending ? 'Keeping the photo…' : 'Take a photo'}
      </Key>
      {refusal ? <Notice kind="warning">{refusal.message}</Notice> : null}
      {taken ? (
        <div>
          <p className={styles.say}>
            Tap the corners of the face: <b>{CORNERS[corners.length]}</b>.{' '}
            <Key press={() => keep(taken, [])}>Without corners</Key>
          </p>
          {/* eslint-disable-next-line @next/next/no-img-element -- where in the picture a finger comes down */}
          <img
            src={`/pour/photo/${taken}`}
            alt="The photo that was taken"
            className="wide block"
            data-testid="corners"
            onClick={(e) => {
              const box = e.currentTarget.getBoundingClientRect()
              const at = [(e.clientX - box.left) / box.width, (e.clientY - box.top) / box.height] as const
              const more = [...corners, at]
              if (more.length === 4) keep(taken, more)
              else setCorners(more)
            }}
          />
        </div>
      ) : null}
    </>
  )
}
