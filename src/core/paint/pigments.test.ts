import { isPigmentName } from './properties'
import {
  CARE,
  effectPigment,
  HAZARD_NOTES,
  hazardsOf,
  lightfastnessOf,
  needsPigmentCare,
  pigment,
  PIGMENT_SOURCES,
  PIGMENTS,
} from './pigments'

describe('the pigment reference', () => {
  it('holds at least 150 Colour Index names, each once, each whole', () => {
    expect(PIGMENTS.length).toBeGreaterThanOrEqual(150)
    expect(new Set(PIGMENTS.map((p) => p.name)).size).toBe(PIGMENTS.length)
    for (const p of PIGMENTS) {
      expect([p.name, isPigmentName(p.name)]).toEqual([p.name, true])
      expect(p.commonName && p.chemicalClass).toBeTruthy()
      expect(p.specificGravity).toBeGreaterThan(1.2)
      expect(p.specificGravity).toBeLessThan(9)
      for (const h of p.hazards) expect([p.name, HAZARD_NOTES[h]]).toEqual([p.name, expect.any(String)])
    }
  })
  it('says of each column where it is from', () => {
    for (const key of Object.keys(PIGMENTS[0]!)) expect(PIGMENT_SOURCES[key as 'name']).toMatch(/memory|Colour Index/)
  })
  // Pigment densities of the design's handbook list, from memory.
  it.each([
    ['PW6', 4.2],
    ['PW4', 5.6],
    ['PBk7', 1.8],
    ['PB29', 2.35],
    ['PB15:3', 1.6],
    ['PG7', 2.0],
    ['PR108', 4.7],
    ['PM1', 2.7],
  ])('%s weighs %d g/cm³', (name, gravity) => expect(pigment(name)!.specificGravity).toBe(gravity))
  it('names the metals of a constitution in its hazards', () => {
    for (const metal of ['cadmium', 'cobalt', 'lead', 'mercur', 'nickel'])
      for (const p of PIGMENTS.filter((q) => new RegExp(`^${metal}|\\b${metal}`).test(q.chemicalClass)))
        expect([p.name, p.hazards.join()]).toEqual([p.name, expect.stringContaining(metal)])
  })
  it('falls back to the plain name of a numbered kind', () => {
    expect(pigment('PB15:5')?.name).toBe('PB15')
    expect(pigment('PB999')).toBeUndefined()
  })
})

describe('a paint by its pigments', () => {
  it('asks for care with cadmium and cobalt, not with phthalocyanine', () => {
    expect(needsPigmentCare(['PW6', 'PR108'])).toBe(true)
    expect(needsPigmentCare(['PB28'])).toBe(true)
    expect(needsPigmentCare(['PB15:3'])).toBe(false)
    expect(hazardsOf(['PB15:3', 'PG7', 'PY35'])).toEqual(['copper', 'cadmium'])
    expect(CARE).not.toContain('copper')
  })
  it('fades as its weakest pigment does', () => {
    expect(lightfastnessOf(['PB29', 'PR83', 'PY74'])).toBe('IV')
    expect(lightfastnessOf(['PB29', 'PX1'])).toBe('')
    expect(lightfastnessOf([])).toBe('')
  })
  it('knows an effect pigment by its parts, the fullest first', () => {
    expect(effectPigment(['PW20', 'PW6', 'PR101'])).toMatch(/^metallic/)
    expect(effectPigment(['PW20', 'PW6'])).toMatch(/^pearl/)
    expect(effectPigment(['PW6'])).toBeUndefined()
  })
})
