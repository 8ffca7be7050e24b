import { deltaE00 } from './deltaE00'
import { hexToLab } from './lab'
import { CARDS, swatchFromPhoto, type Card } from './photoSwatch'
import { hexToSrgb, toGamma, toLinear } from './srgb'

/** A repeatable stream of numbers in 0–1. */
function stream(seed: number) {
  let s = seed
  return () => (s = (s * 1664525 + 1013904223) % 4294967296) / 4294967296
}

/** RGBA bytes of an even patch under a cast, with sensor noise and a few glints and specks. */
function patch(
  linear: readonly number[],
  cast: readonly number[],
  random: () => number,
  pixels = 900,
): Uint8ClampedArray {
  const out = new Uint8ClampedArray(pixels * 4)
  for (let p = 0; p < pixels; p++) {
    const odd = random()
    for (let k = 0; k < 3; k++) {
      const noise = (random() + random() + random() - 1.5) * 0.02
      const seen = odd < 0.02 ? 1 : odd < 0.04 ? 0.01 : toGamma(Math.min(1, linear[k]! * cast[k]!)) + noise
      out[p * 4 + k] = Math.round(Math.min(1, Math.max(0, seen)) * 255)
    }
    out[p * 4 + 3] = 255
  }
  return out
}

const linearOf = (hex: string) => hexToSrgb(hex).map(toLinear)
const CASTS = { lamp: [1, 0.72, 0.42], shade: [0.62, 0.74, 0.95], tube: [0.7, 0.92, 0.66] } as const
const SWATCHES = ['#136a78', '#b9262b', '#f4dc3a', '#3a1f57', '#ece2cb', '#8a8d8f', '#1b1b1c']

describe('a swatch from a photo', () => {
  const cases = Object.entries(CASTS).flatMap(([name, cast]) =>
    (['white', 'grey'] as const).map((kind) => [name, kind, cast] as const),
  )
  it.each(cases)('under a %s cast with a %s card is the known colour within ΔE00 2', (_, kind, cast) => {
    const random = stream(7)
    const card = patch([CARDS[kind], CARDS[kind], CARDS[kind]], cast, random)
    for (const hex of SWATCHES) {
      const found = swatchFromPhoto(card, patch(linearOf(hex), cast, random), kind)
      expect([hex, deltaE00(found.lab, hexToLab(hex)) <= 2]).toEqual([hex, true])
    }
  })
  it('says how even the patch is', () => {
    const random = stream(3)
    const card = patch([0.9, 0.9, 0.9], [0.9, 0.9, 0.9], random)
    const even = patch(linearOf('#136a78'), [1, 1, 1], random)
    const streaky = Uint8ClampedArray.from([...even, ...patch(linearOf('#5aa0b0'), [1, 1, 1], random)])
    expect(swatchFromPhoto(card, even, 'white').spread).toBeLessThan(3)
    expect(swatchFromPhoto(card, streaky, 'white').spread).toBeGreaterThan(5)
  })
  it('refuses a card that is overexposed or black, and patches of a few pixels', () => {
    const random = stream(5)
    const good = patch([0.5, 0.5, 0.5], [1, 1, 1], random)
    const of =
      (card: Uint8ClampedArray, kind: Card = 'white') =>
      () =>
        swatchFromPhoto(card, good, kind)
    expect(of(patch([1.5, 1.5, 1.5], [1, 1, 1], random))).toThrow('overexposed')
    expect(of(new Uint8ClampedArray(400))).toThrow('too dark')
    expect(of(good.slice(0, 32))).toThrow('too small')
  })
})
