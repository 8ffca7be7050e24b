import type { Strength } from '../paint/properties'
import type { MeasuredMix, PaintToCalibrate } from './calibrate'
import type { Optics } from './kubelkaMunk'
import { hexToLab, labToSrgb, xyzToLab } from './lab'
import { opticsFromHex } from './paintOptics'
import type { OpticsKnown } from './predict'
import { reflectanceFromHex, reflectanceToXyz, type Reflectance } from './reflectance'
import { srgbToHex } from './srgb'

/**
 * The white that tints and the black that shades are painted out with, where nobody says which: an opaque white and
 * a usual black. Start values of Fika.
 */
export const STANDARD_WHITE = { id: 'standard white', optics: opticsFromHex('#f5f3ec', 'normal') } as const
export const STANDARD_BLACK = { id: 'standard black', optics: opticsFromHex('#1b1b1c', 'strong') } as const
export const STANDARDS: ReadonlyMap<string, Optics> = new Map(
  [STANDARD_WHITE, STANDARD_BLACK].map((s) => [s.id, s.optics]),
)

/** A paint's swatches as they are kept. */
export interface PaintSwatches {
  readonly id: string
  readonly swatchHex: string
  readonly strength: Strength
  readonly tintHex: string | null
  readonly tintWhiteShare: number | null
  readonly shadeHex: string | null
  readonly shadeBlackShare: number | null
  readonly readings: {
    readonly masstone: readonly number[] | null
    readonly tint: readonly number[] | null
    readonly shade: readonly number[] | null
  }
  /** The white and the black it was painted out with, by id; null: nobody said. */
  readonly paintedWith: { readonly whiteId: string | null; readonly blackId: string | null }
}

/** Share of white in a tint, and of black in a shade, where nobody says. */
export const USUAL_TINT = 0.9
export const USUAL_SHADE = 0.2

/** `#rrggbb` of a spectrum under D65. */
export const hexOfReflectance = (r: ArrayLike<number>) => srgbToHex(labToSrgb(xyzToLab(reflectanceToXyz(r))))

/** The spectrum of a swatch: as read while it is still the colour that was read, else rebuilt from its hex. */
export function spectrumOf(
  hex: string,
  reading: readonly number[] | null | undefined,
): { reflectance: Reflectance; from: 'reading' | 'hex' } {
  if (reading?.length === 36 && hexOfReflectance(reading) === hex.toLowerCase())
    return { reflectance: Float64Array.from(reading), from: 'reading' }
  return { reflectance: reflectanceFromHex(hex), from: 'hex' }
}

/** A paint's masstone as the calibration takes it. */
export function toCalibrate(p: PaintSwatches): PaintToCalibrate {
  const { reflectance, from } = spectrumOf(p.swatchHex, p.readings.masstone)
  return { id: p.id, masstone: reflectance, lab: hexToLab(p.swatchHex), strength: p.strength, from }
}

/**
 * The tint and the shade of a paint as measured mixes, with the white and the black they were made with, or with the
 * standard ones in their place. A shade that nobody read, in a black nobody named, says more of that black than of the
 * paint: it is left out.
 */
export function paintedOut(p: PaintSwatches): MeasuredMix[] {
  const { whiteId, blackId } = p.paintedWith
  const mix = (
    hex: string,
    reading: readonly number[] | null,
    other: string | null,
    standard: string,
    share: number,
  ) => ({
    parts: [
      { paintId: p.id, share: 1 - share },
      { paintId: other ?? standard, share },
    ],
    ...spectrumOf(hex, reading),
    assumed: other === null,
  })
  const tint = p.tintHex && mix(p.tintHex, p.readings.tint, whiteId, STANDARD_WHITE.id, p.tintWhiteShare ?? USUAL_TINT)
  const shade =
    p.shadeHex && mix(p.shadeHex, p.readings.shade, blackId, STANDARD_BLACK.id, p.shadeBlackShare ?? USUAL_SHADE)
  return [...(tint ? [tint] : []), ...(shade && !(shade.assumed && shade.from === 'hex') ? [shade] : [])]
}

/** What has been measured of a paint, in one word. @param mixes measured mixes besides its tint and shade */
export function knownOf(p: PaintSwatches, mixes: number): OpticsKnown {
  if (mixes > 0) return 'mixes'
  const shade = paintedOut({ ...p, tintHex: null }).length > 0
  if (p.tintHex) return shade ? 'tint and shade' : 'tint'
  return shade ? 'shade' : 'masstone'
}
