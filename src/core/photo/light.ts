import type { Triple } from '../colour/srgb'
import { cholesky, solveCholesky } from '../linear/cholesky'
import { labOf, type Face } from './picture'
import { linearOfLab, type PhotoColour } from './palette'

// Taken out of the global once: inner loops run where a look-up of `Math` is not free.
const { exp, floor, hypot, log, max, min, sqrt } = Math

/** The light of a photo: what each channel is multiplied with, and a smooth shading over the face. */
export interface Light {
  /** ln of the gain of red, green and blue. */
  readonly gains: Triple
  /** ln of the shading: of x, y, x², xy and y², x and y running from −1 to 1 over the face. */
  readonly shading: readonly [number, number, number, number, number]
}

/** Shading at a place of the face, ln. */
const shadeAt = (s: Light['shading'], x: number, y: number) =>
  s[0] * x + s[1] * y + s[2] * x * x + s[3] * x * y + s[4] * y * y

/** What a pixel's linear light is multiplied with so that light and shading are gone, by rows: [red, green, blue]. */
export function lightOff(light: Light, face: Face): (x: number, y: number) => Triple {
  const [r, g, b] = light.gains.map((v) => exp(-v)) as Triple
  return (x, y) => {
    const k = exp(-shadeAt(light.shading, (2 * x) / face.width - 1, (2 * y) / face.height - 1))
    return [r * k, g * k, b * k]
  }
}

/** Light that is even and neutral. */
const NO_LIGHT: Light = { gains: [0, 0, 0], shading: [0, 0, 0, 0, 0] }

/** A pixel of the face for fitting: where it lies (−1 to 1), and its linear light. */
interface Sample {
  readonly x: number
  readonly y: number
  readonly rgb: Triple
}

/** Samples fitted, and how they are thinned for the first tries. */
const SAMPLES = 5000
const TRIED = 7
/** Linear light under which a channel says little: noise and flare. Start value of Fika. */
const DIM = 0.02
/** Distance in L*a*b* from which on a pixel counts as an outlier. Start value of Fika. */
const OUTLIER = 10
/** How far light usually is from even and neutral: σ of ln gain, of a cast between channels, and of shading. Start values of Fika. */
const USUAL = { exposure: 0.5, cast: 0.12, shading: 0.15 } as const
/** Glare is lighter than this in every channel, linear. Start value of Fika. */
export const GLARE = 0.94
/** First tries: exposures and casts, ln. */
const EXPOSURES = [-0.5, -0.25, 0, 0.25]
const CASTS: readonly Triple[] = [
  [0, 0, 0],
  [0.14, 0, -0.18],
  [-0.12, 0, 0.14],
  [0.05, -0.06, 0.05],
  [-0.04, 0.05, -0.04],
]

function samplesOf(face: Face): Sample[] {
  const step = max(1, floor(sqrt((face.width * face.height) / SAMPLES)))
  const out: Sample[] = []
  for (let y = step >> 1; y < face.height - 1; y += step)
    for (let x = step >> 1; x < face.width - 1; x += step) {
      const i = y * face.width + x
      if (!face.isFace[i]) continue
      const rgb = [0, 1, 2].map(
        (c) =>
          (face.rgb[3 * i + c]! +
            face.rgb[3 * (i + 1) + c]! +
            face.rgb[3 * (i + face.width) + c]! +
            face.rgb[3 * (i + face.width + 1) + c]!) /
          4,
      ) as Triple
      if (min(...rgb) > GLARE) continue
      out.push({ x: (2 * x) / face.width - 1, y: (2 * y) / face.height - 1, rgb })
    }
  return out
}

const FAR = Number.MAX_VALUE

/** The palette colour nearest to a pixel once the light is off, and how far it is, in L*a*b*. */
function nearest(colours: readonly PhotoColour[], lab: Triple): [number, number] {
  let [best, least] = [0, FAR]
  for (let k = 0; k < colours.length; k++) {
    const c = colours[k]!.lab
    const d = (c[0] - lab[0]) ** 2 + (c[1] - lab[1]) ** 2 + (c[2] - lab[2]) ** 2
    if (d < least) [best, least] = [k, d]
  }
  return [best, sqrt(least)]
}

const litOff = ({ gains, shading }: Light, s: Sample): Triple => {
  const k = shadeAt(shading, s.x, s.y)
  return labOf(s.rgb[0] * exp(-gains[0] - k), s.rgb[1] * exp(-gains[1] - k), s.rgb[2] * exp(-gains[2] - k))
}

/** What odd light costs, in L*a*b* of mean distance: a cast and an exposure of one σ, a colour that is missing altogether. Start values of Fika. */
const COSTS = { cast: 0.35, exposure: 0.5, missing: 12 } as const

/** How badly a light explains the samples: mean distance, what is far counted no further, and how odd the light is. */
function cost(light: Light, samples: readonly Sample[], colours: readonly PhotoColour[]): number {
  let sum = 0
  const seen = new Float64Array(colours.length)
  for (const s of samples) {
    const [k, d] = nearest(colours, litOff(light, s))
    seen[k]! += 1
    sum += min(2 * OUTLIER, d)
  }
  const mean = light.gains.reduce((a, b) => a + b, 0) / 3
  const cast = light.gains.reduce((a, v) => a + ((v - mean) / USUAL.cast) ** 2, 0)
  // A colour that was poured much and would not be seen at all speaks against it.
  const missing = colours.reduce((a, c, k) => a + max(0, c.share - seen[k]! / samples.length - 0.15), 0)
  return (
    sum / samples.length + COSTS.cast * cast + COSTS.exposure * (mean / USUAL.exposure) ** 2 + COSTS.missing * missing
  )
}

