import { coat, cup, design, layer, surface } from '../../../tests/support/design'
import { coveredShare } from '../surface/cover'
import { pourUl } from '../surface/coverage'
import { planAmounts } from './amounts'
import { asLoaded, scaleUp, swapColours } from './scaleUp'

let ids = 0
const newId = () => `new ${ids++}`
const rect = (l: number, w: number, count = 1) =>
  ({ shape: 'rectangle', lengthMm: l, widthMm: w, edgeMm: 0, count }) as const
const onto = (s: ReturnType<typeof rect>) => ({ name: 'large', surface: s, stockId: null, eachMinor: 900 })
const sketch = design({
  surfaces: [
    surface('card', {
      surface: rect(200, 250),
      free: [
        [0, 0],
        [50, 0],
        [50, 50],
      ],
    }),
  ],
  cups: [
    cup('c', [layer('a', { share: 2 }), layer('b', { share: 1 }), layer('d', { ul: 1_000, share: null })], {
      on: 'card',
      at: [40, -20],
      path: [
        [0, 0],
        [10, 10],
      ],
      sizeUl: 90_000,
    }),
  ],
  coats: [coat('base coat', 'w', { on: 'card', ul: 10_000 }), coat('reserve', 'w')],
})

describe('scaling up', () => {
  const large = scaleUp(sketch, [onto(rect(600, 500))], [100_000, 300_000, 700_000], newId)
  it('keeps the ratios and computes amounts anew; typed ones grow as the face', () => {
    const [before, after] = [planAmounts(sketch), planAmounts(large)]
    const ul = (a: typeof after, i: number) => a.cups[0]!.layers[i]!.ul
    expect(after.pourUl / before.pourUl).toBeCloseTo(6, 4)
    expect(ul(after, 0) / ul(after, 1)).toBeCloseTo(2, 4)
    expect(ul(after, 2)).toBe(6_000)
    expect(large.coats[0]!.ul).toBe(60_000)
    expect(large.coats[1]!.ul).toBeNull()
  })
  it('moves places, paths and the region with the sides, and takes the smallest cup that holds it', () => {
    expect(large.cups[0]).toMatchObject({
      at: [120, -40],
      path: [
        [0, 0],
        [30, 20],
      ],
    })
    expect(large.surfaces[0]!.free![1]).toEqual([150, 0])
    // 300 000 mm² by the rule of 28 are 491 ml: 700 at nine tenths.
    expect(large.cups[0]!.sizeUl).toBe(700_000)
  })
  it('gives everything an id of its own, and what points at a surface points at the new one', () => {
    expect(large.cups[0]!.on).toBe(large.surfaces[0]!.id)
    expect(large.coats[0]!.on).toBe(large.surfaces[0]!.id)
    expect(large.surfaces[0]!.id).not.toBe('card')
  })
  it('onto panels of two sizes: each its own cups, and every panel as much as it wants', () => {
    const panels = [onto(rect(600, 500, 2)), onto(rect(300, 300))]
    const both = scaleUp(sketch, panels, [], newId)
    expect(both.cups.map((c) => c.on)).toEqual(both.surfaces.map((s) => s.id))
    expect(both.surfaces).toHaveLength(2)
    const amounts = planAmounts(both)
    expect(amounts.cups.map((c) => c.cups)).toEqual([2, 1])
    expect(amounts.pourUl).toBe(
      panels.reduce(
        (sum, p) => sum + pourUl(p.surface, sketch.school, coveredShare(rect(200, 250), 1, sketch.surfaces[0]!.free)),
        0,
      ),
    )
    expect(both.coats.filter((c) => c.role === 'base coat').map((c) => c.ul)).toEqual([120_000, 18_000])
    expect(new Set(both.cups.flatMap((c) => c.layers.map((l) => l.id))).size).toBe(6)
  })
  it('a vase over a panel stays over it', () => {
    const pair = design({
      surfaces: [surface('panel'), surface('vase', { feeds: 'panel' })],
      cups: [cup('c', [layer('a')], { on: 'vase' })],
    })
    const large = scaleUp(pair, [onto(rect(500, 500)), onto(rect(200, 300))], [], newId)
    expect(large.surfaces[1]!.feeds).toBe(large.surfaces[0]!.id)
    expect(large.cups[0]!.on).toBe(large.surfaces[1]!.id)
  })
  it('over three panels each gets what one of them takes', () => {
    const three = planAmounts(scaleUp(sketch, [onto(rect(600, 500, 3))], [], newId))
    expect(three.cups[0]!.cups).toBe(3)
    expect(three.cups[0]!.layers[2]!.ul).toBe(18_000)
  })
})

it('colours are swapped by what they are, in layers and coats', () => {
  const swapped = swapColours(
    sketch,
    new Map([
      ['bottle w', { kind: 'formula', id: 'f' }],
      ['bottle a', { kind: 'bottle', id: 'z' }],
    ]),
  )
  expect(swapped.coats.map((c) => c.of)).toEqual([
    { kind: 'formula', id: 'f' },
    { kind: 'formula', id: 'f' },
  ])
  expect(swapped.cups[0]!.layers.map((l) => l.of?.id)).toEqual(['z', 'b', 'd'])
})

describe('pouring again what was really loaded', () => {
  const planned = design({
    school: { kind: 'own', ul: 90_000 },
    cups: [cup('c', [layer('a', { id: '1' }), layer('b', { id: '2' }), layer('a', { id: '3' })])],
    coats: [coat('base coat', 'b', { ul: 10_000 })],
  })
  const again = (loaded: { bottle: string; ul: number }[]) =>
    asLoaded(planned, loaded, newId).cups[0]!.layers.map((l) => [l.of!.id, l.share])
  it('shares by what each gave, a bottle that comes twice by its parts, and less what its coat took', () =>
    expect(
      again([
        { bottle: 'a', ul: 80_000 },
        { bottle: 'b', ul: 30_000 },
      ]),
    ).toEqual([
      ['a', 40],
      ['b', 20],
      ['a', 40],
    ]))
  it('leaves out what gave nothing, and lays what was reached for on top', () =>
    expect(
      again([
        { bottle: 'b', ul: 40_000 },
        { bottle: 'gold', ul: 5_000 },
      ]),
    ).toEqual([
      ['b', 85.714],
      ['gold', 14.286],
    ]))
})
