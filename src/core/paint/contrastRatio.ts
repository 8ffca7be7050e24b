import type { Opacity } from './properties'

/**
 * Opacity class of a measured contrast ratio (luminous reflectance over black ÷ over white, 0–1). Opaque at 0.98 and
 * above after ISO 6504-3 and ASTM D2805 (from memory); the lower bounds are start values of Fika.
 */
export function opacityOf(contrastRatio: number): Opacity {
  if (contrastRatio >= 0.98) return 'opaque'
  if (contrastRatio >= 0.85) return 'semi-opaque'
  return contrastRatio >= 0.5 ? 'semi-transparent' : 'transparent'
}
