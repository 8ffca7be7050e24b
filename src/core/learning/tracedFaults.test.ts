import { pieceFacts, poured } from '../../../tests/support/learning/pouredFacts'
import { SHIPPED } from '../technique/techniques'
import { traceFaults, wouldTeach } from './tracedFaults'

const withBlack = (id: string, isFaulty: boolean) =>
  pieceFacts(id, {
    materials: [poured('teal', 0.3), poured('soot', 0.2)],
    lots: [{ id: 'tin', materialId: 'soot', name: 'tin of soot', share: 0.2 }],
    faults: isFaulty ? ['craters'] : [],
  })
const without = (id: string) => pieceFacts(id)
const many = <T>(n: number, of: (id: string) => T) => Array.from({ length: n }, (_, i) => of(String(i)))

describe('faults traced', () => {
  it('names what the faulty pieces share with the pieces on both sides, and the container it came from', () => {
    const told = traceFaults(
      [...many(6, (i) => withBlack(`b${i}`, true)), withBlack('fine', false), ...many(9, (i) => without(`w${i}`))],
      SHIPPED,
      undefined,
    )
    expect(told.shown).toBe('craters')
    expect(told.faults[0]!.causes[0]).toMatchObject({ word: 'likely', names: ['soot', 'tin of soot'] })
    expect(told.having).toHaveLength(7)
    expect(told.having.filter((p) => p.isFaulty)).toHaveLength(6)
    expect(told.without).toHaveLength(9)
    expect(told.material).toEqual({ id: 'soot', name: 'soot', kind: 'paint', lotId: 'tin' })
    expect(told.enough).toBeNull()
  })
  it('leaves out what nobody looked at, shows the fault that was asked for, and nothing where none was seen', () => {
    const unseen = pieceFacts('unseen', { isLookedAt: false })
    const told = traceFaults(
      [unseen, pieceFacts('m', { faults: ['mud'] }), ...many(2, (i) => withBlack(i, true))],
      SHIPPED,
      'mud',
    )
    expect(told.shown).toBe('mud')
    expect(told.faults.map((f) => [f.key, f.pieces])).toEqual([
      ['craters', 3],
      ['mud', 3],
    ])
    expect(traceFaults([unseen, without('w')], SHIPPED, undefined)).toMatchObject({
      faults: [],
      shown: null,
      material: null,
    })
  })
  it('says which pairs would teach most, only of a suspicion that two pieces raise', () => {
    const suspected = [
      ...many(2, (i) => withBlack(`b${i}`, true)),
      withBlack('x', false),
      withBlack('y', false),
      ...many(7, (i) => without(`w${i}`)),
    ]
    const [first] = wouldTeach(suspected, SHIPPED)
    expect(first).toMatchObject({ fault: 'craters', name: 'soot', materialId: 'soot' })
    expect(first!.pairs).toBeGreaterThan(1)
    expect(wouldTeach([withBlack('b', true), ...many(8, (i) => without(`w${i}`))], SHIPPED)).toEqual([])
  })
})