/** Weight of what is known for certain. */
const CERTAIN = 1e9

/** One round: pixels to colours, then gains and shading by weighted least squares on ln light. */
function improved(
  light: Light,
  samples: readonly Sample[],
  colours: readonly PhotoColour[],
  hasShading: boolean,
  known?: Triple,
): Light {
  const n = 8
  const a = new Float64Array(n * n)
  const b = new Float64Array(n)
  for (const s of samples) {
    const [k, d] = nearest(colours, litOff(light, s))
    const trust = 1 / (1 + (d / OUTLIER) ** 2) ** 2
    const basis = [s.x, s.y, s.x * s.x, s.x * s.y, s.y * s.y]
    for (const c of [0, 1, 2] as const) {
      const [seen, real] = [s.rgb[c], colours[k]!.linear[c]]
      const w = trust * (seen / (seen + DIM)) ** 2 * (real / (real + DIM)) ** 2
      if (w < 1e-6) continue
      const r = log(seen + 1e-4) - log(real + 1e-4)
      a[c * n + c]! += w
      b[c]! += w * r
      for (let p = 0; p < 5; p++) {
        a[(3 + p) * n + c]! += w * basis[p]!
        b[3 + p]! += w * r * basis[p]!
        for (let q = 0; q <= p; q++) a[(3 + p) * n + 3 + q]! += w * basis[p]! * basis[q]!
      }
    }
  }
  // What is usual, as a few pixels' worth of evidence.
  const weight = 0.01 * samples.length
  for (let c = 0; c < 3; c++) {
    a[c * n + c]! += weight * (0.02 / USUAL.exposure ** 2 + 0.02 / USUAL.cast ** 2)
    for (let q = 0; q < c; q++) a[c * n + q]! -= (weight * 0.01) / USUAL.cast ** 2
  }
  if (known)
    for (let c = 0; c < 3; c++) {
      a[c * n + c]! += CERTAIN
      b[c]! += CERTAIN * known[c]!
    }
  for (let p = 3; p < n; p++) a[p * n + p]! += hasShading ? weight * (0.02 / USUAL.shading ** 2) : CERTAIN
  const l = cholesky(a, n)
  if (!l) return light
  const x = solveCholesky(l, n, b)
  return { gains: [x[0]!, x[1]!, x[2]!], shading: [x[3]!, x[4]!, x[5]!, x[6]!, x[7]!] }
}

/**
 * Gains and smooth shading that best explain a face by the palette's own colours: from several first guesses by
 * alternately giving each pixel its nearest colour and fitting the light, outliers counting little.
 * @param colours palette as the bottles say, with the share of each that was poured
 * @param known gains by a card in the photo, ln; then only the shading is fitted
 */
export function findLight(face: Face, colours: readonly PhotoColour[], known?: Triple): Light {
  const all = samplesOf(face)
  if (all.length < 50 || colours.length === 0) return NO_LIGHT
  if (known) {
    let light: Light = { ...NO_LIGHT, gains: known }
    for (let i = 0; i < 8; i++) light = improved(light, all, colours, true, known)
    return light
  }
  const few = all.filter((_, i) => i % TRIED === 0)
  const tried = EXPOSURES.flatMap((e) =>
    CASTS.map((cast): Light => ({ gains: cast.map((v) => v + e) as Triple, shading: [0, 0, 0, 0, 0] })),
  ).map((first) => {
    let light = first
    for (let i = 0; i < 3; i++) light = improved(light, few, colours, i > 0)
    return { light, cost: cost(light, few, colours) }
  })
  let { light } = tried.reduce((best, t) => (t.cost < best.cost ? t : best))
  for (let i = 0; i < 6; i++) light = improved(light, all, colours, true)
  return light
}

/** Bottle's word counts as so many pixels when the place of a colour in a photo is found. Start value of Fika. */
const BOTTLE_COUNTS = 40
/** No further than this from the bottle's colour, in L*a*b*. Start value of Fika. */
const FARTHEST = 10

/** Where the palette really lies in this photo: robust means of the pixels nearest to each, held to the bottles' colours. */
export function placed(face: Face, light: Light, colours: readonly PhotoColour[]): PhotoColour[] {
  const samples = samplesOf(face).map((s) => litOff(light, s))
  let here = [...colours]
  for (let round = 0; round < 4; round++) {
    const sums = colours.map(() => [0, 0, 0, 0])
    for (const lab of samples) {
      const [k, d] = nearest(here, lab)
      const w = 1 / (1 + (d / 6) ** 2) ** 2
      const sum = sums[k]!
      sum[3]! += w
      for (const c of [0, 1, 2] as const) sum[c]! += w * lab[c]
    }
    here = colours.map((c, k) => {
      const sum = sums[k]!
      const lab = c.lab.map((v, i) => (sum[i]! + BOTTLE_COUNTS * v) / (sum[3]! + BOTTLE_COUNTS)) as Triple
      const off = hypot(...lab.map((v, i) => v - c.lab[i]!))
      const held = off > FARTHEST ? (lab.map((v, i) => c.lab[i]! + ((v - c.lab[i]!) * FARTHEST) / off) as Triple) : lab
      return colourAt(c, held)
    })
  }
  return here
}

function colourAt(c: PhotoColour, lab: Triple): PhotoColour {
  return { ...c, lab, linear: linearOfLab(lab) }
}
