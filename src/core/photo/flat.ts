import { toGamma } from '../colour/srgb'
import type { Face } from './picture'

// Taken out of the global once: inner loops run where a look-up of `Math` is not free.
const { max, min, round } = Math

/** sRGB bytes by 4,096 steps of linear light. */
const BYTE_OF = Uint8Array.from({ length: 4097 }, (_, i) => round(255 * toGamma(i / 4096)))

/** A face laid flat as a picture: RGBA bytes, sRGB. */
export function flatPicture({ width, height, rgb }: Face): Uint8ClampedArray {
  const data = new Uint8ClampedArray(4 * width * height)
  for (let i = 0; i < width * height; i++) {
    for (let c = 0; c < 3; c++) data[4 * i + c] = BYTE_OF[min(4096, max(0, (4096 * rgb[3 * i + c]!) | 0))]!
    data[4 * i + 3] = 255
  }
  return data
}

/** The face told apart: each pixel in the swatch of its colour, lacing shining through, what is hidden grey. RGBA bytes. */
export function toldApart(
  labels: ArrayLike<number>,
  lacing: ArrayLike<number>,
  swatches: readonly (readonly [number, number, number])[],
): Uint8ClampedArray {
  const data = new Uint8ClampedArray(4 * labels.length)
  for (let i = 0; i < labels.length; i++) {
    const l = labels[i]!
    const swatch = l < 0 ? undefined : swatches[l]
    for (let c = 0; c < 3; c++) data[4 * i + c] = swatch ? round(255 * swatch[c]!) : 110
    data[4 * i + 3] = lacing[i]! >= 0 ? 130 : 255
  }
  return data
}
