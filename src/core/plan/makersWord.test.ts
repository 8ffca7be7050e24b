import { wordsOnPlan } from './makersWord'

const word = {
  paints: {
    v: { name: 'Violet', flags: [] },
    y: { name: 'Yellow', flags: [{ role: 'pour', rule: 'avoid' as const, reason: 'weak' }] },
    t: { name: 'Teal', flags: [{ role: 'base coat', rule: 'only' as const, reason: '' }] },
  },
  pairs: [
    { aId: 't', bId: 'v', verdict: 'together' as const, note: '' },
    { aId: 'v', bId: 'y', verdict: 'never' as const, note: 'mud' },
  ],
}
const bottle = (label: string, use: string, paintIds: string[], role = 'pour') => ({ label, use, paintIds, role })

describe('the maker’s own word on a plan', () => {
  it('speaks of pairs that meet in the cup, those against first, then of roles', () => {
    const used = [bottle('A', 'cup', ['v']), bottle('B', 'cup', ['y', 't']), bottle('C', 'base coat', ['t'])]
    expect(wordsOnPlan(used, word)).toEqual([
      { against: true, text: 'Violet and Yellow, never beside each other: mud.' },
      { against: false, text: 'Teal and Violet, always side by side.' },
      { against: true, text: 'Yellow in B: avoid as pour: weak.' },
      { against: true, text: 'Teal in B: good only as base coat.' },
    ])
  })
  it('says nothing of a pair within one bottle, or of one that stays apart', () => {
    expect(wordsOnPlan([bottle('A', 'cup', ['v', 't'])], word).map((w) => w.text)).toEqual([
      'Teal in A: good only as base coat.',
    ])
    expect(wordsOnPlan([bottle('A', 'cup', ['v']), bottle('B', 'reserve', ['y'])], word)).toEqual([])
  })
})
