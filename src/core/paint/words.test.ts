import { readBody, readOpacity, readSheen, readStrength } from './words'

describe('words of other lists', () => {
  it('are read as ours', () => {
    expect(['Heavy Body', 'HB', 'high-flow', 'Soft_Body', 'craft', 'plaster'].map(readBody)).toEqual([
      'heavy',
      'heavy',
      'ink',
      'soft',
      'craft',
      undefined,
    ])
    expect(['ST', 'semi opaque', 'Opaque', 'Translucent', '?'].map(readOpacity)).toEqual([
      'semi-transparent',
      'semi-opaque',
      'opaque',
      'semi-transparent',
      undefined,
    ])
    expect(['Matt', 'Iridescent', 'interference', 'color-shift', 'NEON'].map(readSheen)).toEqual([
      'matte',
      'pearl',
      'colour-shift',
      'colour-shift',
      'fluorescent',
    ])
    expect(['low', 'Very strong', 'high'].map(readStrength)).toEqual(['weak', 'very strong', 'strong'])
  })
})
