import { pieceFacts, poured } from '../../../tests/support/learning/pouredFacts'
import type { PouredFacts } from './pouredFacts'
import { compareArms, isMetric, mostOf, whatDiffers, type TrialSaid } from './trial'

const arms = [
  { arm: 1, what: 'with soot', materialId: 'soot' },
  { arm: 2, what: 'without', materialId: null },
]
const trial = (more: Partial<TrialSaid>): TrialSaid => ({ arms, criteria: ['craters'], words: [], pieces: [], ...more })
const book = (...list: PouredFacts[]) => new Map(list.map((p) => [p.id, p]))
const pair = [
  { arm: 1, repeat: 1, pieceId: 'a' },
  { arm: 2, repeat: 1, pieceId: 'b' },
]

describe('a trial', () => {
  it('compares every two arms by every criterion', () => {
    const three = [...arms, { arm: 3, what: 'half', materialId: null }]
    const told = compareArms(trial({ arms: three, criteria: ['craters', 'rating'] }), new Map())
    expect(told.map((c) => [c.criterion, c.first.arm, c.second.arm])).toEqual([
      ['craters', 1, 2],
      ['craters', 1, 3],
      ['craters', 2, 3],
      ['rating', 1, 2],
      ['rating', 1, 3],
      ['rating', 2, 3],
    ])
    expect([mostOf('craters'), mostOf('rating')]).toEqual([3, 5])
    expect(['cells per dm²', 'cells', 'constructor'].map(isMetric)).toEqual([true, false, false])
  })
  it('takes measured criteria from photos of its pieces, by their ratio', () => {
    const pieces = [1, 2, 3, 4].flatMap((repeat) => [
      { arm: 1, repeat, pieceId: `a${repeat}` },
      { arm: 2, repeat, pieceId: `b${repeat}` },
    ])
    const facts = book(...pieces.map((p) => pieceFacts(p.pieceId, { cellsPerDm2: p.arm === 1 ? 40 : 10 })))
    const [told] = compareArms(trial({ criteria: ['cells per dm²'], pieces }), facts)
    expect(told!.told).toMatchObject({ pairs: 4, verdict: 'first' })
    expect(told!.told.gap).toBeGreaterThan(1)
    const unmeasured = book(...pieces.map((p) => pieceFacts(p.pieceId)))
    expect(compareArms(trial({ criteria: ['cells per dm²'], pieces }), unmeasured)[0]!.told.pairs).toBe(0)
  })
  it('says what else differs between the pieces of a repeat, and nothing of what is tried', () => {
    const differs = (more: Partial<PouredFacts>) =>
      whatDiffers(trial({ pieces: pair }), book(pieceFacts('a'), pieceFacts('b', more))).map((d) => d.what)
    expect(differs({})).toEqual([])
    expect(differs({ technique: 'swipe' })).toEqual(['the technique'])
    expect(differs({ leftUl: 74_000 })).toEqual(['the size'])
    expect(differs({ pouredUl: 70_000 })).toEqual(['how much was poured'])
    expect(differs({ levelTimeS: 6 })).toEqual(['the level time'])
    expect(differs({ restHours: 2 })).toEqual(['how long the mixes rested'])
    expect(differs({ humidity: 0.75 })).toEqual(['the air'])
    expect(differs({ materials: [poured('teal', 0.33), poured('soot', 0.6)] })).toEqual(['flow'])
    expect(differs({ levelTimeS: null, humidity: null, restHours: null })).toEqual([])
  })
  it('looks at each repeat by itself, and at none that has one piece only', () => {
    const pieces = [...pair, { arm: 1, repeat: 2, pieceId: 'c' }]
    const facts = book(
      pieceFacts('a'),
      pieceFacts('b', { technique: 'swipe' }),
      pieceFacts('c', { technique: 'flip-cup' }),
    )
    expect(whatDiffers(trial({ pieces }), facts)).toEqual([{ repeat: 1, what: 'the technique' }])
  })
})
