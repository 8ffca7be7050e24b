import type { PairVerdict } from './pairVerdicts'
import type { Sheen } from '../paint/properties'
import { anyFlakes } from '../paint/sheenOfMix'
import type { Optics } from './kubelkaMunk'
import { pairMix, type PairMix } from './mud'
import { isWhite } from './paintOptics'
import { isPink } from './pink'
import type { Triple } from './srgb'

/** A colour on the palette: a paint, a bottle or a formula. */
export interface PaletteColour {
  readonly id: string
  readonly optics: Optics
  readonly lab: Triple
  readonly sheen: Sheen
}

/** The maker's own word on a pair. */
export interface PairWord {
  readonly aId: string
  readonly bId: string
  readonly verdict: PairVerdict
}

export interface Pair {
  readonly a: number
  readonly b: number
  readonly mix: PairMix
  /** What the maker said, which outranks the rest. */
  readonly word: PairWord['verdict'] | undefined
  readonly verdict: 'apart' | 'fine'
  readonly why: 'said' | 'mud' | 'tints' | undefined
  /** Index of the colour of the palette that best goes between two that should not touch. */
  readonly buffer: number | undefined
}

/** Whether white beside this colour goes pink, by the mix of the two itself. Flakes tint nothing. */
function tints(a: PaletteColour, b: PaletteColour, mix: PairMix): boolean {
  return !anyFlakes(a, b) && isWhite(a.lab) !== isWhite(b.lab) && isPink(mix.lab)
}

/** Every pair of a palette: what it turns into, whether to keep it apart, and what to put between. */
export function checkPairs(palette: readonly PaletteColour[], words: readonly PairWord[]): Pair[] {
  const judged: Pair[] = []
  for (let a = 0; a < palette.length; a++)
    for (let b = a + 1; b < palette.length; b++) judged.push(judge(palette, words, a, b))
  return judged.map((p) => (p.verdict === 'apart' ? { ...p, buffer: bufferOf(palette, judged, p) } : p))
}

function judge(palette: readonly PaletteColour[], words: readonly PairWord[], a: number, b: number): Pair {
  const [one, two] = [palette[a]!, palette[b]!]
  const mix = pairMix(one, two)
  const word = words.find(
    (w) => (w.aId === one.id && w.bId === two.id) || (w.aId === two.id && w.bId === one.id),
  )?.verdict
  const why =
    word === 'never' ? 'said' : word ? undefined : mix.muddy ? 'mud' : tints(one, two, mix) ? 'tints' : undefined
  return { a, b, mix, word, verdict: why ? 'apart' : 'fine', why, buffer: undefined }
}

/** A colour that may touch both: whites and flakes first, then what keeps most chroma with either. */
function bufferOf(palette: readonly PaletteColour[], pairs: readonly Pair[], { a, b }: Pair): number | undefined {
  const pairOf = (x: number, y: number) => pairs.find((p) => p.a === Math.min(x, y) && p.b === Math.max(x, y))!
  const ranked = palette.flatMap((colour, i) => {
    if (i === a || i === b) return []
    const [left, right] = [pairOf(i, a), pairOf(i, b)]
    if (left.verdict === 'apart' || right.verdict === 'apart') return []
    const usual = isWhite(colour.lab) || anyFlakes(colour) ? 1 : 0
    return [{ i, score: usual + Math.min(1, left.mix.chromaKept) + Math.min(1, right.mix.chromaKept) }]
  })
  return ranked.sort((x, y) => y.score - x.score)[0]?.i
}

export interface ValueLadder {
  /** Indices from light to dark. */
  readonly order: readonly number[]
  /** The widest step of lightness between neighbours: between `order[after]` and the next. */
  readonly widest: { readonly after: number; readonly step: number } | undefined
  /** Whether a light stands among darks, which is what makes lacing seen (common practice, no published source; L* 70 and 50 are start values of Fika). */
  readonly lacingShows: boolean
}

/** The palette by lightness L*. */
export function valueLadder(palette: readonly PaletteColour[]): ValueLadder {
  const order = palette.map((_, i) => i).sort((x, y) => palette[y]!.lab[0] - palette[x]!.lab[0])
  const steps = order.slice(1).map((i, k) => palette[order[k]!]!.lab[0] - palette[i]!.lab[0])
  const after = steps.indexOf(Math.max(...steps))
  const lightness = palette.map((p) => p.lab[0])
  return {
    order,
    widest: steps.length ? { after, step: steps[after]! } : undefined,
    lacingShows: lightness.some((l) => l >= 70) && lightness.some((l) => l <= 50),
  }
}
