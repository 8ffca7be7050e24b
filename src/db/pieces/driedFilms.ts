import type { DriedFilm } from '@/core/learning/crackRisk'
import type { TechniqueBook } from '@/core/technique/techniques'
import { filmOf } from './finish'
import type { Piece } from './read'

/**
 * The studio's own films: what stayed of each poured piece, as it was weighed or else as its technique usually leaves,
 * and whether it cracked.
 */
export function driedFilms(pieces: readonly Piece[], techniques: TechniqueBook): DriedFilm[] {
  return pieces.flatMap((p) => {
    if (!techniques.find(p.technique) || p.fate === 'drying') return []
    return [{ wetMm: filmOf(p, techniques), waterOfPaint: 0.2, cracked: p.faults.includes('crazing') }]
  })
}
