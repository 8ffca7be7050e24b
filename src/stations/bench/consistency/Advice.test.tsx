import type { WaterAdvice } from '@/core/consistency/waterAdvice'
import { adviceSentence, adviceSteps } from './Advice'

jest.mock('@/db/bottles/consistency', () => ({}))

describe('the advice in words', () => {
  const advice = (more: Partial<WaterAdvice>): WaterAdvice => ({
    kind: 'water',
    waterUl: 600,
    rangeUl: [400, 900],
    chance: 0.8,
    mediumUl: 0,
    unwateredUl: 0,
    stepsUl: [400, 200],
    expectedS: 1.42,
    ...more,
  })
  it('gives drops and ml, the eight in ten, and the steps', () => {
    const plain = (a: WaterAdvice) => adviceSentence(a, 50).replace(/\u00a0/g, ' ')
    expect(plain(advice({}))).toBe(
      '12 drops (0.60 ml) of water bring it to about 1.4 s. Eight times in ten it takes 8 drops to 18 drops.',
    )
    expect(plain(advice({ waterUl: 8_000 }))).toMatch(/^8 ml \(0.27 fl oz\)/)
    expect(adviceSteps(advice({}), 50).replace(/\u00a0/g, ' ')).toBe(
      'In two steps: 8 drops, stir and look, then 4 drops.',
    )
    expect(adviceSteps(advice({ stepsUl: [300] }), 50)).toBe('')
  })
  it('stops at the limit, and says what else', () => {
    const plain = (a: Partial<WaterAdvice>) => adviceSentence(advice(a), 50).replace(/\u00a0/g, ' ')
    expect(plain({ kind: 'medium', waterUl: 300, mediumUl: 12_000 })).toMatch(
      /limit allows 6 drops \(0\.30 ml\); then thin with medium, about 12 ml/,
    )
    expect(plain({ kind: 'medium', waterUl: 0, mediumUl: 12_000 })).toMatch(
      'limit is reached. Thin with medium instead, about 12 ml',
    )
    expect(plain({ kind: 'good' })).toBe('It is as wanted. Leave the water alone.')
    expect(plain({ kind: 'too thin', unwateredUl: 30_000 })).toMatch('30 ml of the same mix without water')
    expect(plain({ kind: 'too thin', unwateredUl: 0 })).toMatch('let it stand open')
  })
})
