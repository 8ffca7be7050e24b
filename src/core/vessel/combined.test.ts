import { meanColour } from '../colour/meanColour'
import { combined } from './combined'
import { suitsAsBase } from './suitsAsBase'

describe('bottles poured together', () => {
  it('are as old as the oldest, keep as long as the weakest, and rest anew; an empty one says nothing', () => {
    const part = { ul: 10, mixedAt: 5, restUntil: 7, keepUntil: 90, dryShare: 0.03, w: 0.25 }
    const parts = [
      part,
      { ...part, mixedAt: 2, keepUntil: 50, dryShare: 0, ul: 20, w: 0 },
      { ul: 0, mixedAt: 0, restUntil: 999, keepUntil: 1, dryShare: 9, w: 5 },
    ]
    // 2 of water to 8 of the rest, and 20 without water.
    const { w, ...facts } = combined(parts, 20, 10)
    expect(w).toBeCloseTo(2 / 28, 12)
    expect(facts).toEqual({ mixedAt: 2, restUntil: 30, keepUntil: 50, dryShare: 0.3 / 30 })
    expect(combined([{ ...part, keepUntil: null, restUntil: 40 }], 20, 10)).toMatchObject({
      mixedAt: 5,
      restUntil: 40,
      keepUntil: null,
    })
  })
  it('lie under a pour that is like them, or under anything when they are a quiet grey', () => {
    expect(suitsAsBase('#24405e', '#1f4a63')).toMatchObject({ suits: true, why: 'near the colours of this pour' })
    expect(suitsAsBase('#6f7478', '#8a6a50')).toMatchObject({ suits: true, why: 'a quiet grey' })
    expect(suitsAsBase('#b01c2e', '#1f4a63')).toMatchObject({ suits: false })
    expect(suitsAsBase('#f4f4f4', '#101010')).toMatchObject({ suits: false })
  })
  it('have a mean colour by amount', () => {
    expect(meanColour([{ hex: '#136a78', amount: 5 }])).toBe('#136a78')
    expect(
      meanColour([
        { hex: '#000000', amount: 1 },
        { hex: '#ffffff', amount: 1 },
      ]),
    ).toBe('#777777')
    expect(meanColour([])).toBeUndefined()
  })
})
