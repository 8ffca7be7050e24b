import { pairWord, wordsOnPlan } from './makersWord'

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
const bottle = (label: string, use: string, ids: string[], role = 'pour') => ({
  label,
  use,
  paints: ids.map((id) => ({ id, share: 1 / ids.length })),
  role,
})

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
  it('a trace in a mix is none of the pair: both are a fifth of the colour or more', () => {
    const mixed = (share: number) => [
      {
        ...bottle('A', 'cup', ['v']),
        paints: [
          { id: 'v', share },
          { id: 'x', share: 1 - share },
        ],
      },
      bottle('B', 'cup', ['t']),
    ]
    expect(wordsOnPlan(mixed(0.19), word)).toHaveLength(1)
    expect(wordsOnPlan(mixed(0.2), word).map((w) => w.text)).toContain('Teal and Violet, always side by side.')
  })
  it('says nothing of a pair within one bottle, or of one that stays apart', () => {
    expect(wordsOnPlan([bottle('A', 'cup', ['v', 't'])], word).map((w) => w.text)).toEqual([
      'Teal in A: good only as base coat.',
    ])
    expect(wordsOnPlan([bottle('A', 'cup', ['v']), bottle('B', 'reserve', ['y'])], word)).toEqual([])
  })
})

describe('the word on two mixes', () => {
  const mix = (...shares: [string, number][]) => shares.map(([id, share]) => ({ id, share }))
  it('counts where both paints are a fifth of the colour of their mix or more, whichever way round', () => {
    expect(pairWord(mix(['v', 0.2], ['x', 0.8]), mix(['y', 1]), word.pairs)).toBe('never')
    expect(pairWord(mix(['y', 1]), mix(['v', 1]), word.pairs)).toBe('never')
    expect(pairWord(mix(['v', 0.19], ['x', 0.81]), mix(['y', 1]), word.pairs)).toBeUndefined()
  })
  it('a word against outranks one for', () =>
    expect(pairWord(mix(['v', 1]), mix(['t', 0.5], ['y', 0.5]), word.pairs)).toBe('never'))
  it('within one mix it says nothing', () =>
    expect(pairWord(mix(['v', 0.5], ['y', 0.5]), mix(['x', 1]), word.pairs)).toBeUndefined())
})
