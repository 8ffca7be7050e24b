import { cholesky, invertSymmetric, solveCholesky, solveLower } from '../linear/cholesky'
import type { Strength } from '../paint/properties'
import { deltaE00 } from './deltaE00'
import { layerByK, layerReflectance, type Optics } from './kubelkaMunk'
import { xyzToLab } from './lab'
import { inMetric, localMetric } from './localMetric'
import { BANDS, W_X, W_Y, W_Z } from './observer'
import { isWhite, opticsFromMasstone } from './paintOptics'
import { reflectanceToXyz, type Reflectance } from './reflectance'
import { steadied, type SpectrumFrom } from './steadied'
import type { Triple } from './srgb'

// Taken out of the global once: inner loops run where a look-up of `Math` is not free.
const { sqrt, exp, hypot, abs, max } = Math

/** A colour somebody mixed and measured: what went in by volume, and what it looks like dry and hiding. */
export interface MeasuredMix {
  readonly parts: readonly { readonly paintId: string; readonly share: number }[]
  readonly reflectance: Reflectance
  readonly from: SpectrumFrom
  /** Set where the white or the black of it is not known and a standard one stands for it. */
  readonly assumed?: boolean
}

/** A paint to be calibrated. */
export interface PaintToCalibrate {
  readonly id: string
  readonly masstone: Reflectance
  readonly lab: Triple
  readonly strength: Strength
  readonly from: SpectrumFrom
}

export interface Calibrated {
  readonly optics: Optics
  /**
   * How sure its action in mixes is: standard deviation of the logarithm of its strength, everything uncertain about
   * it taken together (0.1: about ± 10 %).
   */
  readonly sigma: number
  /** Measured mixes that speak of it, its masstone not counted. */
  readonly mixes: number
  /** Mean ΔE00 of those mixes as measured and as computed; null without any. */
  readonly fit: number | null
}

/** Noise of a band as measured, standard deviation: absolute and relative. Reader: its usual noise; hex: shape unknown. */
const NOISE = { reading: { absolute: 0.002, relative: 0.008 }, hex: { absolute: 0.008, relative: 0.05 } } as const
/** What an assumed white or black adds to the uncertainty of a paint known by such mixes alone. Start value of Fika. */
const ASSUMED_SIGMA = 0.08
/** Prior of ln S about the estimate by strength class: common scale, and shape over wavelength. From trials. */
const SCALE_SIGMA = 0.7
const SHAPE_SIGMA = 0.45
const SHAPE_NM = 70
/** Prior of ln K/S about its own mean: only smoothness, for bands too dark to be read. */
const RATIO_SIGMA = 3
const RATIO_NM = 90
/** Beyond this many standard deviations a band counts less (Huber 1964). */
const HUBER = 1.5
const ROUNDS = 25
const N = 2 * BANDS

/** Precision of a smooth function of the wavelength: a common offset, and a shape that forgets itself over `nm`. */
function smoothPrecision(common: number, shape: number, nm: number): Float64Array {
  const covariance = new Float64Array(BANDS * BANDS)
  for (let i = 0; i < BANDS; i++)
    for (let j = 0; j < BANDS; j++)
      covariance[i * BANDS + j] =
        common ** 2 + shape ** 2 * exp(-((10 * (i - j)) ** 2) / (2 * nm * nm)) + (i === j ? 1e-3 * shape ** 2 : 0)
  return invertSymmetric(covariance, BANDS)
}
const SCATTER_PRECISION = smoothPrecision(SCALE_SIGMA, SHAPE_SIGMA, SHAPE_NM)
const RATIO_PRECISION = smoothPrecision(10, RATIO_SIGMA, RATIO_NM)

/** A measured mix seen from one of its paints: that paint's share, and what all the others bring. */
interface Seen {
  readonly share: number
  readonly restK: Float64Array
  readonly restS: Float64Array
  readonly reflectance: Reflectance
  readonly from: SpectrumFrom
}

/** Unknowns of one paint: ln K/S in 36 bands, then ln S in 36. */
interface Fit {
  readonly x: Float64Array
  /** Cholesky factor of the posterior precision. */
  readonly factor: Float64Array
}

