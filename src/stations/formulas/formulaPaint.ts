import type { FormulaPaint } from '@/core/colour/predict'
import { surePaint } from '@/core/colour/sureWords'
import { SHOWY } from '@/core/paint/sheenOfMix'
import type { Material } from '@/db/materials/mixable'

/** A paint as the colour core takes it. */
export const formulaPaint = (m: Material): FormulaPaint => ({
  ...surePaint(m),
  opacity: m.opacity!,
  contrastRatio: m.contrastRatio,
  body: m.body!,
})

/** Minor units a ml at the list price; null where none is known. */
export const perMlOf = (m: Material) =>
  m.priceMinor !== null && m.containerUl ? (1000 * m.priceMinor) / m.containerUl : null

/** Whether a paint mixes like pigment: flakes and dyes do not. */
export const mixesLikePigment = (m: Material) => !SHOWY.includes(m.sheen!)
