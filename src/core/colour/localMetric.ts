import { chroma } from './lab'
import type { Triple } from './srgb'

/** Rows of a map from small steps of L*a*b* to steps whose length is ΔE00. */
export type Metric = readonly [Triple, Triple, Triple]

/**
 * ΔE00 near one colour as a plain distance: T such that ΔE00(lab, lab + d) ≈ ‖T d‖ for small d. The weights are
 * those of ΔE00 (Sharma et al. 2005) at the colour itself; the rotation term is folded in by its Cholesky factor.
 */
export function localMetric(lab: Triple): Metric {
  const [l, a, b] = lab
  const c7 = chroma(lab) ** 7
  const g = 0.5 * (1 - Math.sqrt(c7 / (c7 + 25 ** 7)))
  const ap = (1 + g) * a
  const c = Math.max(1e-6, Math.hypot(ap, b))
  const h = Math.atan2(b, ap)
  const degrees = ((h * 180) / Math.PI + 360) % 360
  const rad = (d: number) => (d * Math.PI) / 180
  const t =
    1 -
    0.17 * Math.cos(h - rad(30)) +
    0.24 * Math.cos(2 * h) +
    0.32 * Math.cos(3 * h + rad(6)) -
    0.2 * Math.cos(4 * h - rad(63))
  const sl = 1 + (0.015 * (l - 50) ** 2) / Math.sqrt(20 + (l - 50) ** 2)
  const sc = 1 + 0.045 * c
  const sh = 1 + 0.015 * c * t
  const turn = 30 * Math.exp(-(((degrees - 275) / 25) ** 2))
  const cp7 = c ** 7
  const rt = -2 * Math.sqrt(cp7 / (cp7 + 25 ** 7)) * Math.sin(rad(2 * turn))
  // C' and H' of a small step; at grey every direction is chroma.
  const [ux, uy] = c < 1e-3 ? [1, 0] : [ap / c, b / c]
  const dc: Triple = [0, ((1 + g) * ux) / sc, uy / sc]
  const dh: Triple = [0, (-(1 + g) * uy) / sh, ux / sh]
  // c² + h² + rt c h = (c + rt h / 2)² + (1 − rt² / 4) h².
  const rest = Math.sqrt(1 - (rt * rt) / 4)
  const along = dc.map((v, k) => v + (rt / 2) * dh[k]!) as Triple
  return [[1 / sl, 0, 0], along, dh.map((v) => rest * v) as Triple]
}

/** The length of a step in the metric, and its three parts. */
export const inMetric = (m: Metric, d: Triple): Triple => [
  m[0][0] * d[0] + m[0][1] * d[1] + m[0][2] * d[2],
  m[1][0] * d[0] + m[1][1] * d[1] + m[1][2] * d[2],
  m[2][0] * d[0] + m[2][1] * d[1] + m[2][2] * d[2],
]
