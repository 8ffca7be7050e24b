import { BANDS, D65, X_BAR, Y_BAR, Z_BAR } from './observer'
import type { Triple } from './srgb'

/** Lights a piece may hang in. */
export const ILLUMINANTS = ['D65', 'A', 'LED'] as const
export type IlluminantName = (typeof ILLUMINANTS)[number]

export interface Illuminant {
  readonly name: IlluminantName
  readonly words: string
  readonly source: string
  /** Relative power, 36 bands, 380–730 nm. */
  readonly power: Float64Array
}

const wavelength = (band: number) => 380 + 10 * band
const spectrum = (power: (nm: number) => number) => Float64Array.from({ length: BANDS }, (_, i) => power(wavelength(i)))

/** Relative power of illuminant A at a wavelength: CIE 015, equation of the 2848 K radiator (c₂ = 1.435e7 nm K). */
const incandescent = (nm: number) =>
  (100 * (560 / nm) ** 5 * (Math.exp(1.435e7 / (2848 * 560)) - 1)) / (Math.exp(1.435e7 / (2848 * nm)) - 1)

/** A narrow line of an LED after Ohno, Opt. Eng. 44 (2005) 111302: (g + 2 g⁵) / 3 of a Gaussian g. */
function line(nm: number, peak: number, width: number): number {
  const g = Math.exp(-(((nm - peak) / width) ** 2))
  return (g + 2 * g ** 5) / 3
}
/** Blue chip and broad phosphor of a neutral-white LED, about 3900 K. Shape of the line: Ohno 2005; widths and shares from memory. */
const phosphorLed = (nm: number) => 100 * (1.25 * line(nm, 452, 17) + 0.93 * Math.exp(-(((nm - 582) / 72) ** 2)))

export const ILLUMINANT: Readonly<Record<IlluminantName, Illuminant>> = {
  D65: { name: 'D65', words: 'daylight', source: 'CIE 015, D65', power: D65 },
  A: { name: 'A', words: 'a warm bulb', source: 'CIE 015, illuminant A', power: spectrum(incandescent) },
  LED: {
    name: 'LED',
    words: 'a white LED',
    source: 'typical phosphor LED near 3900 K: line shape of Ohno 2005, widths from memory',
    power: spectrum(phosphorLed),
  },
}

interface Weights {
  readonly x: Float64Array
  readonly y: Float64Array
  readonly z: Float64Array
  readonly white: Triple
}

function weightsOf({ power }: Illuminant): Weights {
  const sum = (bar: Float64Array) => bar.reduce((s, b, i) => s + b * power[i]!, 0)
  const scale = 1 / sum(Y_BAR)
  const row = (bar: Float64Array) => bar.map((b, i) => b * power[i]! * scale)
  return { x: row(X_BAR), y: row(Y_BAR), z: row(Z_BAR), white: [sum(X_BAR) * scale, 1, sum(Z_BAR) * scale] }
}
const WEIGHTS = Object.fromEntries(ILLUMINANTS.map((n) => [n, weightsOf(ILLUMINANT[n])])) as Record<
  IlluminantName,
  Weights
>

/** White point of an illuminant as XYZ with Y = 1, 2° observer, from 36 bands. */
export const whitePoint = (name: IlluminantName): Triple => WEIGHTS[name].white

/** XYZ (Y of white 1) of a reflectance, 36 bands, under an illuminant; 2° observer. */
export function xyzUnder(name: IlluminantName, reflectance: ArrayLike<number>): Triple {
  const { x, y, z } = WEIGHTS[name]
  const sum: Triple = [0, 0, 0]
  for (let i = 0; i < BANDS; i++) {
    const r = reflectance[i]!
    sum[0] += r * x[i]!
    sum[1] += r * y[i]!
    sum[2] += r * z[i]!
  }
  return sum
}
