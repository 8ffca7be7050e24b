import { outline } from '../surface/shapes'
import { landsAs } from './lands'
import { seenInRim } from './rim'

const canvas = outline({ shape: 'rectangle', lengthMm: 400, widthMm: 300 })

describe('the rim', () => {
  it('is a band along every edge, whichever way round the outline runs', () => {
    // A disc of 20 mm about a place 30 mm from the right edge: within 30 mm of the edge lies half of it, within 50 all.
    const marks = [{ kind: 'disc', at: [170, 0], radiusMm: 20, colour: 0 }] as const
    for (const outline of [canvas, [...canvas].reverse()]) {
      expect(seenInRim(marks, outline, 30)[0]!.inRim).toBeCloseTo(0.5, 1)
      expect(seenInRim(marks, outline, 50)[0]!.inRim).toBe(1)
      expect(seenInRim(marks, outline, 10)[0]!.inRim).toBe(0)
    }
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