/** Adds what one mix says to the normal equations; returns its share of the robust sum of squares. */
function addMix(x: Float64Array, seen: Seen, a: Float64Array | undefined, g: Float64Array): number {
  const { absolute, relative } = NOISE[seen.from]
  let cost = 0
  for (let i = 0; i < BANDS; i++) {
    const s = exp(x[BANDS + i]!)
    const k = s * exp(x[i]!)
    const kMix = seen.share * k + seen.restK[i]!
    const sMix = seen.share * s + seen.restS[i]!
    const measured = seen.reflectance[i]!
    const r = layerReflectance(kMix, sMix)
    const sigma = hypot(absolute, relative * measured)
    const off = (r - measured) / sigma
    const weight = abs(off) <= HUBER ? 1 : HUBER / abs(off)
    cost += abs(off) <= HUBER ? off * off : HUBER * (2 * abs(off) - HUBER)
    if (!a) continue
    const byK = layerByK(kMix, sMix)
    const byS = (-byK * kMix) / sMix
    const du = (byK * seen.share * k) / sigma
    const dv = (byK * seen.share * k + byS * seen.share * s) / sigma
    a[i * N + i]! += weight * du * du
    a[(BANDS + i) * N + i]! += weight * du * dv
    a[(BANDS + i) * N + BANDS + i]! += weight * dv * dv
    g[i]! += weight * du * off
    g[BANDS + i]! += weight * dv * off
  }
  return cost
}

/** Adds the prior of ln K/S and ln S; returns its share of the sum of squares. */
function addPrior(x: Float64Array, mean: Float64Array, a: Float64Array | undefined, g: Float64Array): number {
  let cost = 0
  for (const [from, precision] of [
    [0, RATIO_PRECISION],
    [BANDS, SCATTER_PRECISION],
  ] as const)
    for (let i = 0; i < BANDS; i++) {
      let pull = 0
      for (let j = 0; j < BANDS; j++) {
        const p = precision[i * BANDS + j]!
        pull += p * (x[from + j]! - mean[from + j]!)
        if (a && j <= i) a[(from + i) * N + from + j]! += p
      }
      g[from + i]! += pull
      cost += pull * (x[from + i]! - mean[from + i]!)
    }
  return cost
}

/** Gauss–Newton with Marquardt's damping on one paint, all others held. */
function fitPaint(mean: Float64Array, start: Float64Array, mixes: readonly Seen[]): Fit {
  let x = start
  const scratch = new Float64Array(N)
  const costOf = (at: Float64Array) =>
    addPrior(at, mean, undefined, scratch) + mixes.reduce((sum, m) => sum + addMix(at, m, undefined, scratch), 0)
  let cost = costOf(x)
  let damping = 1e-3
  const normal = () => {
    const [a, g] = [new Float64Array(N * N), new Float64Array(N)]
    addPrior(x, mean, a, g)
    for (const m of mixes) addMix(x, m, a, g)
    return { a, g }
  }
  for (let round = 0; round < ROUNDS; round++) {
    const { a, g } = normal()
    let better = false
    for (let attempt = 0; attempt < 8 && !better; attempt++) {
      const damped = a.slice()
      for (let i = 0; i < N; i++) damped[i * N + i]! *= 1 + damping
      const factor = cholesky(damped, N)
      if (factor) {
        const step = solveCholesky(factor, N, g)
        // Far steps leave the region where the tangent is any guide.
        const longest = step.reduce((m, v) => max(m, abs(v)), 0)
        const next = x.map((v, i) => v - step[i]! * Math.min(1, 2 / longest))
        const nextCost = costOf(next)
        if (nextCost < cost) {
          better = cost - nextCost > 1e-7 * cost
          x = next
          cost = nextCost
          damping = max(1e-9, damping / 10)
          if (!better) break
          continue
        }
      }
      damping *= 10
    }
    if (!better) break
  }
  return { x, factor: cholesky(normal().a, N)! }
}

const opticsOf = (x: Float64Array): Optics => {
  const s = x.slice(BANDS).map((v) => exp(v))
  return { k: s.map((v, i) => v * exp(x[i]!)), s }
}

