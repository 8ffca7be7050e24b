import sharp, { type Sharp } from 'sharp'
import { Drawing, type Surface } from '@/core/tilt/draw'
import type { Rehearsal } from '@/core/tilt/rehearsal'

/** The picture of a rehearsal, on white, still to be encoded; with its size in pixels. */
export function drawn(
  rehearsal: Rehearsal,
  widthPx: number,
  state: Surface = 'wet',
): { picture: Sharp; width: number; height: number } {
  const drawing = new Drawing(rehearsal, widthPx, state)
  const { width, height } = drawing
  const rgba = new Uint8ClampedArray(width * height * 4)
  drawing.draw(rgba)
  return {
    picture: sharp(rgba, { raw: { width, height, channels: 4 } }).flatten({ background: '#ffffff' }),
    width,
    height,
  }
}
