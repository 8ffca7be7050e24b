import { labUnder } from '../../../tests/support/colour'
import { random } from '../../../tests/support/random'
import { inventPigments } from '../../../tests/support/pigments'
import { deltaE00 } from './deltaE00'
import { inScreenGamut, showOnScreen } from './gamut'
import { metamerismIndex } from './metamerism'
import { mixReflectance } from './kubelkaMunk'
import { reflectanceFromHex } from './reflectance'

describe('metamerism', () => {
  it('is nothing for one and the same spectrum, and something for two that only match by day', () => {
    const pigments = inventPigments(12, random(2)).map((p) => p.optics)
    let seen = 0
    for (let i = 0; i < 11; i++) {
      const real = mixReflectance([pigments[i]!, pigments[i + 1]!], [1, 1])
      const hex = showOnScreen(labUnder('D65', real)).hex
      if (!inScreenGamut(labUnder('D65', real))) continue
      const rebuilt = reflectanceFromHex(hex)
      expect(metamerismIndex(real, real, 'A')).toBeCloseTo(0, 9)
      seen = Math.max(seen, metamerismIndex(real, rebuilt, 'A'), metamerismIndex(real, rebuilt, 'LED'))
    }
    expect(seen).toBeGreaterThan(0.5)
  })
  it('takes out what already differs by day', () => {
    const r = reflectanceFromHex('#6a7f52')
    const brighter = r.map((v) => Math.min(1, v * 1.1))
    expect(metamerismIndex(r, brighter, 'A')).toBeLessThan(0.05)
    expect(deltaE00(labUnder('A', r), labUnder('A', brighter))).toBeGreaterThan(1)
  })
})
