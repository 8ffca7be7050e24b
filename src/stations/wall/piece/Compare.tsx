'use client'

/* eslint-disable @next/next/no-img-element -- photos are served by the app itself, sized already */
import { Select, Slider } from 'antd'
import { useEffect, useRef, useState } from 'react'
import { useRouter } from 'next/navigation'
import { patchHex } from '@/core/colour/photoSwatch'
import { MOMENT_WORDS } from '@/core/piece/looks'
import { flattening, mapped, WHOLE, type Matrix3, type Quad } from '@/core/surface/homography'
import type { Piece, PhotoOfPiece } from '@/db/pieces/read'
import { day } from '@/ui/tables/dates'
import { useOverlay } from './useOverlay'
import styles from './piece.module.css'

const urlOf = (f: PhotoOfPiece) => (f.flat ? `/wall/photo/${f.id}/flat` : `/wall/photo/${f.id}`)

/** Corners of the first picture as they lie in the second, px of a box of that size. */
const quadOf = (m: Matrix3, width: number, height: number): Quad =>
  WHOLE.map((corner) => {
    const [u, v] = mapped(m, corner)
    return [width * u, height * v] as const
  }) as unknown as Quad

/** As tall as it is shown at most, px: both looks and what moves them stay on one screen. */
const TALLEST = 540
/** Pixels about a tap whose middle is looked for on the wall. */
const TAPPED_PX = 9

/** Two looks at a piece, one over the other, wiped by hand; a tap asks the wall for the colour under it. */
export function Compare({ piece, zone }: { piece: Piece; zone: string }) {
  const photos = piece.photos.filter((f) => !f.isRaked)
  const wet = photos.find((f) => f.moment === 'wet') ?? photos[0]
  const [left, setLeft] = useState(wet?.id)
  const [right, setRight] = useState(photos.at(-1)?.id)
  const [wipe, setWipe] = useState(50)
  const one = photos.find((f) => f.id === left) ?? photos[0]
  const two = photos.find((f) => f.id === right) ?? photos.at(-1)
  const areFlat = one?.flat && two?.flat
  const laid = useOverlay(areFlat ? urlOf(one) : undefined, areFlat ? urlOf(two) : undefined, piece.surface)
  const box = useRef<HTMLDivElement>(null)
  const [size, setSize] = useState<{ width: number; height: number }>()
  const router = useRouter()
  useEffect(() => {
    if (!box.current) return
    const seen = new ResizeObserver(([entry]) => setSize(entry!.contentRect))
    seen.observe(box.current)
    return () => seen.disconnect()
  }, [])
  if (!one || !two) return null
  const shape = one.flat ?? one
  const ask = (e: React.MouseEvent<HTMLDivElement>) => {
    const image = e.currentTarget.querySelector('img')!
    const r = e.currentTarget.getBoundingClientRect()
    const canvas = document.createElement('canvas')
    canvas.width = canvas.height = TAPPED_PX
    const context = canvas.getContext('2d')!
    const x = ((e.clientX - r.left) / r.width) * image.naturalWidth
    const y = ((e.clientY - r.top) / r.height) * image.naturalHeight
    context.drawImage(image, TAPPED_PX / 2 - x, TAPPED_PX / 2 - y)
    router.push(`/wall?colour=${patchHex(context.getImageData(0, 0, TAPPED_PX, TAPPED_PX).data).slice(1)}`)
  }
  const options = photos.map((f) => ({ value: f.id, label: `${MOMENT_WORDS[f.moment]}, ${day(f.takenAt, zone)}` }))
  return (
    <section className="panel" aria-label="Looks side by side">
      <div
        ref={box}
        className={styles.compare}
        style={{ aspectRatio: `${shape.width} / ${shape.height}`, maxWidth: (TALLEST * shape.width) / shape.height }}
        onClick={ask}
        data-testid="compare"
        data-likeness={laid?.likeness}
      >
        <img src={urlOf(one)} alt={`${piece.title}, ${MOMENT_WORDS[one.moment]}`} />
        {two.id !== one.id ? (
          <div style={{ clipPath: `inset(0 0 0 ${wipe}%)` }}>
            <img
              src={urlOf(two)}
              alt={`${piece.title}, ${MOMENT_WORDS[two.moment]}`}
              style={
                laid && laid.likeness > 0 && size
                  ? {
                      transform: flattening(quadOf(laid.map, size.width, size.height), [size.width, size.height]),
                      transformOrigin: '0 0',
                    }
                  : undefined
              }
            />
          </div>
        ) : null}
        {two.id !== one.id ? <i style={{ left: `${wipe}%` }} aria-hidden="true" /> : null}
      </div>
      {photos.length > 1 ? (
        <>
          <Slider
            ariaLabelForHandle="How much of the later look is shown"
            value={100 - wipe}
            onChange={(v) => setWipe(100 - v)}
            tooltip={{ open: false }}
          />
          <div className="row spread wrap">
            <Select aria-label="Left" className="w190" value={one.id} onChange={setLeft} options={options} />
            <span className="muted">{laid && laid.likeness > 0.3 ? 'laid over each other' : ''}</span>
            <Select aria-label="Right" className="w190" value={two.id} onChange={setRight} options={options} />
          </div>
        </>
      ) : null}
      <p className="muted fine">Tap the picture to find pieces with that colour.</p>
    </section>
  )
}
