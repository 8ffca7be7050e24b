import { Invalid } from '../errors'
import { parseVolumeUl } from './parse'
import { readTyped, readTypedIfAny } from './typed'

describe('typed text', () => {
  it('is a value, or the sentence of who could not read it', () => {
    expect(readTyped(() => parseVolumeUl('60 ml'))).toEqual({ value: 60_000 })
    expect(readTyped(() => parseVolumeUl('60 g')).sentence).toMatch('a volume is wanted')
    expect(
      readTyped(() => {
        throw new Invalid('Type it like 2.')
      }),
    ).toEqual({ sentence: 'Type it like 2.' })
  })
  it('is no trouble where there is none', () => {
    expect(readTypedIfAny('  ', parseVolumeUl)).toEqual({ value: undefined })
    expect(readTypedIfAny('2 ml', parseVolumeUl)).toEqual({ value: 2_000 })
    expect(readTypedIfAny('x', parseVolumeUl).sentence).toBeTruthy()
  })
  it('hides no other error', () => {
    expect(() =>
      readTyped(() => {
        throw new TypeError('broken')
      }),
    ).toThrow('broken')
  })
})
