import { components } from './components'
import { lineLength, thinned } from './thinning'

/** A straight stroke of a width, between two places. */
function stroke(size: number, [x0, y0]: readonly [number, number], [x1, y1]: readonly [number, number], wide: number) {
  const mask = new Uint8Array(size * size)
  const long = Math.hypot(x1 - x0, y1 - y0)
  for (let i = 0; i < mask.length; i++) {
    const [x, y] = [(i % size) + 0.5 - x0, Math.floor(i / size) + 0.5 - y0]
    const along = (x * (x1 - x0) + y * (y1 - y0)) / long
    const off = Math.abs(x * (y1 - y0) - y * (x1 - x0)) / long
    if (along >= 0 && along <= long && off <= wide / 2) mask[i] = 1
  }
  return mask
}

const parse = (rows: readonly string[]) => Uint8Array.from(rows.join('').split(''), (c) => (c === '#' ? 1 : 0))
const shown = (mask: Uint8Array, width: number) =>
  Array.from({ length: mask.length / width }, (_, y) =>
    [...mask.slice(y * width, (y + 1) * width)].map((v) => (v ? '#' : '.')).join(''),
  )

describe('thinning', () => {
  it('takes a square of nine to its middle and leaves a line as it is (Zhang & Suen 1984, worked by hand)', () => {
    // First pass: four corners, the right and the lower middle go; second: the upper and the left middle.
    const square = ['.....', '.###.', '.###.', '.###.', '.....']
    expect(shown(thinned(parse(square), 5, 5), 5)).toEqual(['.....', '.....', '..#..', '.....', '.....'])
    const bar = ['.........', '.#######.', '.#######.', '.#######.', '.........']
    expect(shown(thinned(parse(bar), 9, 5), 9).filter((row) => row.includes('#'))).toEqual([
      expect.stringMatching(/^\.+#{4,5}\.+$/),
    ])
    const line = ['.......', '.#####.', '.......']
    expect(shown(thinned(parse(line), 7, 3), 7)).toEqual(line)
  })
  it('keeps what was joined joined, and rings rings', () => {
    const size = 60
    const ring = Uint8Array.from({ length: size * size }, (_, i) => {
      const d = Math.hypot((i % size) - 30, Math.floor(i / size) - 30)
      return d > 14 && d < 20 ? 1 : 0
    })
    const bone = thinned(ring, size, size)
    const parts = components(
      bone.map((b) => b),
      size,
      size,
      { isEightWay: true },
    )
    // One ring, and two areas beside it: outside and in its hole, parted for four neighbours.
    expect(parts.list.filter((c) => c.label === 1)).toHaveLength(1)
    expect(
      components(
        bone.map((b) => 1 - b),
        size,
        size,
      ).list.filter((c) => c.label === 1),
    ).toHaveLength(2)
    // 2π · 17, within three in a hundred.
    expect(lineLength(bone, size, size) / (2 * Math.PI * 17)).toBeCloseTo(1, 1)
  })
  it('measures lines of known length in every direction without bias', () => {
    const found: number[] = []
    for (let deg = 0; deg < 180; deg += 7.5) {
      const [dx, dy] = [70 * Math.cos((deg * Math.PI) / 180), 70 * Math.sin((deg * Math.PI) / 180)]
      for (const wide of [3, 4, 5]) {
        // The same stroke twice as long: what the ends lose is gone from the difference.
        const length = (share: number) => {
          const mask = stroke(200, [100 - share * dx, 100 - share * dy], [100 + share * dx, 100 + share * dy], wide)
          return lineLength(thinned(mask, 200, 200), 200, 200)
        }
        found.push((length(1) - length(0.5)) / 70)
      }
    }
    const mean = found.reduce((a, b) => a + b) / found.length
    expect(mean).toBeGreaterThan(0.97)
    expect(mean).toBeLessThan(1.03)
    expect(Math.max(...found.map((f) => Math.abs(f - 1)))).toBeLessThan(0.09)
  })
})
