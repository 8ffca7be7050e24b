import { hexToLab } from '@/core/colour/lab'
import type { MeasuredInput } from '@/db/pieces/measuresSchema'

/** What was measured of a piece of teal and gold, as it is kept. @param looks what the two look like in this photo */
export const keptMeasures = (
  shares: readonly [number, number] = [0.75, 0.25],
  { hasCard = false, looks = ['#136a78', '#d9a441'] as readonly [string, string] } = {},
): MeasuredInput['measures'] => ({
  mmPerPx: 0.1,
  faceMm2: 10_000,
  hasCard,
  colours: ['#136a78', '#d9a441'].map((hex, i) => ({ hex, lab: hexToLab(looks[i]!), seen: shares[i]! })),
  quiet: [0.2, 0],
  cells: [{ at: [10, 20], diameterMm: 4, colour: 1, halo: null }],
  lacing: { lengthMm: 0, widthMm: 0 },
  composition: { values: [0, 0.5, 0.5, 0, 0], contrast: Array.from({ length: 9 }, () => 1 / 9) },
  lookHere: [],
  trust: { edgePx: 2, glare: 0, unexplained: 3, not: {} },
})
