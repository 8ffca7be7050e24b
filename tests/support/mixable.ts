import type { Material } from '@/db/materials/mixable'

/** A material as the bench and the formulas take it: an invented soft body paint, unless `more` says otherwise. */
export const mixable = (id: string, more: Partial<Material> = {}): Material => ({
  id,
  kind: 'paint',
  name: id,
  maker: 'Torvald Works',
  body: 'soft',
  sheen: 'satin',
  hex: '#1f6f8b',
  strength: 'normal',
  opacity: 'opaque',
  contrastRatio: null,
  optics: null,
  sigma: null,
  known: null,
  pigments: [],
  densityGPerMl: 1.2,
  solids: 0.38,
  pigmentShare: 0.15,
  grade: '',
  badLot: '',
  waterShare: 0,
  priceMinor: null,
  containerUl: 60_000,
  onHandUl: null,
  flags: [],
  thinner: null,
  mediumKind: null,
  ...more,
})

/** A material that is no paint: it has neither body nor colour. */
export const colourless = (id: string, more: Partial<Material>): Material =>
  mixable(id, {
    body: null,
    sheen: null,
    hex: null,
    strength: null,
    opacity: null,
    solids: 0.3,
    pigmentShare: 0,
    ...more,
  })
