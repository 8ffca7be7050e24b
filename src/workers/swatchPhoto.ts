import { expose } from 'comlink'
import { FikaError } from '@/core/errors'
import { NO_PHOTO } from '@/core/photo/sizes'
import { openPicture } from './openPicture'
import { swatchFromPhoto, type Card, type PhotoSwatch } from '../core/colour/photoSwatch'

/** A part of a photo, each number a share of its width or height (0–1). */
export interface Patch {
  readonly x: number
  readonly y: number
  readonly width: number
  readonly height: number
}

/** Pixels of a patch at the most, each way: more do not make the middle value better. */
const MOST = 320

/** Width of the photo to look at: drawing twelve million pixels again would hold the page up. */
const PREVIEW = 900

let photo: ImageBitmap | undefined

function pixels({ x, y, width, height }: Patch): Uint8ClampedArray {
  const [w, h] = [Math.max(1, width * photo!.width), Math.max(1, height * photo!.height)]
  const scale = Math.min(1, MOST / Math.max(w, h))
  const [cw, ch] = [Math.max(1, Math.round(w * scale)), Math.max(1, Math.round(h * scale))]
  const context = new OffscreenCanvas(cw, ch).getContext('2d', { willReadFrequently: true })!
  context.imageSmoothingEnabled = scale < 1
  context.drawImage(photo!, x * photo!.width, y * photo!.height, w, h, 0, 0, cw, ch)
  return context.getImageData(0, 0, cw, ch).data
}

type Answered<T> = { ok: true; value: T } | { ok: false; message: string }

const worker = {
  /** Decodes a photo off the page's thread, and makes a small one to look at. What is no image is refused. */
  async open(file: Blob): Promise<Answered<{ width: number; height: number; preview: Blob }>> {
    photo?.close()
    photo = undefined
    try {
      photo = await openPicture(file)
      const { width, height } = photo
      const scale = Math.min(1, PREVIEW / width)
      const canvas = new OffscreenCanvas(Math.ceil(width * scale), Math.ceil(height * scale))
      canvas.getContext('2d')!.drawImage(photo, 0, 0, canvas.width, canvas.height)
      const preview = await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.85 })
      return { ok: true, value: { width, height, preview } }
    } catch (error) {
      return { ok: false, message: error instanceof FikaError ? error.message : NO_PHOTO }
    }
  },
  /** The colour of the paint's patch, white-balanced by the card's. */
  measure(card: Patch, paint: Patch, kind: Card): Answered<PhotoSwatch> {
    if (!photo) return { ok: false, message: 'Choose a photo first.' }
    try {
      return { ok: true, value: swatchFromPhoto(pixels(card), pixels(paint), kind) }
    } catch (error) {
      return { ok: false, message: (error as Error).message }
    }
  },
}
export type SwatchPhotoWorker = typeof worker

expose(worker)
