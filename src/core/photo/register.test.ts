import { photograph } from '../../../tests/support/photo/photograph'
import { scene } from '../../../tests/support/photo/scene'
import { madePhotos } from '../../../tests/support/photo/shots'
import { inverted, mapped, squareToQuad, WHOLE, type Quad } from '../surface/homography'
import { rectify } from './rectify'
import { register } from './register'

// Pixels by the million: a machine that is busy takes its time.
jest.setTimeout(120_000)

describe('two photos of one piece', () => {
  it.each(madePhotos(2, 9, 600))('are laid over each other within a hundredth: $name', ({ wish, shot }) => {
    const lying = scene({ ...wish, pxPerMm: 3 })
    const wet = photograph(lying, shot)
    // Dry: another light, darker, other noise; and the corners were put a little off by a hand.
    const dry = photograph(lying, { ...shot, seed: shot.seed + 1, cast: [-0.25, -0.3, -0.35], blurPx: 0.8 })
    const off: Quad = dry.quad.map(([x, y], i) => [
      x + [0.012, -0.01, 0.006, 0.012][i]!,
      y + [0.008, 0.011, -0.008, 0.004][i]!,
    ]) as unknown as Quad
    const shape = { shape: 'rectangle' as const, lengthMm: wish.lengthMm, widthMm: wish.widthMm }
    const { map, likeness } = register(rectify(wet, wet.quad, shape, 300), rectify(dry, off, shape, 300))
    expect(likeness).toBeGreaterThan(0.85)
    // Where the true corner lies on a face that was cut out by the wrong ones.
    const real = inverted(squareToQuad(off))
    WHOLE.forEach((corner, i) => {
      const [x, y] = mapped(map, corner)
      const [tx, ty] = mapped(real, dry.quad[i]!)
      expect(Math.hypot(x - tx, y - ty)).toBeLessThan(0.01)
    })
  })
  it('of two pieces are not claimed to be alike', () => {
    const [one, two] = madePhotos(4, 12, 500)
    const face = (m: typeof one) => {
      const photo = photograph(scene({ ...m!.wish, lengthMm: 200, widthMm: 150, pxPerMm: 2 }), m!.shot)
      return rectify(photo, photo.quad, { shape: 'rectangle', lengthMm: 200, widthMm: 150 }, 250)
    }
    expect(register(face(one), face(two)).likeness).toBeLessThan(0.5)
  })
})
