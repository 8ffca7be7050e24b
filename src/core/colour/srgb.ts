import { Invalid } from '../errors'
import { WHITE } from './observer'

/** Three numbers: sRGB or linear RGB in 0–1, XYZ with Y of white 1, or L*a*b*. */
export type Triple = [number, number, number]

/** sRGB component to linear light (IEC 61966-2-1). */
export const toLinear = (c: number) => (c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4)
/** Linear light to sRGB component (IEC 61966-2-1). */
export const toGamma = (c: number) => (c <= 0.0031308 ? 12.92 * c : 1.055 * c ** (1 / 2.4) - 0.055)

type Matrix = readonly [Triple, Triple, Triple]

function invert(m: Matrix): Matrix {
  const [[a, b, c], [d, e, f], [g, h, i]] = m
  const det = a * (e * i - f * h) - b * (d * i - f * g) + c * (d * h - e * g)
  return [
    [(e * i - f * h) / det, (c * h - b * i) / det, (b * f - c * e) / det],
    [(f * g - d * i) / det, (a * i - c * g) / det, (c * d - a * f) / det],
    [(d * h - e * g) / det, (b * g - a * h) / det, (a * e - b * d) / det],
  ]
}
const apply = (m: Matrix, [x, y, z]: Triple): Triple => [
  m[0][0] * x + m[0][1] * y + m[0][2] * z,
  m[1][0] * x + m[1][1] * y + m[1][2] * z,
  m[2][0] * x + m[2][1] * y + m[2][2] * z,
]

/** Linear sRGB → XYZ, derived from the primaries of IEC 61966-2-1 (Rec. 709) and `WHITE`. */
export const RGB_TO_XYZ: Matrix = (() => {
  const column = (x: number, y: number): Triple => [x / y, 1, (1 - x - y) / y]
  const [r, g, b] = [column(0.64, 0.33), column(0.3, 0.6), column(0.15, 0.06)]
  const primaries: Matrix = [
    [r[0], g[0], b[0]],
    [r[1], g[1], b[1]],
    [r[2], g[2], b[2]],
  ]
  const scale = apply(invert(primaries), [WHITE.x, WHITE.y, WHITE.z])
  return primaries.map((row) => row.map((v, k) => v * scale[k]!)) as unknown as Matrix
})()
export const XYZ_TO_RGB: Matrix = invert(RGB_TO_XYZ)

export const linearToXyz = (rgb: Triple): Triple => apply(RGB_TO_XYZ, rgb)
export const xyzToLinear = (xyz: Triple): Triple => apply(XYZ_TO_RGB, xyz)

/**
 * `#1a2b3c` to sRGB in 0–1.
 * @throws Invalid when the text is not six hexadecimal digits
 */
export function hexToSrgb(hex: string): Triple {
  const m = /^#?([0-9a-f]{2})([0-9a-f]{2})([0-9a-f]{2})$/i.exec(hex.trim())
  if (!m) throw new Invalid(`“${hex}” is not a colour. Type six digits like #1f7a8c, or pick one.`)
  return [parseInt(m[1]!, 16) / 255, parseInt(m[2]!, 16) / 255, parseInt(m[3]!, 16) / 255]
}

/** sRGB in 0–1 to `#rrggbb`; what lies outside the gamut is clipped. */
export function srgbToHex(rgb: Triple): string {
  return `#${rgb
    .map((c) =>
      Math.round(Math.min(1, Math.max(0, c)) * 255)
        .toString(16)
        .padStart(2, '0'),
    )
    .join('')}`
}
