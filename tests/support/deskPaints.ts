import type { Material } from '@/db/materials/mixable'
import { mixable } from './mixable'

/** A calibrated paint as a desk of the formulas has it. */
export const deskPaint = (id: string, hex: string, more: Partial<Material> = {}) =>
  mixable(id, {
    hex,
    sigma: 0.05,
    known: 'tint and shade',
    pigments: ['PB29'],
    priceMinor: 600,
    onHandUl: 60_000,
    ...more,
  })
export const violet = deskPaint('Plum', '#4a2a78')
export const yellow = deskPaint('Marigold', '#f2b814')
export const white = deskPaint('Chalk', '#f5f3ec')
export const teal = deskPaint('Teal', '#136a78')
