import type { PhotoMeasures } from '@/core/photo/measurePhoto'
import type { Scene } from './scene'

/** How a measured photo compares with what is known of it. */
export interface Scored {
  /** Total variation between shares seen and true, and the worst colour. */
  readonly variation: number
  readonly worst: number
  readonly cells?: {
    readonly precision: number
    readonly recall: number
    readonly count: number
    readonly diameter: number
  }
  readonly lacing?: { readonly length: number; readonly width: number }
  /** m of lacing per dm² that was found where there is none. */
  readonly invented?: number
  /** Difference of the quiet share to the truth's own, 0–1. */
  readonly quiet: number
}

const median = (list: readonly number[]) => [...list].sort((a, b) => a - b)[list.length >> 1] ?? NaN

export function scored(s: Scene, m: PhotoMeasures, trueQuiet: number): Scored {
  const off = s.shares.map((t, i) => Math.abs(t - m.colours[i]!.seen))
  const used = new Set<number>()
  const hits = m.cells.filter((c) => {
    const k = s.cells.findIndex(
      (t, j) =>
        !used.has(j) &&
        Math.hypot(t.at[0] - c.at[0], t.at[1] - c.at[1]) < Math.max(1, t.diameterMm / 3) &&
        c.diameterMm / t.diameterMm > 0.6 &&
        c.diameterMm / t.diameterMm < 1.7,
    )
    if (k >= 0) used.add(k)
    return k >= 0
  })
  return {
    variation: off.reduce((a, b) => a + b, 0) / 2,
    worst: Math.max(...off),
    ...(s.cells.length >= 5
      ? {
          cells: {
            precision: hits.length / Math.max(1, m.cells.length),
            recall: hits.length / s.cells.length,
            count: m.cells.length / s.cells.length,
            diameter: median(hits.map((c) => c.diameterMm)) / median([...used].map((j) => s.cells[j]!.diameterMm)),
          },
        }
      : {}),
    ...(s.lacing.lengthMm > 100
      ? { lacing: { length: m.lacing.lengthMm / s.lacing.lengthMm, width: m.lacing.widthMm / s.lacing.widthMm } }
      : s.lacing.lengthMm === 0
        ? { invented: m.lacing.lengthMm / 1000 / (m.faceMm2 / 10_000) }
        : {}),
    quiet: Math.abs(m.quiet.reduce((a, b) => a + b, 0) - trueQuiet),
  }
}
