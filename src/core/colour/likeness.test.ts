import { alike } from './likeness'

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
