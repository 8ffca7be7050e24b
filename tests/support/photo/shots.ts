import { random } from '@/core/random'
import type { Shot } from './photograph'
import type { SceneWish } from './scene'

/** Palettes of the made-up studio, as its bottles' swatches. */
const PALETTES = [
  ['#f2efe6', '#1d4f73', '#d9a441', '#1b1b1f'],
  ['#efe9dc', '#7a2f3d', '#3b7f78', '#e0b7a0', '#232a35'],
  ['#15171c', '#c9d3d6', '#b4472c', '#2f6f9f'],
  ['#f4f1ea', '#5a3f7d', '#88b04b', '#f0c94a'],
  ['#e9e4d8', '#20605a', '#c7573a', '#27324a', '#d8c28a', '#8a8f94'],
  ['#21304f', '#e8e3d5', '#4fa3a5', '#c98a2b'],
  ['#f0ede4', '#9a3324', '#2b2b2d'],
]

/** A made-up photo: what lies there, and how it is taken. */
export interface Made {
  readonly name: string
  readonly wish: SceneWish
  readonly shot: Shot
}

/** So many made-up phone photos of pours, of every kind in turn. */
export function madePhotos(count: number, seed: number, widthPx = 1600): Made[] {
  const next = random(seed)
  for (let i = 0; i < 10; i++) next()
  const between = (a: number, b: number) => a + (b - a) * next()
  return Array.from({ length: count }, (_, i): Made => {
    const palette = PALETTES[i % PALETTES.length]!
    const kind = i % 4
    const lengthMm = [200, 240, 300, 180][Math.floor(next() * 4)]!
    const widthMm = Math.round(lengthMm * between(0.65, 0.8))
    const hasMud = i % 5 === 3
    const wish: SceneWish = {
      seed: 1000 * seed + i,
      lengthMm,
      widthMm,
      palette,
      bandMm: between(14, 30),
      ...(i % 3 === 2 ? { softMm: between(1, 4) } : {}),
      ...(kind === 0 || kind === 2
        ? { cells: { everyMm: between(11, 18), fromMm: between(2.5, 4), toMm: between(9, 20), withHalo: i % 3 !== 1 } }
        : {}),
      ...(kind === 1 || kind === 2
        ? { lacing: { everyMm: between(9, 16), widthMm: between(0.8, 1.3), colour: i % palette.length } }
        : {}),
      ...(hasMud ? { mud: [[1, 2]] as const } : {}),
    }
    const warm = between(-0.12, 0.12)
    const exposure = between(-0.3, 0)
    const shot: Shot = {
      seed: 7000 * seed + i,
      width: widthPx,
      height: Math.round(0.75 * widthPx),
      slant: between(0.01, 0.06),
      cast: [exposure + warm, exposure + between(-0.03, 0.03), exposure - warm],
      vignette: between(0, 0.18),
      slope: between(0, 0.15),
      blurPx: (between(0.4, 1.2) * widthPx) / 1600,
      noise: between(1, 4),
      offBottle: between(0, 0.15),
      tone: between(0, 0.12),
      glare: i % 6 === 5 ? 0.06 : 0,
    }
    return {
      name: `${['cells', 'lacing', 'cells and lacing', 'bands'][kind]}${hasMud ? ' with mud' : ''} ${i}`,
      wish,
      shot,
    }
  })
}
