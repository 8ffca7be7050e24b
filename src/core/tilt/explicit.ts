import { G, type Film, type Slope } from './film'

/**
 * The same film by the plainest scheme there is, heights alone: both directions at once, explicit, as long a step as it
 * stands. The reference that the implicit one is held against; it is some twenty times slower and never runs in the app.
 * @param most seconds at most
 * @returns the seconds it went on by
 */
export function explicitStep(film: Film, { sx, sy }: Slope, most: number, nu = nuOf(film)): number {
  const { board, h } = film
  const { nx, ny, cellMm, inside } = board
  const cos = Math.sqrt(1 - sx * sx - sy * sy)
  const g = G / 3 / nu
  let highest = 0
  for (const x of h) highest = Math.max(highest, x)
  // Diffusion and advection limits of an upstream scheme.
  const spread = g * highest ** 3 * cos
  const speed = 3 * g * highest ** 2 * Math.max(Math.abs(sx), Math.abs(sy))
  const dt = Math.min(most, 0.2 / ((2 * spread) / cellMm ** 2 + speed / cellMm + 1e-12))
  const change = new Float64Array(nx * ny)
  const rate = dt / cellMm
  const face = (k: number, other: number, slope: number) => {
    const drive = slope - (cos * (h[other]! - h[k]!)) / cellMm
    const moved = rate * g * h[drive >= 0 ? k : other]! ** 3 * drive
    change[k]! -= moved
    change[other]! += moved
  }
  const { lipMm, holdDeg } = film.edge
  const hold = Math.sin((holdDeg * Math.PI) / 180)
  const over = (k: number, outward: number, side: number) => {
    const slope = outward > 0 && outward <= hold ? 0 : outward
    const drive = Math.max(0, slope + (2 * cos * Math.max(0, h[k]! - lipMm)) / cellMm)
    const lost = rate * g * h[k]! ** 3 * drive
    change[k]! -= lost
    film.off[side]! += lost * cellMm ** 2
  }
  for (let j = 0; j < ny; j++)
    for (let i = 0; i < nx; i++) {
      const k = j * nx + i
      if (!inside[k]) continue
      if (i + 1 < nx && inside[k + 1]) face(k, k + 1, sx)
      else over(k, sx, 1)
      if (i === 0 || !inside[k - 1]) over(k, -sx, 0)
      if (j + 1 < ny && inside[k + nx]) face(k, k + nx, sy)
      else over(k, sy, 3)
      if (j === 0 || !inside[k - nx]) over(k, -sy, 2)
    }
  for (let k = 0; k < h.length; k++) h[k]! += change[k]!
  return dt
}

/** The viscosity of a film of one paint. */
const nuOf = (film: Film) => film.nus[0]!
