import { shuffled } from './shuffled'

describe('the order of arms for one who looks blind', () => {
  it('is the same each time it is looked at, holds every arm, and is not always the same', () => {
    const arms = ['a', 'b', 'c']
    const orders = Array.from({ length: 20 }, (_, i) => shuffled(arms, 'trial', i + 1).join(''))
    expect(orders).toEqual(Array.from({ length: 20 }, (_, i) => shuffled(arms, 'trial', i + 1).join('')))
    for (const o of orders) expect([...o].sort().join('')).toBe('abc')
    expect(new Set(orders).size).toBeGreaterThan(3)
  })
})
