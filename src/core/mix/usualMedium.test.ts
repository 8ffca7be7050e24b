import { usualMedium } from './usualMedium'

describe('the medium one begins with', () => {
  const medium = (mediumKind: 'glue' | 'conditioner' | null, more = {}) => ({
    kind: 'medium' as const,
    mediumKind,
    ...more,
  })
  it('is a conditioner, else the first that is no base in a bottle, else none', () => {
    const [base, glue, flow] = [medium(null, { inBottle: true }), medium('glue'), medium('conditioner')]
    expect(usualMedium([base, glue, flow])).toBe(flow)
    expect(usualMedium([base, glue])).toBe(glue)
    expect(usualMedium([base])).toBeUndefined()
    expect(usualMedium([{ kind: 'additive', mediumKind: 'conditioner' }])).toBeUndefined()
  })
})