/** Mixes by which a paint's sureness is judged: share of the paint, and what the rest is. */
const TYPICAL = [
  { share: 0.1, k: 0.002, s: 1 },
  { share: 0.5, k: 0.002, s: 1 },
  { share: 0.5, k: 0.3, s: 0.5 },
] as const

/** Neighbouring bands err together, where the fit takes each band as its own: by how much more the variance is. From trials. */
const TOGETHER = 7
/** What was poured into a test mix is known to about this share. From trials. */
const SHARE_ERROR = 0.06

/** Standard deviation of the logarithm of the strength that stands for all that is uncertain of a fitted paint. */
function sigmaOf({ x, factor }: Fit, mixes: readonly MeasuredMix[]): number {
  const { k, s } = opticsOf(x)
  let [uncertain, sensitive] = [0, 0]
  for (const typical of TYPICAL) {
    const rows = [W_X, W_Y, W_Z].map(() => new Float64Array(N))
    const byAmount: Triple = [0, 0, 0]
    const xyz: Triple = [0, 0, 0]
    for (let i = 0; i < BANDS; i++) {
      const kMix = typical.share * k[i]! + (1 - typical.share) * typical.k
      const sMix = typical.share * s[i]! + (1 - typical.share) * typical.s
      const byK = layerByK(kMix, sMix)
      const u = byK * typical.share * k[i]!
      const v = u - (byK * kMix * typical.share * s[i]!) / sMix
      const r = layerReflectance(kMix, sMix)
      ;[W_X, W_Y, W_Z].forEach((w, c) => {
        rows[c]![i] = w[i]! * u
        rows[c]![BANDS + i] = w[i]! * v
        byAmount[c]! += w[i]! * v
        xyz[c]! += w[i]! * r
      })
    }
    const { byXyz } = labGradient(xyz)
    const steps = byXyz.map((row) =>
      Float64Array.from({ length: N }, (_, i) => row.reduce((sum, m, c) => sum + m * rows[c]![i]!, 0)),
    )
    uncertain += steps.reduce((sum, row) => sum + solveLower(factor, N, row).reduce((t, v) => t + v * v, 0), 0)
    sensitive += byXyz.reduce((sum, row) => sum + row.reduce((t, m, c) => t + m * byAmount[c]!, 0) ** 2, 0)
  }
  const assumed = mixes.every((m) => m.assumed) ? ASSUMED_SIGMA : 0
  return sqrt((TOGETHER * uncertain) / sensitive + SHARE_ERROR ** 2 / mixes.length + assumed ** 2)
}

/** L*a*b* of an XYZ and the rows of d(ΔE00 units)/dXYZ there, by central differences. */
export function labGradient(xyz: Triple): { lab: Triple; byXyz: readonly [Triple, Triple, Triple] } {
  const lab = xyzToLab(xyz)
  const metric = localMetric(lab)
  const columns = [0, 1, 2].map((c) => {
    const h = max(1e-7, 1e-4 * xyz[c]!)
    const at = (d: number) => xyzToLab(xyz.map((v, k) => (k === c ? v + d : v)) as Triple)
    const [up, down] = [at(h), at(-h)]
    return inMetric(metric, up.map((v, k) => (v - down[k]!) / (2 * h)) as Triple)
  })
  const byXyz = [0, 1, 2].map((r) => columns.map((col) => col[r]!)) as unknown as readonly [Triple, Triple, Triple]
  return { lab, byXyz }
}

/** The estimate a fit starts from: masstone and strength class. */
function priorOf(p: PaintToCalibrate): Float64Array {
  const { k, s } = opticsFromMasstone(p.masstone, p.lab, p.strength, p.from)
  const scatter = s.reduce((sum, v) => sum + Math.log(v), 0) / BANDS
  return Float64Array.from({ length: N }, (_, i) => (i < BANDS ? Math.log(max(1e-6, k[i]! / s[i]!)) : scatter))
}

/**
 * K and S of paints from their masstones and from measured mixes of them: robust non-linear least squares with a
 * smooth prior about the estimate by strength class; each paint in turn, the others held, until all agree. Whites
 * define the scale (S = 1) and are taken from their masstones.
 * @param held optics of paints that appear in the mixes and are not to be fitted
 */
