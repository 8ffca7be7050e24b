import { Invalid } from '../errors'
import { mustBeAbove0, mustBeNumbers } from '../mustBe'
import { squareToQuad, type Quad } from '../surface/homography'
import { polygonArea, type Point } from '../surface/polygon'
import { footprint, outline, type Shape } from '../surface/shapes'
import { LINEAR_OF, type Face, type Picture } from './picture'

// Taken out of the global once: inner loops run where a look-up of `Math` is not free.
const { ceil, hypot, max, min, round } = Math

/** Pixels of a face along its long side. Start value of Fika. */
export const FACE_PX = 1000
/** Samples a side of each pixel of a face at most: noise and grain are gone by then. Start value of Fika. */
const MOST_SAMPLES = 3
/** A face smaller than this in the photo tells nothing. Start value of Fika. */
const LEAST_PX = 120

/**
 * Whether four corners bound a face as it can be seen: convex, in order, neither crossed nor folded, large enough.
 * @param quad corners as shares of the picture's width and height, 0–1
 * @throws Invalid with what to do
 */
export function mustBeFace(quad: Quad, { width, height }: { width: number; height: number }): void {
  mustBeNumbers('A corner', quad.flat())
  const px = quad.map(([x, y]) => [x * width, y * height] as const)
  const turns = px.map((p, i) => {
    const [a, b] = [px[(i + 1) % 4]!, px[(i + 2) % 4]!]
    return (a[0] - p[0]) * (b[1] - a[1]) - (a[1] - p[1]) * (b[0] - a[0])
  })
  if (!turns.every((t) => t > 0))
    throw new Invalid(
      'These corners make no face. Put them on its top left, top right, bottom right and bottom left corner, in that order.',
    )
  const long = max(...px.map((p, i) => hypot(px[(i + 1) % 4]![0] - p[0], px[(i + 1) % 4]![1] - p[1])))
  if (polygonArea(px) < LEAST_PX ** 2 / 2 || long < LEAST_PX)
    throw new Invalid('The face is too small in this photo. Go nearer, and take it again.')
}

/**
 * Lays a face flat: each pixel of the result is the mean of what it covers in the photo, in linear light.
 * @param quad corners as shares of the picture's width and height: top left, top right, bottom right, bottom left
 * @throws Invalid where the corners make no face
 */
export function rectify(picture: Picture, quad: Quad, shape: Shape, longPx = FACE_PX): Face {
  mustBeFace(quad, picture)
  const { lengthMm, widthMm } = footprint(shape)
  mustBeAbove0('The size of the face', lengthMm, widthMm)
  const mmPerPx = max(lengthMm, widthMm) / longPx
  const [width, height] = [max(1, round(lengthMm / mmPerPx)), max(1, round(widthMm / mmPerPx))]
  const [a, b, c, d, e, f, g, h, i] = squareToQuad(
    quad.map(([x, y]) => [x * picture.width, y * picture.height] as const) as unknown as Quad,
  )
  // As many samples a side as a pixel of the result covers at its largest.
  const sides = quad.map((p, k) => {
    const q = quad[(k + 1) % 4]!
    return hypot((q[0] - p[0]) * picture.width, (q[1] - p[1]) * picture.height)
  })
  const n = min(MOST_SAMPLES, max(1, ceil(max(...sides) / longPx)))
  const rgb = new Float32Array(3 * width * height)
  const { data } = picture
  const light = LINEAR_OF
  const [w, tall] = [picture.width, picture.height]
  const share = 1 / (n * n)
  for (let y = 0; y < height; y++)
    for (let sy = 0; sy < n; sy++) {
      const v = (y + (sy + 0.5) / n) / height
      // Along a row everything above and below the line of the fraction grows evenly.
      const du = 1 / (n * width)
      let [top, left, z] = [a * du * 0.5 + b * v + c, d * du * 0.5 + e * v + f, g * du * 0.5 + h * v + i]
      const [dTop, dLeft, dZ] = [a * du, d * du, g * du]
      for (let x = 0, at = 3 * y * width; x < width; x++, at += 3)
        for (let sx = 0; sx < n; sx++) {
          let px = (top / z) | 0
          let py = (left / z) | 0
          px = px < 0 ? 0 : px >= w ? w - 1 : px
          py = py < 0 ? 0 : py >= tall ? tall - 1 : py
          const from = 4 * (py * w + px)
          rgb[at] = rgb[at]! + share * light[data[from]!]!
          rgb[at + 1] = rgb[at + 1]! + share * light[data[from + 1]!]!
          rgb[at + 2] = rgb[at + 2]! + share * light[data[from + 2]!]!
          top += dTop
          left += dLeft
          z += dZ
        }
    }
  return { width, height, rgb, isFace: faceMask(shape, width, height, mmPerPx), mmPerPx }
}

/** A picture of pixels that lie on the face; a strip of its rim, where its edge shows, is left out. */
function faceMask(shape: Shape, width: number, height: number, mmPerPx: number): Uint8Array {
  const isFace = new Uint8Array(width * height)
  const rim = max(2, round(RIM_MM / mmPerPx))
  const rimmed: readonly Point[] = outline(shape).map(([x, y]) => [
    width / 2 + (x / mmPerPx) * (1 - (2 * rim) / width),
    height / 2 + (y / mmPerPx) * (1 - (2 * rim) / height),
  ])
  for (let y = 0; y < height; y++) {
    // A convex outline crosses a row twice.
    let [from, to] = [Infinity, -Infinity]
    for (let k = 0; k < rimmed.length; k++) {
      const [p, q] = [rimmed[k]!, rimmed[(k + 1) % rimmed.length]!]
      const t = (y + 0.5 - p[1]) / (q[1] - p[1])
      if (!(t >= 0 && t <= 1)) continue
      const x = p[0] + t * (q[0] - p[0])
      from = min(from, x)
      to = max(to, x)
    }
    for (let x = max(0, ceil(from - 0.5)); x + 0.5 <= to && x < width; x++) isFace[y * width + x] = 1
  }
  return isFace
}

/** The strip along the rim that is not measured, mm. Start value of Fika. */
const RIM_MM = 1
