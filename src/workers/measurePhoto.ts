import { expose } from 'comlink'
import type { Card } from '@/core/colour/photoSwatch'
import { hexToSrgb } from '@/core/colour/srgb'
import { FikaError } from '@/core/errors'
import { cardGains, type Patch } from '@/core/photo/card'
import { flatPicture, toldApart } from '@/core/photo/flat'
import { measurePhoto, type PhotoMeasures, type Poured } from '@/core/photo/measurePhoto'
import { proposeCorners, type Proposal } from '@/core/photo/proposeCorners'
import { rectify } from '@/core/photo/rectify'
import { register, type Registered } from '@/core/photo/register'
import { WHOLE, type Quad } from '@/core/surface/homography'
import type { Shape } from '@/core/surface/shapes'
import { openPicture } from './openPicture'

/** Width of the picture that is shown while corners are set. */
const PREVIEW = 1400

type Answered<T> = { ok: true; value: T } | { ok: false; message: string }

let pixels: ImageData | undefined

async function told<T>(work: () => T | Promise<T>): Promise<Answered<T>> {
  try {
    return { ok: true, value: await work() }
  } catch (error) {
    if (error instanceof FikaError) return { ok: false, message: error.message }
    throw error
  }
}

async function decoded(file: Blob): Promise<ImageData> {
  const bitmap = await openPicture(file)
  const canvas = new OffscreenCanvas(bitmap.width, bitmap.height)
  const context = canvas.getContext('2d', { willReadFrequently: true })!
  context.drawImage(bitmap, 0, 0)
  bitmap.close()
  return context.getImageData(0, 0, canvas.width, canvas.height)
}

async function encoded(data: Uint8ClampedArray, width: number, height: number, type: string): Promise<Blob> {
  const canvas = new OffscreenCanvas(width, height)
  canvas.getContext('2d')!.putImageData(new ImageData(new Uint8ClampedArray(data), width, height), 0, 0)
  return canvas.convertToBlob({ type, quality: 0.88 })
}

/** A photo that was opened: its size, a picture to look at, and where its corners may be. */
export interface OpenedPhoto {
  readonly width: number
  readonly height: number
  readonly preview: Blob
  readonly proposal: Proposal
}

/** A photo that was measured: what is seen, laid flat, and told apart. */
export interface MeasuredPhoto {
  readonly measures: PhotoMeasures
  readonly flat: Blob
  readonly apart: Blob
  readonly width: number
  readonly height: number
}

const worker = {
  /** Decodes a photo off the page's thread. What is none, or too large, is refused with a sentence. */
  open(file: Blob): Promise<Answered<OpenedPhoto>> {
    return told(async () => {
      pixels = undefined
      pixels = await decoded(file)
      const { width, height } = pixels
      const bitmap = await createImageBitmap(pixels, { resizeWidth: Math.min(PREVIEW, width) })
      const canvas = new OffscreenCanvas(bitmap.width, bitmap.height)
      canvas.getContext('2d')!.drawImage(bitmap, 0, 0)
      bitmap.close()
      const preview = await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.85 })
      return { width, height, preview, proposal: proposeCorners(pixels) }
    })
  },
  /** Lays the photo that was opened flat and measures it. */
  measure(
    quad: Quad,
    shape: Shape,
    poured: readonly Poured[],
    card: { patch: Patch; kind: Card } | null,
  ): Promise<Answered<MeasuredPhoto>> {
    return told(async () => {
      if (!pixels) throw new FikaError('Invalid', 'Choose a photo first.')
      const gains = card ? cardGains(pixels, card.patch, card.kind) : undefined
      const { face, measures, labels, lacingOf } = measurePhoto(pixels, quad, shape, poured, gains)
      const { width, height } = face
      const swatches = poured.map((p) => hexToSrgb(p.hex))
      return {
        measures,
        width,
        height,
        flat: await encoded(flatPicture(face), width, height, 'image/jpeg'),
        apart: await encoded(toldApart(labels, lacingOf, swatches), width, height, 'image/png'),
      }
    })
  },
  /** Lays two photos that are flat already over each other: where a place of the first lies in the second. */
  async overlay(one: Blob, two: Blob, shape: Shape): Promise<Registered> {
    const [a, b] = [await decoded(one), await decoded(two)]
    return register(rectify(a, WHOLE, shape, REGISTERED_PX), rectify(b, WHOLE, shape, REGISTERED_PX))
  },
}
/** Faces are laid over each other at this size, pixels of the long side. */
const REGISTERED_PX = 400
export type MeasurePhotoWorker = typeof worker

expose(worker)
