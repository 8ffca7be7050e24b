import fc from 'fast-check'
import { contentKey, contentUl, takeFrom, takePoured } from './content'

const bottle = (...uls: number[]) => ({
  id: 'b1',
  label: 'Teal 3',
  content: uls.map((ul, i) => ({ lotId: `l${i}`, ul })),
})

describe('what a vessel held', () => {
  it('is the same for the same lots and amounts in any order, and for nothing else', () => {
    const [a, b] = [
      { lotId: 'a', ul: 5 },
      { lotId: 'b', ul: 7 },
    ]
    const key = contentKey([a, b])
    expect(contentKey([b, a, { lotId: 'c', ul: 0 }])).toBe(key)
    for (const other of [
      [a],
      [a, { ...b, ul: 8 }],
      [
        { ...a, ul: 7 },
        { ...b, ul: 5 },
      ],
      [a, b, { lotId: 'c', ul: 1 }],
      [],
    ])
      expect(contentKey(other)).not.toBe(key)
  })
})

describe('taking from a vessel', () => {
  it('takes every lot in proportion, exactly', () => {
    expect(takeFrom(bottle(100_000, 200_000, 33_333), 100_000).map((p) => p.ul)).toEqual([30_000, 60_000, 10_000])
  })
  it('names the bottle and what to do when it holds too little', () => {
    expect(() => takeFrom(bottle(40_000), 60_000)).toThrow(
      'Teal 3 holds 40\u00a0ml and 60\u00a0ml is wanted. Mix 20\u00a0ml more, or take less.',
    )
  })
  it('finds what was poured beyond the books, of the same composition', () => {
    const of = bottle(40_000, 10_000)
    expect(takePoured(of, 50_000)).toEqual({ taken: takeFrom(of, 50_000), found: [] })
    expect(takePoured(of, 20_000)).toEqual({ taken: takeFrom(of, 20_000), found: [] })
    const { taken, found } = takePoured(of, 60_001)
    expect(taken).toEqual(of.content)
    expect(contentUl(found)).toBe(10_001)
    expect(found[0]!.ul).toBe(8_001)
    expect(() => takePoured(bottle(0), 5)).toThrow('holds 0')
  })
  it('never takes more of a lot than there is', () => {
    const uls = fc.array(fc.integer({ min: 1, max: 2_000_000 }), { minLength: 1, maxLength: 8 })
    fc.assert(
      fc.property(uls, fc.double({ min: 0, max: 1, noNaN: true }), (content, share) => {
        const vessel = bottle(...content)
        const ul = Math.floor(contentUl(vessel.content) * share)
        const taken = takeFrom(vessel, ul)
        expect(contentUl(taken)).toBe(ul)
        for (const p of taken) expect(p.ul).toBeLessThanOrEqual(vessel.content.find((c) => c.lotId === p.lotId)!.ul)
      }),
    )
  })
})
