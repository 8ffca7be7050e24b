import pLimit from 'p-limit'
import sharp from 'sharp'
import { flatPicture } from '@/core/photo/flat'
import { rectify } from '@/core/photo/rectify'
import type { Quad } from '@/core/surface/homography'
import type { Shape } from '@/core/surface/shapes'

/** One at a time: pixels of a photo are much memory, and laying one flat keeps the process busy for a moment. */
const inTurn = pLimit(1)
/** Long side of a face laid flat, pixels. */
const FLAT_PX = 900

/** A kept photo laid flat by its corners, as JPEG. @throws Invalid where the corners make no face */
export const flatten = (image: Buffer, corners: Quad, shape: Shape) =>
  inTurn(async () => {
    const { data, info } = await sharp(image).ensureAlpha().raw().toBuffer({ resolveWithObject: true })
    const face = rectify({ width: info.width, height: info.height, data }, corners, shape, FLAT_PX)
    const { width, height } = face
    const flat = await sharp(flatPicture(face), { raw: { width, height, channels: 4 } })
      .removeAlpha()
      .jpeg({ quality: 84, mozjpeg: true })
      .toBuffer()
    return { image: flat, width, height }
  })
