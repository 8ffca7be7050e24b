import type { PaintToCalibrate } from '@/core/colour/calibrate'
import { mixReflectance, type Optics } from '@/core/colour/kubelkaMunk'
import { xyzToLab } from '@/core/colour/lab'
import { BANDS } from '@/core/colour/observer'
import { reflectanceToXyz, type Reflectance } from '@/core/colour/reflectance'
import type { Strength } from '@/core/paint/properties'
import { gaussian } from './random'

/** A paint that obeys the theory, with everything known of it. */
export interface Pigment {
  readonly id: string
  readonly optics: Optics
  readonly strength: Strength
}

const STRENGTH: readonly (readonly [Strength, number])[] = [
  ['weak', 5],
  ['normal', 10],
  ['strong', 20],
  ['very strong', 50],
]

/** A white: scatters 1, absorbs next to nothing but in the violet. */
export const WHITE: Pigment = {
  id: 'white',
  strength: 'normal',
  optics: {
    k: Float64Array.from({ length: BANDS }, (_, i) => 0.002 + 0.4 * Math.exp(-(((i * 10) / 18) ** 2))),
    s: new Float64Array(BANDS).fill(1),
  },
}
export const BLACK: Pigment = {
  id: 'black',
  strength: 'strong',
  optics: { k: new Float64Array(BANDS).fill(20), s: new Float64Array(BANDS).fill(0.15) },
}

/** Invented pigments: one or two absorption bands, scattering that drifts over the wavelength, strength by class ± 35 %. */
export function inventPigments(count: number, next: () => number): Pigment[] {
  return Array.from({ length: count }, (_, n) => {
    const [strength, peak] = STRENGTH[Math.floor(next() * 4)]!
    const centre = 380 + 330 * ((n + next()) / count)
    const width = 35 + 70 * next()
    const second = next() < 0.4 ? { at: 380 + 330 * next(), wide: 30 + 40 * next(), high: 0.1 + 0.5 * next() } : null
    const floor = 0.002 + 0.02 * next()
    const shape = Float64Array.from({ length: BANDS }, (_, i) => {
      const nm = 380 + 10 * i
      const bump = (at: number, wide: number) => 1 / (1 + ((nm - at) / wide) ** 4)
      return floor + bump(centre, width) + (second ? second.high * bump(second.at, second.wide) : 0)
    })
    const most = Math.max(...shape)
    const strong = peak * Math.exp(0.35 * gaussian(next))
    const [level, tilt, wave] = [0.35 * Math.exp(0.7 * gaussian(next)), 0.6 * gaussian(next), 0.15 * gaussian(next)]
    const s = Float64Array.from({ length: BANDS }, (_, i) => {
      const t = i / (BANDS - 1) - 0.5
      return level * Math.exp(tilt * t + wave * Math.sin(6 * t))
    })
    return { id: `p${n}`, strength, optics: { k: shape.map((v) => (v / most) * strong), s } }
  })
}

/** Pigments of another make: Gaussian bands, as many as three, scattering that falls with a power of the wavelength. */
export function inventOtherPigments(count: number, next: () => number): Pigment[] {
  return Array.from({ length: count }, (_, n) => {
    const [strength, peak] = STRENGTH[Math.floor(next() * 4)]!
    const bands = Array.from({ length: 1 + Math.floor(next() * 3) }, (_x, b) => ({
      at: 390 + 320 * (b ? next() : (n + next()) / count),
      wide: 30 + 60 * next(),
      high: b ? 0.2 + 0.6 * next() : 1,
    }))
    const floor = 0.001 + 0.01 * next()
    const shape = Float64Array.from({ length: BANDS }, (_x, i) =>
      bands.reduce((sum, { at, wide, high }) => sum + high * Math.exp(-0.5 * ((380 + 10 * i - at) / wide) ** 2), floor),
    )
    const most = Math.max(...shape)
    const [strong, level, power] = [peak * (0.7 + 0.7 * next()), 0.15 + 0.6 * next(), 2.5 * next()]
    return {
      id: `o${n}`,
      strength,
      optics: {
        k: shape.map((v) => (v / most) * strong),
        s: Float64Array.from({ length: BANDS }, (_x, i) => level * ((380 + 10 * i) / 550) ** -power),
      },
    }
  })
}

export const labOf = (r: Reflectance) => xyzToLab(reflectanceToXyz(r))

/** A mix as a reader would see it: noise of each band, and a drift of all. */
export function readMix(
  paints: readonly Pigment[],
  amounts: readonly number[],
  next?: () => number,
  noise = 1,
): Reflectance {
  const r = mixReflectance(
    paints.map((p) => p.optics),
    amounts,
  )
  if (!next) return r
  const drift = 1 + 0.004 * noise * gaussian(next)
  return r.map((v) => Math.max(1e-4, v * drift + noise * (0.0015 + 0.004 * v) * gaussian(next)))
}

/** A pigment as the studio first knows it: by its masstone, as read, and its strength class. */
export function asPaint(p: Pigment, next?: () => number, strength: Strength = p.strength, noise = 1): PaintToCalibrate {
  const masstone = readMix([p], [1], next, noise)
  return { id: p.id, masstone, lab: labOf(masstone), strength, from: 'reading' }
}