export function calibrate(
  asKept: readonly PaintToCalibrate[],
  asMeasured: readonly MeasuredMix[],
  held: ReadonlyMap<string, Optics> = new Map(),
): Map<string, Calibrated> {
  const paints = asKept.map((p) => ({ ...p, masstone: steadied(p.masstone, p.from) }))
  const mixes = asMeasured.map((m) => ({ ...m, reflectance: steadied(m.reflectance, m.from) }))
  const now = new Map(held)
  for (const p of paints) now.set(p.id, opticsFromMasstone(p.masstone, p.lab, p.strength, p.from))
  const usable = mixes.filter((m) => m.parts.every((p) => now.has(p.paintId)))
  const mixesOf = new Map(
    paints.map((p) => [p.id, usable.filter((m) => m.parts.some((x) => x.paintId === p.id && x.share > 0))] as const),
  )
  const toFit = paints.filter((p) => mixesOf.get(p.id)!.length > 0 && !isWhite(p.lab))
  const fits = new Map<string, Fit>()
  // Whose mixes hold fewest unknown paints comes first, so that the next ones can lean on it.
  const unknown = (p: PaintToCalibrate) =>
    Math.min(...mixesOf.get(p.id)!.map((m) => m.parts.filter((x) => toFit.some((t) => t.id === x.paintId)).length))
  const order = [...toFit].sort((a, b) => unknown(a) - unknown(b))
  const sweeps = order.some(
    (p) =>
      unknown(p) > 1 ||
      mixesOf.get(p.id)!.some((m) => m.parts.filter((x) => toFit.some((t) => t.id === x.paintId)).length > 1),
  )
    ? 6
    : 1
  for (let sweep = 0; sweep < sweeps; sweep++)
    for (const p of order) {
      const prior = priorOf(p)
      const pure: Seen = {
        share: 1,
        restK: new Float64Array(BANDS),
        restS: new Float64Array(BANDS),
        reflectance: p.masstone,
        from: p.from,
      }
      const seen = [pure, ...mixesOf.get(p.id)!.map((m) => seenFrom(p.id, m, now))]
      const fit = fitPaint(prior, fits.get(p.id)?.x ?? prior, seen)
      fits.set(p.id, fit)
      now.set(p.id, opticsOf(fit.x))
    }
  return new Map(
    paints.map((p) => {
      const own = mixesOf.get(p.id)!
      const fit = fits.get(p.id)
      return [
        p.id,
        {
          optics: now.get(p.id)!,
          sigma: isWhite(p.lab) ? WHITE_SIGMA : fit ? sigmaOf(fit, own) : MASSTONE_SIGMA,
          mixes: own.length,
          fit: fit ? meanMiss(own, now) : null,
        },
      ]
    }),
  )
}

/** A white defines the scale; what differs between whites is small. From trials. */
export const WHITE_SIGMA = 0.1
/** The spread of paints within a strength class. From trials. */
export const MASSTONE_SIGMA = 0.75

function seenFrom(id: string, mix: MeasuredMix, now: ReadonlyMap<string, Optics>): Seen {
  const [restK, restS] = [new Float64Array(BANDS), new Float64Array(BANDS)]
  let share = 0
  for (const part of mix.parts) {
    if (part.paintId === id) share += part.share
    else {
      const { k, s } = now.get(part.paintId)!
      for (let i = 0; i < BANDS; i++) {
        restK[i]! += part.share * k[i]!
        restS[i]! += part.share * s[i]!
      }
    }
  }
  return { share, restK, restS, reflectance: mix.reflectance, from: mix.from }
}

function meanMiss(mixes: readonly MeasuredMix[], now: ReadonlyMap<string, Optics>): number {
  const misses = mixes.map((m) => {
    const all = seenFrom('', m, now)
    const predicted = all.restK.map((k, i) => layerReflectance(k, all.restS[i]!))
    return deltaE00(xyzToLab(reflectanceToXyz(predicted)), xyzToLab(reflectanceToXyz(m.reflectance)))
  })
  return misses.reduce((a, b) => a + b, 0) / misses.length
}
