import { outline } from '../surface/shapes'
import { landsAs } from './lands'
import { fromEdge, seenInRim } from './rim'

const canvas = outline({ shape: 'rectangle', lengthMm: 400, widthMm: 300 })

describe('the rim', () => {
  it('tells how far from the edge a place is, on either winding', () => {
    expect(fromEdge([0, 0], canvas)).toBe(150)
    expect(fromEdge([190, 0], canvas)).toBe(10)
    expect(fromEdge([210, 0], [...canvas].reverse())).toBe(-10)
  })
  it('a disc in the middle of a round lies in its rim by the squares of the radii', () => {
    // A disc of radius 150 on a round of 400, rim 100: what lies past radius 100 is 1 − (100/150)².
    const marks = [{ kind: 'disc', at: [0, 0], radiusMm: 150, colour: 0 }] as const
    const [seen] = seenInRim(marks, outline({ shape: 'round', diameterMm: 400 }), 100)
    expect(seen!.inRim).toBeCloseTo(1 - 4 / 9, 1)
    expect(seen!.mm2).toBeCloseTo(Math.PI * 150 ** 2, -3)
  })
  it('what lies beyond the edge counts to the rim; what is covered is not seen', () => {
    const marks = landsAs({
      kind: 'poured out',
      at: [0, 0],
      turnDeg: 0,
      path: [],
      downOneSide: false,
      layers: [
        { colour: 0, ul: 100_000 },
        { colour: 1, ul: 500_000 },
      ],
    })
    const seen = new Map(seenInRim(marks, canvas, 25).map((s) => [s.colour, s]))
    expect(seen.get(0)!.inRim).toBe(0)
    // The ring of colour 1 reaches from 89 to 218 mm, over edges 150 and 200 mm away.
    expect(seen.get(1)!.inRim).toBeGreaterThan(0.3)
    expect(seen.get(1)!.mm2 / seen.get(0)!.mm2).toBeCloseTo(5, 1)
  })
  it('nothing poured is nothing seen', () => expect(seenInRim([], canvas, 25)).toEqual([]))
})
