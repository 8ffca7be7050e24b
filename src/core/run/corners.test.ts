import { cornerOrder, cornerPoint, cornersOf, stripEdges } from './corners'

const face = { shape: 'rectangle', lengthMm: 400, widthMm: 300 } as const

describe('the order of corners', () => {
  it('away from what is to stay first, towards it last', () =>
    expect(cornerOrder(face, [{ at: [-150, -100], radiusMm: 30 }])).toEqual([
      'bottom right',
      'top right',
      'bottom left',
      'top left',
    ]))
  it('is the one with the farthest nearest keeper, for any keepers: beside an exhaustive search', () => {
    for (let n = 1; n < 40; n++) {
      const keepers = [0, 1, 2].map((k) => ({
        at: [((n * 37 + k * 91) % 380) - 190, ((n * 53 + k * 17) % 280) - 140] as const,
        radiusMm: 10 + 7 * k,
      }))
      const gap = (c: Parameters<typeof cornerPoint>[1]) =>
        Math.min(
          ...keepers.map(
            (k) => Math.hypot(cornerPoint(face, c)[0] - k.at[0], cornerPoint(face, c)[1] - k.at[1]) - k.radiusMm,
          ),
        )
      const order = cornerOrder(face, keepers)
      expect(new Set(order).size).toBe(4)
      for (let i = 1; i < 4; i++) expect(gap(order[i - 1]!)).toBeGreaterThanOrEqual(gap(order[i]!))
    }
  })
  it('goes round the face where nothing is marked', () =>
    expect(cornerOrder(face, [])).toEqual(['top left', 'top right', 'bottom right', 'bottom left']))
  it('wants a strip of card where a keeper touches an edge', () => {
    expect(stripEdges(face, [{ at: [160, 0], radiusMm: 20 }])).toEqual(['right'])
    expect(
      stripEdges(face, [
        { at: [0, -110], radiusMm: 30 },
        { at: [-185, 120], radiusMm: 10 },
      ]),
    ).toEqual(['top', 'bottom', 'left'])
    expect(stripEdges(face, [{ at: [0, 0], radiusMm: 40 }])).toEqual([])
  })
  it('reads the corners off a hand that was rehearsed', () =>
    expect(
      cornersOf([
        { t: 0, x: 0, y: 0 },
        { t: 1, x: -9, y: -11 },
        { t: 2, x: -8, y: -10 },
        { t: 3, x: 0, y: -12 },
        { t: 4, x: 9, y: 8 },
        { t: 6, x: -9, y: -9 },
      ]),
    ).toEqual(['top left', 'bottom right']))
})
