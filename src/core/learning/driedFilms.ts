import type { DriedFilm } from './crackRisk'
import type { PouredFacts } from './pouredFacts'

/** Heat from which a skin counts as forced, s; air from which it dries fast. Start values of Fika. */
const FULL_HEAT_S = 90
const DRY_AIR = 0.35

/**
 * The studio's own films: what stayed of each piece that is dry or was looked at, and whether it cracked.
 */
export function driedFilms(pieces: readonly PouredFacts[]): DriedFilm[] {
  return pieces.flatMap((p) => {
    const cracked = p.faults.includes('crazing')
    if (!cracked && p.fate === 'drying') return []
    return [
      {
        wetMm: p.wetMm,
        waterOfPaint: p.waterOfPaint,
        antiCraze: p.antiCraze,
        weakBinder: p.weakBinder,
        fastSkin: Math.min(
          1,
          Math.max((p.heatS ?? 0) / FULL_HEAT_S, Number(p.humidity !== null && p.humidity < DRY_AIR)),
        ),
        cracked,
      },
    ]
  })
}
