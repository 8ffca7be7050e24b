import { hexToLab } from '../colour/lab'
import type { Matrix3 } from '../surface/homography'
import type { Cell } from './cells'
import type { PhotoMeasures } from './measurePhoto'
import { wetToDry } from './wetToDry'

const cell = (x: number, y: number, diameterMm: number): Cell => ({ at: [x, y], diameterMm, colour: 0, halo: null })

const seen = (
  colours: readonly (readonly [string, string, number])[],
  cells: readonly Cell[],
  not = {},
): PhotoMeasures => ({
  mmPerPx: 0.2,
  faceMm2: 20_000,
  hasCard: true,
  colours: colours.map(([hex, looks, share]) => ({ hex, lab: hexToLab(looks), seen: share })),
  quiet: [],
  cells,
  lacing: { lengthMm: 0, widthMm: 0 },
  composition: { values: [], contrast: [] },
  lookHere: [],
  trust: { edgePx: 2, glare: 0, unexplained: 2, not },
})

const size = { lengthMm: 200, widthMm: 100 }
const same: Matrix3 = [1, 0, 0, 0, 1, 0, 0, 0, 1]

describe('from wet to dry', () => {
  it('says of each colour that shows in both how it changed', () => {
    const wet = seen(
      [
        ['#136a78', '#3f95a0', 0.6],
        ['#d9a441', '#d9a441', 0.395],
        ['#111111', '#111111', 0.005],
      ],
      [],
    )
    const dry = seen(
      [
        ['#136a78', '#136a78', 0.5],
        ['#d9a441', '#d9a441', 0.4],
        ['#111111', '#111111', 0.1],
      ],
      [],
    )
    const { colours } = wetToDry(wet, dry, same, size)
    expect(colours.map((c) => c.hex)).toEqual(['#136a78', '#d9a441'])
    const [lWet, lDry] = [hexToLab('#3f95a0')[0], hexToLab('#136a78')[0]]
    expect(colours[0]).toMatchObject({ wetShare: 0.6, dryShare: 0.5 })
    expect(colours[0]!.lighter).toBeCloseTo(lDry - lWet, 9)
    expect(colours[0]!.deltaE).toBeGreaterThan(10)
    expect(colours[1]).toMatchObject({ deltaE: 0, lighter: 0, stronger: 0 })
  })
  it('follows cells over the map between the photos: stayed, grown, come, gone', () => {
    // The dry face was cut out 10 mm farther left: everything lies 10 mm farther right on it.
    const shifted: Matrix3 = [1, 0, 0.05, 0, 1, 0, 0, 0, 1]
    const wet = seen([], [cell(20, 20, 5), cell(60, 50, 4), cell(100, 80, 6)])
    const dry = seen([], [cell(30.5, 20, 5.2), cell(70, 50, 6), cell(150, 30, 3)])
    expect(wetToDry(wet, dry, shifted, size).cells).toEqual({ stayed: 1, grown: 1, lost: 1, come: 1 })
    expect(wetToDry(wet, dry, same, size).cells).toEqual({ stayed: 0, grown: 0, lost: 3, come: 3 })
  })
  it('takes each cell once: two that ran together are one that stayed and one that went', () => {
    const wet = seen([], [cell(50, 50, 6), cell(52, 50, 6)])
    expect(wetToDry(wet, seen([], [cell(51, 50, 6.5)]), same, size).cells).toEqual({
      stayed: 1,
      grown: 0,
      lost: 1,
      come: 0,
    })
  })
  it('says nothing of cells that could not be trusted', () =>
    expect(wetToDry(seen([], [], { cells: 'too small' }), seen([], []), same, size).cells).toBeUndefined())
})
