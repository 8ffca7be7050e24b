import { madePhotos } from '../../../tests/support/photo/shots'
import { photograph } from '../../../tests/support/photo/photograph'
import { scene } from '../../../tests/support/photo/scene'
import { random } from '../random'
import type { Quad } from '../surface/homography'
import { asItLies, proposeCorners, turned } from './proposeCorners'

// Pixels by the million: a machine that is busy takes its time.
jest.setTimeout(120_000)

describe('corners', () => {
  it.each(madePhotos(3, 31, 800))('are proposed within a hundredth of the picture: $name', ({ wish, shot }) => {
    const photo = photograph(scene({ ...wish, pxPerMm: 3 }), shot)
    const { quad, isSure } = proposeCorners(photo)
    expect(isSure).toBe(true)
    const off = quad.map(([x, y], i) => Math.hypot(x - photo.quad[i]![0], y - photo.quad[i]![1]))
    expect(Math.max(...off)).toBeLessThan(0.012)
  })
  it('are found on a clumsy table too: a pen across it, and light that falls off', () => {
    const [made] = madePhotos(1, 5, 800)
    const photo = photograph(scene({ ...made!.wish, pxPerMm: 3 }), { ...made!.shot, slope: 0.3, vignette: 0.3 })
    // A dark pen lies along the upper rim.
    for (let x = 250; x < 420; x++)
      for (let y = 8; y < 16; y++) photo.data.fill(20, 4 * (y * 800 + x), 4 * (y * 800 + x) + 3)
    const { quad } = proposeCorners(photo)
    const off = quad.map(([x, y], i) => Math.hypot(x - photo.quad[i]![0], y - photo.quad[i]![1]))
    expect(Math.max(...off)).toBeLessThan(0.02)
  })
  it('are not claimed where no face is to be seen', () => {
    const next = random(2)
    const fur = (i: number) => 90 + 60 * next() + 40 * Math.sin(i / 97) * Math.cos(i / 5311)
    const data = Uint8ClampedArray.from({ length: 4 * 400 * 300 }, (_, i) => fur(i))
    expect(proposeCorners({ width: 400, height: 300, data }).isSure).toBe(false)
    const plain = new Uint8ClampedArray(4 * 400 * 300).fill(128)
    expect(proposeCorners({ width: 400, height: 300, data: plain })).toEqual({
      isSure: false,
      quad: [
        [0.1, 0.1],
        [0.9, 0.1],
        [0.9, 0.9],
        [0.1, 0.9],
      ],
    })
  })
  it('are put in the order in which the face lies, if its proportions say so', () => {
    const wide: Quad = [
      [0.1, 0.2],
      [0.9, 0.2],
      [0.9, 0.8],
      [0.1, 0.8],
    ]
    const picture = { width: 1000, height: 1000 }
    expect(asItLies(wide, picture, { lengthMm: 400, widthMm: 300 })).toEqual(wide)
    expect(asItLies(wide, picture, { lengthMm: 300, widthMm: 400 })).toEqual(turned(wide))
    expect(asItLies(wide, picture, { lengthMm: 300, widthMm: 300 })).toEqual(wide)
    expect(turned(turned(turned(turned(wide))))).toEqual(wide)
  })
})
