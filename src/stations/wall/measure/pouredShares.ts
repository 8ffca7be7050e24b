import type { PieceColour } from '@/db/pieces/read'
import type { PouredShare } from './MeasuresPanel'

/** What was poured on a piece, as a photo is read against it: bottles that share a swatch are one colour. */
export function pouredShares(colours: readonly PieceColour[]): PouredShare[] {
  const coloured = colours.filter((c) => c.hex !== null && c.ul > 0)
  const all = coloured.reduce((sum, c) => sum + c.ul, 0)
  const found = new Map<string, PouredShare>()
  for (const c of coloured) {
    const hex = c.hex!.toLowerCase()
    const old = found.get(hex)
    found.set(hex, {
      hex,
      label: old ? `${old.label}, ${c.label}` : c.label,
      share: (old?.share ?? 0) + c.ul / all,
    })
  }
  return [...found.values()]
}
