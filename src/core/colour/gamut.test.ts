import { deltaE00 } from './deltaE00'
import { inScreenGamut, showOnScreen } from './gamut'
import { chroma, hexToLab, hue } from './lab'
import { type Triple } from './srgb'

describe('what a screen can show', () => {
  it('stays as it is inside, and gives up chroma alone outside', () => {
    expect(showOnScreen(hexToLab('#1f7a8c'))).toMatchObject({ hex: '#1f7a8c', clipped: false })
    const wild: Triple = [50, 0, -120]
    const shown = showOnScreen(wild)
    expect(shown.clipped).toBe(true)
    expect(shown.lab[0]).toBe(50)
    expect(hue(shown.lab)).toBeCloseTo(hue(wild), 6)
    expect(chroma(shown.lab)).toBeLessThan(chroma(wild))
    expect(chroma(shown.lab)).toBeGreaterThan(30)
    expect(inScreenGamut(shown.lab)).toBe(true)
    expect(deltaE00(hexToLab(shown.hex), shown.lab)).toBeLessThan(0.6)
    expect(showOnScreen([120, 0, 0]).hex).toBe('#ffffff')
    expect(showOnScreen([-5, 3, 3]).hex).toBe('#000000')
  })
})
