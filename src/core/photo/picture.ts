import { xyzToLab } from '../colour/lab'
import { linearToXyz, RGB_TO_XYZ, toLinear, type Triple } from '../colour/srgb'

// Taken out of the global once: inner loops run where a look-up of `Math` is not free.
const { cbrt } = Math

/** A picture as a screen or a decoder has it: RGBA bytes, sRGB, row by row from the top. */
export interface Picture {
  readonly width: number
  readonly height: number
  readonly data: ArrayLike<number>
}

/** A face laid flat: linear light, three numbers a pixel, and which pixels are of it. */
export interface Face {
  readonly width: number
  readonly height: number
  /** 3 · width · height, linear light 0–1. */
  readonly rgb: Float32Array
  /** 1 where the pixel lies on the face. */
  readonly isFace: Uint8Array
  readonly mmPerPx: number
}

/** Linear light of a byte, sRGB. */
export const LINEAR_OF = Float32Array.from({ length: 256 }, (_, i) => toLinear(i / 255))

/** L* of linear light, by its luminance alone. */
export function lightness(r: number, g: number, b: number): number {
  const y = RGB_TO_XYZ[1][0] * r + RGB_TO_XYZ[1][1] * g + RGB_TO_XYZ[1][2] * b
  return y > 216 / 24389 ? 116 * cbrt(y) - 16 : (24389 / 27) * y
}

/** L*a*b* of linear light. */
export const labOf = (r: number, g: number, b: number): Triple => xyzToLab(linearToXyz([r, g, b]))
