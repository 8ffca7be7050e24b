import pLimit from 'p-limit'
import sharp from 'sharp'
import { Invalid } from '@/core/errors'
import { TOO_MANY_PIXELS } from '@/core/photo/sizes'
import { PHOTO } from '@/db/pieces/schema'

/** Photos encoded at once; the others wait their turn, so that a wall of them does not take the machine. */
const inTurn = pLimit(2)
sharp.concurrency(1)

const KINDS = new Set(['jpeg', 'png', 'webp'])

interface Taken {
  readonly image: Buffer
  readonly width: number
  readonly height: number
}

/**
 * Takes a photo in: its kind is read from its content, never from its name; it is turned upright, made no larger than
 * the wall needs and encoded anew, so that nothing but the picture is kept (no place, no camera, no payload).
 * @throws Invalid with a sentence for what is not a photo
 */
export const takePhoto = (bytes: Uint8Array): Promise<Taken> => inTurn(() => take(bytes))

async function take(bytes: Uint8Array): Promise<Taken> {
  if (bytes.byteLength > PHOTO.bytes)
    throw new Invalid('This photo is larger than 20 MB. Make it smaller, and try again.', 'photo')
  const refuse = new Invalid('This file is not a JPEG, PNG or WebP photo. Choose another.', 'photo')
  try {
    const source = sharp(bytes, { limitInputPixels: false, failOn: 'error' })
    // Told from its head, before a pixel is decoded.
    const { format, width, height } = await source.metadata()
    if (!KINDS.has(format)) throw refuse
    if (width * height > PHOTO.pixels) throw new Invalid(TOO_MANY_PIXELS, 'photo')
    const { data, info } = await source
      .rotate()
      .resize({ width: PHOTO.side, height: PHOTO.side, fit: 'inside', withoutEnlargement: true })
      .jpeg({ quality: 86, mozjpeg: true })
      .toBuffer({ resolveWithObject: true })
    return { image: data, width: info.width, height: info.height }
  } catch (error) {
    if (error instanceof Invalid) throw error
    throw refuse
  }
}
