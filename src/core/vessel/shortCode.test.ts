import fc from 'fast-check'
import { readShortCode, shortCode } from './shortCode'

describe('the code of a bottle', () => {
  it('is read as it is typed, and letters that look alike are one', () => {
    const code = shortCode('7KQ4')
    expect(code).toMatch(/^7KQ4-[0-9A-Z]$/)
    expect(readShortCode(code)).toBe('7KQ4')
    expect(readShortCode(` ${code.toLowerCase().replace('-', ' ')} `)).toBe('7KQ4')
    expect(readShortCode(shortCode('10AB').replace('10', 'IO'))).toBe('10AB')
    expect([readShortCode(''), readShortCode('7KQ'), readShortCode('U!XX9')]).toEqual([undefined, undefined, undefined])
  })
  it('tells one mistyped letter, and two that were swapped', () => {
    const letters = [...'0123456789ABCDEFGHJKMNPQRSTVWXY']
    const body = fc.array(fc.constantFrom(...letters), { minLength: 4, maxLength: 5 }).map((l) => l.join(''))
    fc.assert(
      fc.property(body, fc.nat(3), fc.constantFrom(...letters), (b, at, other) => {
        const code = shortCode(b)
        const wrong = b.slice(0, at) + other + b.slice(at + 1)
        if (wrong !== b) expect(readShortCode(wrong + code.at(-1)!)).toBeUndefined()
        const swapped = b.slice(0, at) + (b[at + 1] ?? '') + b[at]! + b.slice(at + 2)
        if (swapped !== b && b[at + 1]) expect(readShortCode(swapped + code.at(-1)!)).toBeUndefined()
      }),
    )
  })
})
