import { mixToXyz, type Optics } from '../colour/kubelkaMunk'
import { hexToLab, labToXyz, xyzToLab } from '../colour/lab'
import { opticsFromHex } from '../colour/paintOptics'
import { hexToSrgb, srgbToHex, toGamma, toLinear, xyzToLinear, type Triple } from '../colour/srgb'

// Taken out of the global once: inner loops run where a look-up of `Math` is not free.
const { hypot, max, min } = Math

/** A colour that was poured, as a photo is read against it. */
export interface PhotoColour {
  readonly hex: string
  /** Share of it in what was poured, 0–1. */
  readonly share: number
  readonly lab: Triple
  /** Linear light, never below zero. */
  readonly linear: Triple
}

/** Linear light of a colour, held to what a screen shows. */
export const linearOfLab = (lab: Triple): Triple => xyzToLinear(labToXyz(lab)).map((c) => min(1, max(0, c))) as Triple

/** A poured colour by its bottle's swatch. @throws Invalid for what is no colour */
export const photoColour = (hex: string, share: number): PhotoColour => ({
  hex,
  share,
  lab: hexToLab(hex),
  linear: hexToSrgb(hex).map(toLinear) as Triple,
})

/** What a pixel may show: a colour of the palette, or a mix of two or three of them, by palette index and share. */
export interface Candidate {
  readonly of: readonly (readonly [colour: number, share: number])[]
  readonly lab: Triple
}

/** Shares of the first of two in the mixtures that are looked for. */
const SHARES = [0.25, 0.5, 0.75]
/** A mixture so near to a colour of the palette is that colour, in L*a*b*. Start value of Fika. */
const LIKE_ONE = 9

const nearestOf = (lab: Triple, list: readonly PhotoColour[]) =>
  min(...list.map((c) => hypot(c.lab[0] - lab[0], c.lab[1] - lab[1], c.lab[2] - lab[2])))

const opticsOf = (c: PhotoColour): Optics => opticsFromHex(srgbToHex(c.linear.map(toGamma) as Triple), 'normal')

/** The palette and what two or three of its colours make together (Kubelka–Munk), where that differs from all of them. */
export function candidates(palette: readonly PhotoColour[]): Candidate[] {
  const optics = palette.map(opticsOf)
  const pure = palette.map((c, i): Candidate => ({ of: [[i, 1]], lab: c.lab }))
  const mixes: Candidate[] = []
  const add = (of: Candidate['of']) => {
    const lab = xyzToLab(
      mixToXyz(
        of.map(([i]) => optics[i]!),
        of.map(([, share]) => share),
      ),
    )
    if (nearestOf(lab, palette) >= LIKE_ONE) mixes.push({ of, lab })
  }
  for (let i = 0; i < palette.length; i++)
    for (let j = i + 1; j < palette.length; j++) {
      for (const s of SHARES)
        add([
          [i, s],
          [j, 1 - s],
        ])
      for (let k = j + 1; k < palette.length; k++)
        add([
          [i, 1 / 3],
          [j, 1 / 3],
          [k, 1 / 3],
        ])
    }
  return [...pure, ...mixes]
}
