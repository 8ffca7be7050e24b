import { differenceCiede2000, lab65, type Lab65 } from 'culori'
import * as spectral from 'spectral.js'
import { deltaE00 } from '@/core/colour/deltaE00'
import { mixToLab } from '@/core/colour/mixColour'
import { opticsFromHex } from '@/core/colour/paintOptics'
import type { Triple } from '@/core/colour/srgb'
import { compare, type Figure } from './measure'

/** Hot paths of the colour core against general libraries. */
export async function colourFigures(): Promise<Figure[]> {
  const hexes = Array.from({ length: 64 }, (_, i) => `#${((i * 2654435761) % 0xffffff).toString(16).padStart(6, '0')}`)
  const theirs = hexes.map((h) => lab65(h) as Lab65)
  const ours = theirs.map((c): Triple => [c.l, c.a, c.b])
  const reference = differenceCiede2000()
  const pairs = 64 * 64 * 20
  let sink = 0
  const all = <T>(list: readonly T[], difference: (a: T, b: T) => number) => {
    for (let k = 0; k < 20; k++) for (const a of list) for (const b of list) sink += difference(a, b)
  }
  const paints = ['#f5f3ec', '#136a78', '#b9262b', '#f2b50f', '#1b1b1c', '#5c7bb0']
  const recipes = Array.from({ length: 60 }, (_, i) => ({
    which: [i % 6, (i + 1 + (i % 3)) % 6, (i + 4) % 6],
    amounts: [1, 2, 1 + (i % 5)],
  }))
  const optics = paints.map((h) => opticsFromHex(h, 'normal'))
  const colours = paints.map((h) => new spectral.Color(h))
  const mine = recipes.map((r) => ({ paints: r.which.map((w) => optics[w]!), amounts: r.amounts }))
  const other = recipes.map((r) => r.which.map((w, k): [spectral.Color, number] => [colours[w]!, r.amounts[k]!]))
  const repeats = 500
  const figures = [
    await compare(
      'rate',
      'ΔE00 against culori',
      '≥ 2',
      pairs,
      () => all(ours, deltaE00),
      () => all(theirs, reference),
    ),
    await compare(
      'rate',
      '3-paint spectral mix to Lab against spectral.js',
      '≥ 3',
      recipes.length * repeats,
      () => {
        for (let k = 0; k < repeats; k++) for (const m of mine) sink += mixToLab(m.paints, m.amounts)[0]
      },
      () => {
        for (let k = 0; k < repeats; k++) for (const m of other) sink += spectral.mix(...m).OKLab[0]!
      },
    ),
  ]
  // What was computed is used, so that nothing can be left out as idle.
  if (!Number.isFinite(sink)) throw new Error('a colour came out as no number')
  return figures
}
