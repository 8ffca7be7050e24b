import { planAmounts } from './amounts'
import { ofBottle, simpleDesign } from './simpleDesign'

const square = { shape: 'rectangle', lengthMm: 100, widthMm: 100, edgeMm: 0, count: 2 } as const
let n = 0
const newId = () => `id ${n++}`

describe('a design of one surface and one cup', () => {
  const d = simpleDesign(
    {
      surface: square,
      kind: 'flipped',
      cup: [
        { of: ofBottle('a'), share: 2 },
        { of: ofBottle('b'), share: 1 },
      ],
      coats: [{ role: 'base coat', of: ofBottle('w'), ul: null }],
    },
    newId,
  )
  it('is worked out like any other', () => {
    const amounts = planAmounts(d)
    // Two squares of 100 cm² by the rule of 28: 32.742 ml.
    expect(amounts.pourUl).toBe(32_742)
    expect(amounts.parts.map((p) => [p.use, p.of.id])).toEqual([
      ['cup', 'a'],
      ['cup', 'b'],
      ['base coat', 'w'],
    ])
    // 20 000 mm² at 0.25 mm.
    expect(amounts.parts[2]!.ul).toBe(5_000)
  })
  it('gives everything an id of its own', () => {
    const all = [...d.surfaces, ...d.cups, ...d.coats, ...d.cups.flatMap((c) => c.layers)].map((x) => x.id)
    expect(new Set(all).size).toBe(all.length)
  })
  it('without bottles it has no cup', () => expect(simpleDesign({ surface: square, cup: [] }, newId).cups).toEqual([]))
})
