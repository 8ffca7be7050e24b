import { cupOf, startTask } from '../../../tests/support/tilt'
import { hexToSrgb } from '../colour/srgb'
import { Drawing } from './draw'
import { slopeOf } from './film'
import { Rehearsal } from './rehearsal'

const drawn = (r: Rehearsal, width: number, surface: 'wet' | 'dry' = 'wet') => {
  const d = new Drawing(r, width, surface)
  const rgba = new Uint8ClampedArray(d.width * d.height * 4)
  d.draw(rgba)
  return { at: (x: number, y: number) => [...rgba.slice((y * d.width + x) * 4, (y * d.width + x) * 4 + 4)], d, rgba }
}
/** How far a pixel is from a colour, in 255ths. */
const from = (pixel: readonly number[], hex: string) =>
  Math.max(...hexToSrgb(hex).map((v, i) => Math.abs(v * 255 - pixel[i]!)))

describe('the picture of a rehearsal', () => {
  it('shows the bottles’ own colours where they lie', () => {
    const { at, d } = drawn(new Rehearsal(startTask(), 4), 400)
    expect([d.width, d.height]).toEqual([400, 400])
    expect(from(at(200, 200), '#136a78')).toBeLessThan(6)
    expect(from(at(20, 20), '#f5f3ec')).toBeLessThan(6)
  })
  it('is darker dry than wet', () => {
    const r = new Rehearsal(startTask(), 4)
    const light = (p: readonly number[]) => p[0]! + p[1]! + p[2]!
    expect(light(drawn(r, 100, 'dry').at(5, 5))).toBeLessThan(light(drawn(r, 100).at(5, 5)) - 20)
  })
  it('keeps lines thinner than a cell: rings of 2 mm and more on cells of 8 mm', () => {
    const thin = cupOf(Array.from({ length: 16 }, (_, n) => [1 + (n % 2), 2] as const))
    const r = new Rehearsal(startTask({ cups: [thin] }), 8)
    const { at } = drawn(r, 800)
    const row = Array.from(
      { length: 400 },
      (_, x) => from(at(400 + x, 400), '#136a78') < from(at(400 + x, 400), '#e9b310'),
    )
    const turns = row.filter((v, x) => x > 0 && v !== row[x - 1]).length
    expect(turns).toBeGreaterThanOrEqual(14)
  })
  it('leaves what is beyond a round face clear, and the bare board bare', () => {
    const round = startTask({ shape: { shape: 'round', diameterMm: 200 }, coats: [], cups: [cupOf([[1, 10]])] })
    const { at } = drawn(new Rehearsal(round, 4), 200)
    expect(at(2, 2)[3]).toBe(0)
    expect(at(100, 4)[3]).toBeGreaterThan(0)
    expect(from(at(100, 20), '#efece6')).toBeLessThan(4)
  })
  it('carries the picture along when the paint moves', () => {
    const r = new Rehearsal(startTask(), 4)
    const left = () => {
      const { at } = drawn(r, 200)
      for (let x = 0; x < 200; x++) if (from(at(x, 100), '#136a78') < 30) return x
      return -1
    }
    r.advance(1, () => slopeOf(0, 0))
    const before = left()
    r.advance(2, () => slopeOf(16, 0))
    expect(left()).toBeGreaterThan(before + 4)
  })
})
