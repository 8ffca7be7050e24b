'use client'

import { useRef, useState, type PointerEvent } from 'react'
import { patchHex } from '@/core/colour/photoSwatch'
import { Notice } from '@/ui/frame/Notice'
import styles from './target.module.css'

/** Widest a photo is drawn for picking; a colour needs no more. */
const WIDEST = 1200
/** Half the side of the patch that is read, as a share of the width. */
const REACH = 0.012

/** A photo to click on: the middle colour of a small patch around the click. */
export function PhotoTarget({ onPick }: { onPick: (hex: string) => void }) {
  const canvas = useRef<HTMLCanvasElement>(null)
  const [shown, setShown] = useState(false)
  const [mark, setMark] = useState<{ x: number; y: number }>()
  const [trouble, setTrouble] = useState<string>()
  const load = async (file: File | undefined) => {
    if (!file) return
    setTrouble(undefined)
    setMark(undefined)
    try {
      const bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' })
      const scale = Math.min(1, WIDEST / bitmap.width)
      const c = canvas.current!
      c.width = Math.max(1, Math.round(bitmap.width * scale))
      c.height = Math.max(1, Math.round(bitmap.height * scale))
      c.getContext('2d', { willReadFrequently: true })!.drawImage(bitmap, 0, 0, c.width, c.height)
      bitmap.close()
      setShown(true)
    } catch {
      setTrouble('This file is not a picture the browser can read. Choose a JPEG, PNG or WebP.')
    }
  }
  const pickAt = (x: number, y: number) => {
    const c = canvas.current!
    const reach = Math.max(2, Math.round(c.width * REACH))
    const [left, top] = [Math.max(0, Math.round(x * c.width) - reach), Math.max(0, Math.round(y * c.height) - reach)]
    const [w, h] = [Math.min(2 * reach, c.width - left), Math.min(2 * reach, c.height - top)]
    if (w <= 0 || h <= 0) return
    onPick(patchHex(c.getContext('2d')!.getImageData(left, top, w, h).data))
    setMark({ x, y })
  }
  const onPointer = (e: PointerEvent<HTMLCanvasElement>) => {
    const box = e.currentTarget.getBoundingClientRect()
    pickAt((e.clientX - box.left) / box.width, (e.clientY - box.top) / box.height)
  }
  return (
    <div>
      <label>
        <span className="visually-hidden">Photo to pick from</span>
        <input type="file" accept="image/*" onChange={(e) => void load(e.target.files?.[0])} />
      </label>
      {trouble ? <Notice kind="warning">{trouble}</Notice> : null}
      <div className="photo" style={{ display: shown ? 'block' : 'none' }}>
        <canvas
          ref={canvas}
          className="wide block"
          onPointerDown={onPointer}
          aria-label="Click the colour to match"
          role="img"
        />
        {mark ? (
          <i className={styles.photoPoint} style={{ left: `${mark.x * 100}%`, top: `${mark.y * 100}%` }} />
        ) : null}
      </div>
      {shown ? (
        <p className="muted">
          Click the colour to match. A photo is no truer than its light: read the real thing where you can.
        </p>
      ) : null}
    </div>
  )
}
