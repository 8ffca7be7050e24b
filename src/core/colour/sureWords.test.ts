import { MASSTONE_SIGMA } from './calibrate'
import { sureOf } from './predict'
import { offsText, plusMinusText, surePaint, sureWords, type KeptPaint } from './sureWords'

const kept = (more: Partial<KeptPaint> = {}): KeptPaint => ({
  hex: '#1d4e9e',
  strength: 'strong',
  optics: null,
  sheen: 'satin',
  sigma: null,
  known: null,
  ...more,
})
const white = kept({ hex: '#f6f6f2', strength: 'normal', sigma: 0.1, known: 'tint and shade' })
const words = (blue: KeptPaint, parts = [1, 9]) =>
  sureWords(sureOf([blue, white].map(surePaint), parts), ['Blue', 'White'])

describe('how sure a computed colour is', () => {
  it('takes a paint that was never worked out for one of which only the masstone is known', () => {
    expect(surePaint(kept())).toMatchObject({ sigma: MASSTONE_SIGMA, known: 'masstone', sheen: 'satin' })
    expect(surePaint(kept({ sigma: 0.2, known: 'tint' }))).toMatchObject({ sigma: 0.2, known: 'tint' })
    expect(surePaint(kept({ sheen: null })).sheen).toBe('satin')
  })
  it('calls a tint of an unmeasured blue an estimate and asks for its tint, and a calibrated one calibrated', () => {
    const guess = words(kept())
    expect(guess.how).toMatch(/^an estimate, ±.\d/)
    expect(guess.next).toBe('Paint out a 10 % tint of Blue in white and read it: that makes it surer.')
    const known = words(kept({ sigma: 0.02, known: 'tint and shade' }))
    expect(known.how).toMatch(/^calibrated, ±.[01]\.\d$/)
    expect(known.next).toBeNull()
  })
  it('asks for the shade after the tint, and for the mix itself after both', () => {
    expect(words(kept({ sigma: 0.5, known: 'tint' })).next).toMatch(/^Paint out Blue with 20 % black/)
    expect(words(kept({ sigma: 0.5, known: 'tint and shade' })).next).toMatch(/^Paint out this very mix .* Blue /)
  })
  it('promises nothing where flakes take part', () => {
    expect(words(kept({ sheen: 'glitter' })).how).toMatch(/^no promise: flakes or dyes take part\. .*, ±.\d/)
  })
  it('writes one decimal below ten, and none from there', () => {
    expect([0.4, 9.94, 9.96, 12.4].map(plusMinusText)).toEqual(['±\u00a00.4', '±\u00a09.9', '±\u00a010', '±\u00a012'])
  })
  it('says of bottles in one line, each once, and leaves out what has no colour', () => {
    const teal = { label: 'Teal', off: 3.14 }
    expect(offsText([teal, { label: 'Medium', off: null }, { label: 'Crust', off: 12 }, teal])).toBe(
      'Colours are computed and may be off, in ΔE00: Teal ±\u00a03.1, Crust ±\u00a012.',
    )
    expect(offsText([{ label: 'Medium', off: null }])).toBe('')
  })
})
