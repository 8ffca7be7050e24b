import { planAmounts } from '../plan/amounts'
import { coat, cup, design, layer } from '../../../tests/support/design'
import { rehearsalOf } from './ofPlan'

const colourOf = (of: { id: string }) => ({
  hex: '#123456',
  sheen: 'satin' as const,
  nu: of.id === 'thick' ? 1e9 : 200,
})

describe('a plan as a start', () => {
  const plan = design({
    cups: [cup('one', [layer('teal'), layer('gold'), layer('teal', { id: 'again' })], { copies: 3 })],
    coats: [coat('base coat', 'white', { ul: 30_000 }), coat('reserve', 'teal', { ul: 5_000 })],
  })
  const amounts = planAmounts(plan)
  const { task, of, later } = rehearsalOf(plan, amounts, plan.surfaces[0]!.id, colourOf)

  it('has every source once, its cups with what they pour, and the coats that lie before', () => {
    expect(of.map((o) => o.id)).toEqual(['white', 'teal', 'gold'])
    expect(task.cups).toHaveLength(3)
    const poured = task.cups.flatMap((c) => c.layers).reduce((sum, l) => sum + l.ul, 0)
    const pieces = plan.surfaces[0]!.surface.count
    expect(poured).toBeCloseTo(amounts.pourUl / pieces, 0)
    expect(task.coats).toEqual([{ colour: 0, ul: 30_000 / pieces, region: null, path: [] }])
    expect(later).toEqual(['reserve'])
  })
  it('refuses a surface that is gone', () => {
    expect(() => rehearsalOf(plan, amounts, 'gone', colourOf)).toThrow(/not in the plan any more/)
  })
})
