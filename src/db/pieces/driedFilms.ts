import type { DriedFilm } from '@/core/plan/crackRisk'
import { areas } from '@/core/surface/area'
import type { TechniqueBook } from '@/core/technique/techniques'
import type { Piece } from './read'

/**
 * The studio's own films: what stayed of each poured piece, as it was weighed or else as its technique usually leaves,
 * and whether it cracked.
 */
export function driedFilms(pieces: readonly Piece[], techniques: TechniqueBook): DriedFilm[] {
  return pieces.flatMap((p) => {
    const technique = techniques.find(p.technique)
    if (!technique || p.fate === 'drying') return []
    const { faceMm2, edgesMm2 } = areas(p.surface)
    const poured = p.colours.reduce((sum, c) => sum + c.ul, 0)
    const ul = p.stayedHow === null ? poured * (1 - technique.runOffShare) : p.leftUl
    return [{ wetMm: ul / (faceMm2 + edgesMm2), waterOfPaint: 0.2, cracked: p.faults.includes('crazing') }]
  })
}
