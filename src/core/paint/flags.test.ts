import { flagAgainst } from './flags'

describe('flags of a paint', () => {
  const flags = [
    { role: 'top', rule: 'avoid' as const, reason: 'turns grey' },
    { role: 'slip coat', rule: 'only' as const, reason: 'weak' },
    { role: 'base coat', rule: 'only' as const, reason: '' },
  ]
  it('speak where the paint would be used that way, and only there', () => {
    expect(flagAgainst(flags, 'top')).toBe('avoid as top: turns grey')
    expect(flagAgainst(flags, 'pour')).toBe('good only as slip coat or base coat: weak')
    expect(flagAgainst(flags, 'base coat')).toBeUndefined()
    expect(flagAgainst([], 'top')).toBeUndefined()
  })
})
