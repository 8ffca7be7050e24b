import { cupOf, startTask } from '../../../tests/support/tilt'
import { CUP_KINDS, TRAVELS } from '../technique/technique'
import { BARE, startOf } from './start'

const sum = (list: ArrayLike<number>) => Array.from(list).reduce((a, b) => a + b, 0)

describe('a board before it is tilted', () => {
  it('holds every colour to the microlitre, on the board or beside it', () => {
    // A cup half over the left edge, a flipped one, a line and a lead-in.
    const task = startTask({
      coats: [
        { colour: 0, ul: 12_000, region: null, path: [] },
        {
          colour: 2,
          ul: 3_000,
          region: null,
          path: [
            [-80, 80],
            [80, 80],
          ],
        },
      ],
      cups: [
        cupOf(
          [
            [1, 20],
            [2, 5],
          ],
          { at: [-100, 0] },
        ),
        cupOf(
          [
            [1, 8],
            [0, 4],
            [2, 4],
          ],
          { kind: 'flipped', downOneSide: true, at: [40, -40] },
        ),
        cupOf(
          [
            [1, 6],
            [2, 3],
          ],
          {
            kind: 'poured line',
            path: [
              [-50, 50],
              [60, 20],
            ],
          },
        ),
      ],
    })
    const { film, pouredUl } = startOf(task, 4)
    expect([...pouredUl].map(Math.round)).toEqual([16_000, 34_000, 15_000])
    pouredUl.forEach((ul, p) => {
      const off = [0, 1, 2, 3].map((side) => film.off[side * 3 + p]!)
      expect((film.volumeOf(p) + sum(off)) / ul).toBeCloseTo(1, 9)
    })
    // Half of the cup on the edge fell to the left, and nothing to the other sides.
    const left = film.off[1]! + film.off[2]!
    expect(left / 25_000).toBeCloseTo(0.5, 1)
    expect(sum(film.off.slice(3))).toBe(0)
  })
  it('shows rings as they leave an open ring: the first to run out lies outside', () => {
    const { picture } = startOf(startTask(), 4)
    const at = (x: number) =>
      picture.colour[Math.floor(picture.ny / 2) * picture.nx + Math.floor((x + 100) / picture.pixelMm)]
    // 30 ml at 4 mm: radius √(7500/π) = 48.9; 18 ml left inside 37.8, 12 ml inside 30.9.
    expect([at(0), at(25), at(35), at(45), at(60)]).toEqual([1, 1, 2, 1, 0])
  })
  it('knows how an edge goes through its pixels', () => {
    const { picture } = startOf(startTask({ coats: [] }), 4)
    const seam = picture.part.findIndex((p, k) => p > 0 && picture.colour[k] !== picture.beside[k])
    expect(seam).toBeGreaterThan(0)
    expect(picture.colour[0]).toBe(BARE)
    expect(Math.max(...picture.part)).toBeLessThanOrEqual(255)
  })
  it('lays a coat of one half in that half alone', () => {
    const half = [
      [-100, -100],
      [0, -100],
      [0, 100],
      [-100, 100],
    ] as const
    const { film } = startOf(startTask({ coats: [{ colour: 0, ul: 4_000, region: half, path: [] }], cups: [] }), 4)
    expect(film.h[25 * 50 + 10]).toBeCloseTo(0.2, 6)
    expect(film.h[25 * 50 + 40]).toBe(0)
  })
  it.each(CUP_KINDS)('can begin with a cup that is %s, and loses nothing of it', (kind) => {
    const path = TRAVELS.has(kind)
      ? ([
          [-60, -20],
          [50, 30],
        ] as const)
      : []
    const { film } = startOf(
      startTask({
        coats: [],
        cups: [
          cupOf(
            [
              [1, 8],
              [2, 4],
            ],
            { kind, path, turnDeg: 30 },
          ),
        ],
      }),
      4,
    )
    expect(film.volumeOf(1)).toBeCloseTo(8_000, 3)
    expect(film.volumeOf(2)).toBeCloseTo(4_000, 3)
  })
  it('says what is missing', () => {
    expect(() => startOf(startTask({ coats: [], cups: [] }), 4)).toThrow(/no paint on this board yet/)
    expect(() => startOf(startTask({ cups: [cupOf([[1, 0]])], coats: [] }), 4)).toThrow(/no paint on this board yet/)
    const [a, b] = startTask().colours
    expect(() => startOf(startTask({ colours: [a!, b!, { ...b!, nu: 3 }] }), 4)).toThrow(/cannot be rehearsed/)
  })
})
