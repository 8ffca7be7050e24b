import { hexToLab, xyzToLab } from '@/core/colour/lab'
import { reflectanceFromHex, reflectanceToXyz } from '@/core/colour/reflectance'
import type { Sheen } from '@/core/paint/properties'
import type { Triple } from '@/core/colour/srgb'

/** A colour to hit, wherever it came from. */
export interface Target {
  readonly label: string
  readonly hex: string
  /** As read, where it was read. */
  readonly reflectance: readonly number[] | null
  readonly sheen: Sheen | null
}

/** Something in the studio that has a colour. */
export interface Coloured {
  readonly id: string
  readonly kind: 'paint' | 'bottle' | 'formula'
  readonly label: string
  readonly hex: string
  readonly sheen: Sheen | null
}

export const targetOf = (c: Coloured): Target => ({ label: c.label, hex: c.hex, reflectance: null, sheen: c.sheen })

/** 36 bands of a target: as read, else rebuilt. */
export const spectrumOfTarget = (t: Target): number[] => [...(t.reflectance ?? reflectanceFromHex(t.hex))]

export const labOfTarget = (t: Target): Triple =>
  t.reflectance ? xyzToLab(reflectanceToXyz(t.reflectance)) : hexToLab(t.hex)
