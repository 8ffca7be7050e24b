import { opacityOf } from './contrastRatio'

describe('measured opacity', () => {
  it('sets the class; opaque from 0.98 (ISO 6504-3 and ASTM D2805, from memory)', () => {
    expect([1, 0.98, 0.979, 0.85, 0.84, 0.5, 0.49].map(opacityOf)).toEqual([
      'opaque',
      'opaque',
      'semi-opaque',
      'semi-opaque',
      'semi-transparent',
      'semi-transparent',
      'transparent',
    ])
  })
})
