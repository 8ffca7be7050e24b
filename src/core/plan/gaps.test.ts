import { coat, cup, design, layer } from '../../../tests/support/design'
import { SHIPPED } from '../technique/techniques'
import { planAmounts } from './amounts'
import type { Design } from './design'
import { gapsOf } from './gaps'

const whole = design({ cups: [cup('c', [layer('a')], { sizeUl: 500_000 })] })
const gaps = (d: Design, technique = 'straight', due = true) =>
  gapsOf(d, planAmounts(d), SHIPPED.of(technique), due).map((g) => g.what.replace(/\s/g, ' '))

describe('what a plan leaves open', () => {
  it('a whole one leaves nothing open', () => expect(gaps(whole)).toEqual([]))
  it('each gap is said, and what it costs', () => {
    expect(gaps(design())).toEqual(['327 ml are in no cup yet'])
    expect(gaps({ ...whole, cups: [cup('c', [layer('a'), layer('', { id: 'n', of: null })])] })).toEqual([
      '164 ml in the cups have no colour',
      'No cup size',
    ])
    expect(gaps(whole, 'straight', false)).toEqual(['No due date'])
    for (const g of gapsOf(design(), planAmounts(design()), SHIPPED.of('swipe'), false)) expect(g.costs).toMatch(/\.$/)
  })
  it('coats a technique needs or goes without, and cups it is not poured with', () => {
    expect(gaps(whole, 'poured-line')).toEqual(['No lead-in', 'No cup is poured line'])
    expect(gaps({ ...whole, coats: [coat('base coat', 'w'), coat('swipe', 'w')] }, 'puddle-swipe')).toEqual([])
    expect(
      gaps(
        {
          ...whole,
          coats: [coat('base coat', 'w'), coat('swipe', 'w', { of: null })],
          cups: [cup('c', [layer('a')], { kind: 'puddles', sizeUl: 500_000 })],
        },
        'swipe',
      ),
    ).toEqual(['A base coat', 'The swipe has no bottle'])
  })
})
