import { hexToLab } from '../colour/lab'
import { opacityOf } from './contrastRatio'
import { flagAgainst } from './flags'
import { fold } from './fold'
import { hueFamily, hueOrder } from '../colour/hueFamily'
import { alike } from '../colour/likeness'
import { readBody, readOpacity, readSheen, readStrength } from './words'

describe('text as it is searched', () => {
  it('loses case, accents and odd spaces', () => {
    expect(fold('  Bláfjall \n GRÜN ')).toBe('blafjall grun')
    expect(fold('Smørrebrød Straße Œuf')).toBe('smorrebrod strasse oeuf')
  })
})

describe('families of colour', () => {
  // Named colours every painter agrees on; common practice, no published source.
  it.each([
    ['#ffffff', 'white'],
    ['#f5f3ec', 'white'],
    ['#8a8d8f', 'grey'],
    ['#1b1b1c', 'black'],
    ['#b9262b', 'red'],
    ['#d9561f', 'orange'],
    ['#5d3b2b', 'brown'],
    ['#f4dc3a', 'yellow'],
    ['#2e5a3c', 'green'],
    ['#136a78', 'turquoise'],
    ['#1d4ba0', 'blue'],
    ['#3a1f57', 'violet'],
    ['#e8a0b4', 'pink'],
    ['#8e1f3f', 'red'],
  ])('%s is %s', (hex, family) => expect(hueFamily(hexToLab(hex))).toBe(family))
  it('stand round the circle from red, greys last from light to dark', () => {
    const order = ['#b9262b', '#d9561f', '#f4dc3a', '#2e5a3c', '#1d4ba0', '#3a1f57', '#f5f5f5', '#888888', '#111111']
    const keys = order.map((h) => hueOrder(hexToLab(h)))
    expect([...keys].sort((a, b) => a - b)).toEqual(keys)
  })
})

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

describe('flags of a paint', () => {
  const flags = [
    { role: 'top', rule: 'avoid' as const, reason: 'turns grey' },
    { role: 'slip coat', rule: 'only' as const, reason: 'weak' },
    { role: 'base coat', rule: 'only' as const, reason: '' },
  ]
  it('speak where the paint would be used that way, and only there', () => {
    expect(flagAgainst(flags, 'top')).toBe('avoid as top: turns grey')
    expect(flagAgainst(flags, 'pour')).toBe('good only as slip coat or base coat: weak')
    expect(flagAgainst(flags, 'base coat')).toBeUndefined()
    expect(flagAgainst([], 'top')).toBeUndefined()
  })
})

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

describe('what could replace a paint', () => {
  const paint = { id: 'a', swatchHex: '#136a78', pigments: ['PB15:3', 'PG7'], body: 'soft' as const, perMl: 8 }
  it('is the same pigments first, then near swatches, and never a far one', () => {
    const found = alike(paint, [
      paint,
      { ...paint, id: 'far', swatchHex: '#b9262b', pigments: ['PR254'] },
      { ...paint, id: 'near', swatchHex: '#16707d', pigments: ['PB28'], perMl: null },
      { ...paint, id: 'shared', swatchHex: '#156b7a', pigments: ['PG7', 'PW6'], body: 'fluid' },
      { ...paint, id: 'same', swatchHex: '#2a8fa0', pigments: ['PG7', 'PB15:3'], perMl: 11 },
    ])
    expect(found.map((f) => [f.id, f.pigments])).toEqual([
      ['same', 'same'],
      ['shared', 'shared'],
      ['near', 'other'],
    ])
    expect(found.map((f) => f.dearerBy)).toEqual([3, 0, null])
    expect(found.map((f) => f.sameBody)).toEqual([true, false, true])
    expect(found[0]!.deltaE).toBeGreaterThan(found[1]!.deltaE)
  })
})
