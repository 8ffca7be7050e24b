import { boardOfShape, cellFor, within, xOf, yOf } from './board'

describe('a face as cells', () => {
  it('has as many as it is large, and as much area as its shape', () => {
    const board = boardOfShape({ shape: 'rectangle', lengthMm: 400, widthMm: 500 }, 4)
    expect([board.nx, board.ny, board.cells]).toEqual([100, 125, 12_500])
    expect([xOf(board, 0), yOf(board, 124)]).toEqual([-198, 248])
    const round = boardOfShape({ shape: 'round', diameterMm: 300 }, 2)
    expect(round.cells * 4).toBeCloseTo(Math.PI * 150 ** 2, -3)
    const six = boardOfShape({ shape: 'polygon', sides: 6, acrossMm: 300 }, 2)
    expect((six.cells * 4) / ((3 * Math.sqrt(3) * 150 ** 2) / 2)).toBeCloseTo(1, 2)
  })
  it('leaves out the gaps between tiles, so that every row runs in pieces', () => {
    const tiles = { shape: 'tiles', lengthMm: 100, widthMm: 100, across: 2, down: 2, gapMm: 8 } as const
    const board = boardOfShape(tiles, 4)
    expect(board.cells * 16).toBeCloseTo(4 * 100 * 100, -2)
    expect([...board.rows.slice(0, 6)]).toEqual([0, 0, 24, 0, 27, 51])
    expect(within(tiles)([0, 0])).toBe(false)
    expect(within(tiles)([-50, 40])).toBe(true)
  })
  it('refuses what has no flat face, and what is too fine', () => {
    expect(() => boardOfShape({ shape: 'profile', points: [] }, 4)).toThrow(/A vase or bowl cannot be rehearsed/)
    expect(() => boardOfShape({ shape: 'area', areaMm2: 10_000 }, 4)).toThrow(/no shape to tilt/)
    expect(() => boardOfShape({ shape: 'rectangle', lengthMm: 0, widthMm: 100 }, 4)).toThrow(/above zero/)
    expect(() => boardOfShape({ shape: 'rectangle', lengthMm: 2000, widthMm: 2000 }, 2)).toThrow(/too large/)
  })
  it('takes larger cells on a larger face', () => {
    expect(cellFor({ shape: 'rectangle', lengthMm: 200, widthMm: 200 }, 4, 13_000)).toBe(4)
    expect(cellFor({ shape: 'rectangle', lengthMm: 900, widthMm: 600 }, 4, 13_000)).toBe(7)
  })
})
